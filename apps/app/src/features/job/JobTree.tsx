import { commonWords } from '@nucleon/core/words/screens/common';
import { jobWords } from '@nucleon/core/words/screens/job';
import { routes } from '../../routes';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { jobQuery } from '../../api/jobs';
import { Column } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { formatLengthShort } from '@nucleon/core/words/units/length';

/** The job's pieces and holes at the side of a wide screen. */
export function JobTree({ jobId, holeId }: { readonly jobId: string; readonly holeId: string }) {
  const units = useUnits();
  const router = useRouter();
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
              <Press
                key={hole.id}
                role="link"
                aria-current={here ? 'page' : undefined}
                onPress={() => {
                  router.navigate(routes.hole(jobId, hole.id));
                }}
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
              </Press>
            );
          })}
        </Column>
      ))}
    </Column>
  );
}
