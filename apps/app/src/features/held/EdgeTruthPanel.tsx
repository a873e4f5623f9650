import { heldWords } from '@nucleon/core/words/screens/held';
import type { DescribedRule } from '@nucleon/core/words/advice/edgeTruthInWords';
import { formatPressure } from '@nucleon/core/words/units/formatQuantity';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { ShareBar } from '../../ui/ShareBar';
import { Loading } from '../../ui/StateView';
import { Heading, Small, Strong } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import { useUnits } from '../display/displayStore';
import { useEdges } from '../hole/useEdges';
import type { HoleRoom } from '../hole/useHoleRoom';

const VERDICT: Readonly<Record<DescribedRule['verdict'], string>> = {
  stricter: heldWords.stricterThanStress,
  alike: heldWords.asStressHasIt,
  laxer: heldWords.laxerThanStress,
};

/** The stress near an edge beside the rules of thumb, worked out when asked for. */
export function EdgeTruthPanel({ room }: { readonly room: HoleRoom }) {
  const units = useUnits();
  const [wanted, setWanted] = useState(false);
  const judged = useEdges(room.detail, room.edit);
  const asked = useMemo(
    () => (wanted ? { ...room.asked, judged } : null),
    [wanted, room.asked, judged],
  );
  const { outcome } = useTask('edges', asked);
  return (
    <Column gap="$3" testID="edge-truth">
      <Heading aria-level={2}>{heldWords.howNearEdgeReally}</Heading>
      <Small>{heldWords.theHoleIsMoved}</Small>
      {!wanted ? (
        <Row>
          <Button
            label={heldWords.calculateItBesideRules}
            onPress={() => {
              setWanted(true);
            }}
            testID="calculate-edges"
          />
        </Row>
      ) : outcome === null ? (
        <Loading what={heldWords.theStressNearEdge} />
      ) : outcome.kind === 'untold' ? (
        <Small role="status">{outcome.why}</Small>
      ) : (
        <Column gap="$3">
          <Small color="$ink" role="status">
            {outcome.text}
          </Small>
          {outcome.curve.map(({ clearMm, stressMpa }) => (
            <ShareBar
              key={clearMm}
              label={heldWords.fromEdge(formatLengthShort(clearMm, units))}
              share={Math.min(1, stressMpa / outcome.limitMpa)}
              text={formatPressure(stressMpa, units)}
            />
          ))}
          {outcome.rules.map(({ rule, label, verdict, text }) => (
            <Column key={rule} borderTopWidth={1} borderColor="$line" paddingTop="$2">
              <Strong fontSize="$2">{label}</Strong>
              <Small>
                {VERDICT[verdict]}: {text}
              </Small>
            </Column>
          ))}
        </Column>
      )}
    </Column>
  );
}
