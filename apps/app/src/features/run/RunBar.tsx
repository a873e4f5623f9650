import { runBarWords } from '@nucleon/core/words/run/runBarWords';
import { runWords } from '@nucleon/core/words/screens/run';
import { replayRun } from '@nucleon/core/run/replay';
import { isOver } from '@nucleon/core/run/runState';
import { usePathname } from 'expo-router';
import Timer from 'lucide-react-native/icons/timer';
import { useEffect } from 'react';
import { routes } from '../../routes';
import { Icon } from '../../ui/Icon';
import { Column } from '../../ui/layout';
import { LinkPress } from '../../ui/LinkPress';
import { Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { keptRunIds } from './keptRuns';
import { useRun } from './useRun';
import { useRuns } from './runStore';

/** Over every screen but the run’s own while one is under way on this device, with a signal or without. */
export default function RunBar() {
  const runId = useOpenRun();
  const path = usePathname();
  return runId === null || path === routes.run(runId) ? null : <Bar key={runId} runId={runId} />;
}

/** The run opened last here that is not over; null where there is none. */
function useOpenRun(): string | null {
  const known = useRuns((runs) => runs.known);
  const load = useRuns((runs) => runs.load);
  useEffect(() => {
    void keptRunIds()
      .then((ids) => Promise.all(ids.map(load)))
      .catch(() => undefined);
  }, [load]);
  const open = Object.entries(known).flatMap(([runId, kept]) => {
    const replayed = replayRun((kept ?? []).map(({ event }) => event));
    return replayed && !isOver(replayed.state) && isHere(kept)
      ? [{ runId, at: replayed.stamp.at }]
      : [];
  });
  return open.sort((a, b) => b.at.localeCompare(a.at))[0]?.runId ?? null;
}

/** Kept on this device, not only looked at here. */
const isHere = (kept: readonly { readonly kept: boolean }[] = []): boolean =>
  kept.some((one) => one.kept);

function Bar({ runId }: { readonly runId: string }) {
  const units = useUnits();
  const run = useRun(runId);
  if (!run) return null;
  const { of, now } = runBarWords(run.state, units);
  return (
    <LinkPress
      to={routes.run(runId)}
      aria-label={runWords.goToRunOf(of)}
      gap="$3"
      paddingHorizontal="$3"
      paddingVertical="$1"
      minHeight={56}
      backgroundColor="$waterWash"
      borderBottomWidth={3}
      borderColor="$water"
      testID="run-bar"
    >
      <Icon of={Timer} tone="water" />
      <Column flex={1} minWidth={0} alignItems="flex-start">
        <Small fontSize="$1" lineHeight="$1" numberOfLines={1}>
          {runWords.underWay(of)}
        </Small>
        <Strong fontSize="$2" numberOfLines={1}>
          {now}
        </Strong>
      </Column>
      <Strong fontSize="$2" color="$water">
        {runWords.go}
      </Strong>
    </LinkPress>
  );
}
