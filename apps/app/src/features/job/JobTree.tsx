import { commonWords } from '@nucleon/core/words/screens/common';
import { jobWords } from '@nucleon/core/words/screens/job';
import type { Route } from '../../routes';
import { useQuery } from '@tanstack/react-query';
import { jobQuery } from '../../api/jobs';
import { Column } from '../../ui/layout';
import { LinkPress } from '../../ui/LinkPress';
import { Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { formatLengthShort } from '@nucleon/core/words/units/length';

interface JobTreeProps {
  readonly jobId: string;
  readonly holeId: string;
  readonly hrefOf: (holeId: string) => Route;
}

/** The job's pieces and holes at the side of a wide screen. */
export function JobTree({ jobId, holeId, hrefOf }: JobTreeProps) {
  const units = useUnits();
  const job = useQuery(jobQuery(jobId));
  return (
    <Column
      id="print-hide-tree"
      render="nav"
      aria-label={jobWords.holesOfThisJob}
      paddingVertical="$3"
    >
      {job.data?.pieces.map((piece) => (
        <Column key={piece.id} paddingBottom="$3">
          <Label paddingHorizontal="$3" paddingBottom="$1">
            {piece.name}
          </Label>
          {piece.holes.map((hole) => {
            const here = hole.id === holeId;
            const stopped = (hole.headline?.stops.length ?? 0) > 0;
            const word =
              hole.faults.length > 0 ? jobWords.doesNotFit : stopped ? commonWords.stop : null;
            return (
              <LinkPress
                key={hole.id}
                to={hrefOf(hole.id)}
                testID={`tree-${hole.label ?? ''}`}
                aria-current={here ? 'page' : undefined}
                paddingHorizontal="$3"
                borderLeftWidth={4}
                borderColor={here ? '$water' : 'transparent'}
                backgroundColor={here ? '$waterWash' : 'transparent'}
                hoverStyle={{ backgroundColor: '$raised' }}
              >
                <Column alignItems="flex-start">
                  <Strong fontSize="$2">{hole.label || commonWords.hole}</Strong>
                  <Small color={word ? '$stop' : '$muted'}>
                    {word ?? formatLengthShort(hole.diameterMm, units)}
                  </Small>
                </Column>
              </LinkPress>
            );
          })}
        </Column>
      ))}
    </Column>
  );
}
