import type { TradeRuleInWords } from '@nucleon/core/words/advice/tradeRulesInWords';
import { holeWords } from '@nucleon/core/words/screens/hole';
import { brokenRule, type JudgedRule } from '@nucleon/core/layout/edgeRules';
import { edgeText } from '@nucleon/core/words/layout/edgeText';
import { detailFigures, headlineFigures } from '@nucleon/core/words/plan/figures';
import type { Experience } from '@nucleon/core/documents/experience';
import type { Plan } from '@nucleon/core/documents/plan';
import type { ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { useUnits } from '../display/displayStore';
import { FromLogLine } from '../learning/FromLogLine';
import { CheckList } from '../gates/CheckList';
import { StopPanel } from '../gates/StopPanel';
import type { GateAnswers } from '../gates/useGateAnswers';
import type { Editing } from './editing';
import { FigureGrid } from './FigureGrid';
import { PlanDrawing } from './PlanDrawing';
import { StepList } from './StepList';
import { TradeRuleList } from './TradeRuleList';
import { Heading } from '../../ui/text';

interface PlanTopProps {
  readonly plan: Plan;
  readonly edit: Editing;
  readonly answers: GateAnswers;
  /** Depth the drawing shows. */
  readonly atDepthMm: number;
  readonly drawingHeight: number;
  /** Opens the path that gets to know the piece. */
  readonly onKnow: () => void;
  /** Opens the page of other ways. */
  readonly onInstead: () => void;
}

/** Stops first, then the drawing: what stands above the walk where there is one column. */
export function PlanTop({
  plan,
  edit,
  answers,
  atDepthMm,
  drawingHeight,
  onKnow,
  onInstead,
}: PlanTopProps) {
  return (
    <>
      <StopPanel plan={plan} answers={answers} onKnow={onKnow} onInstead={onInstead} />
      <PlanDrawing
        plan={plan}
        thicknessMm={edit.piece.thicknessMm}
        atDepthMm={Math.min(atDepthMm, plan.depthPerSideMm)}
        maxHeight={drawingHeight}
      />
    </>
  );
}

interface PlanBodyProps {
  readonly plan: Plan;
  readonly edit: Editing;
  readonly experience: Experience | null;
  readonly answers: GateAnswers;
  readonly edges: readonly JudgedRule[];
  readonly tradeRules: readonly TradeRuleInWords[];
  readonly onInstead: () => void;
  readonly onShowDepth: (mm: number | null) => void;
  /** Numbers side by side. */
  readonly columns: 2 | 3;
  /** The rooms that look closer, between what to mind and the steps. */
  readonly closer: ReactNode;
}

/** The numbers, what to mind, the steps, the engineering. */
export function PlanBody({
  plan,
  edit,
  experience,
  answers,
  edges,
  tradeRules,
  onInstead,
  onShowDepth,
  columns,
  closer,
}: PlanBodyProps) {
  const units = useUnits();
  const tooNear = brokenRule(edges);
  return (
    <>
      <Panel borderWidth={0}>
        <FigureGrid figures={headlineFigures(plan, units)} columns={columns} />
        <FromLogLine plan={plan} edit={edit} experience={experience} />
      </Panel>
      {tooNear ? (
        <Column padding="$3" paddingBottom="$0" testID="too-near">
          <Notice
            level="caution"
            title={holeWords.near}
            text={`${tooNear.label}: ${edgeText(tooNear, units)}`}
          />
        </Column>
      ) : null}
      {plan.warnings.length > 0 ? (
        <Column gap="$2" padding="$3" testID="warnings">
          {plan.warnings.map((warning) => (
            <Notice key={warning.code} level="caution" text={warning.message} />
          ))}
        </Column>
      ) : null}
      <CheckList plan={plan} answers={answers} />
      <Row paddingHorizontal="$3">
        <Button
          label={holeWords.alternativesToDrilling}
          look="quiet"
          onPress={onInstead}
          testID="instead"
        />
      </Row>
      {closer}
      <Column padding="$4" gap="$2">
        <Heading aria-level={2}>{holeWords.stepByStep}</Heading>
        <StepList steps={plan.steps} onShowDepth={onShowDepth} />
      </Column>
      <TradeRuleList rules={tradeRules} />
      <Column paddingTop="$2">
        <Column paddingHorizontal="$4" paddingBottom="$2">
          <Heading aria-level={2}>{holeWords.theEngineering}</Heading>
        </Column>
        <Panel borderWidth={0} borderBottomWidth={1}>
          <FigureGrid figures={detailFigures(plan, units)} columns={columns} small />
        </Panel>
      </Column>
    </>
  );
}
