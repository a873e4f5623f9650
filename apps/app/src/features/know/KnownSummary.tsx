import { knowWords } from '@nucleon/core/words/screens/know';
import { knownLines } from '@nucleon/core/words/advice/knownLines';
import { formatDurationSpan } from '@nucleon/core/words/units/formatQuantity';
import { Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Body, Label, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { StepProps } from './stepProps';

/** What the path has come to, and what it means for this hole. */
export function KnownSummary({ room }: StepProps) {
  const units = useUnits();
  const { plan, edit, detail } = room;
  const stop = plan?.gates.find((gate) => gate.level === 'stop');
  return (
    <>
      {knownLines(edit.piece, detail.job.customMaterials, units).map(({ name, value }) => (
        <Row
          key={name}
          justifyContent="space-between"
          alignItems="flex-start"
          gap="$3"
          borderTopWidth={1}
          borderColor="$line"
          paddingTop="$2"
        >
          <Label flexShrink={0} maxWidth="40%">
            {name}
          </Label>
          <Body flexShrink={1} textAlign="right">
            {value}
          </Body>
        </Row>
      ))}
      {stop ? (
        <Notice level="stop" title={stop.title} text={stop.message} testID="known-stop" />
      ) : plan?.drillTimeS ? (
        <Notice
          level="fine"
          title={knowWords.nothingAboutPieceStands}
          text={knowWords.thisHoleTakesAbout(
            formatDurationSpan(plan.drillTimeS.p10, plan.drillTimeS.p90),
          )}
          testID="known-fine"
        />
      ) : null}
      <Small>{knowWords.youCanComeBack}</Small>
    </>
  );
}
