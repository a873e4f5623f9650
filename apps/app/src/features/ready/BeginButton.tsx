import type { Plan } from '@nucleon/core/documents/plan';
import type { ReadyItem } from '@nucleon/core/words/run/readyCheck';
import { commonWords } from '@nucleon/core/words/screens/common';
import { readyWords } from '@nucleon/core/words/screens/ready';
import { useRouter } from 'expo-router';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { useDisplay } from '../display/displayStore';
import type { HoleRoom } from '../hole/useHoleRoom';
import { openRun } from '../run/runStore';
import { useReadyTicks } from './readyTicks';

interface BeginButtonProps {
  readonly room: HoleRoom;
  readonly plan: Plan;
  readonly items: readonly ReadyItem[];
  /** How many are not ticked. */
  readonly left: number;
}

/** Opens the run, once nothing is left to see to. */
export function BeginButton({ room: { edit, detail }, plan, items, left }: BeginButtonProps) {
  const router = useRouter();
  const person = useDisplay(({ person: name }) => name);
  const stops = plan.gates.filter(({ level }) => level === 'stop').length;
  const confirms = plan.gates.filter(({ level }) => level === 'confirm').length;
  const open = stops + confirms + left;
  const begin = (): void => {
    const { reasons: _reasons, ...bare } = plan;
    const runId = openRun({
      kind: 'open',
      plan: bare,
      ready: items.map(({ id }) => id),
      subject: {
        jobId: detail.job.id,
        jobName: detail.job.name,
        pieceId: edit.piece.id,
        pieceName: edit.piece.name,
        holeId: edit.hole.id,
        holeName: edit.hole.label?.trim() ? edit.hole.label : commonWords.hole,
        material: edit.piece.layers?.[0]?.material ?? edit.piece.material,
        thicknessMm: edit.piece.thicknessMm,
        diameterMm: edit.hole.diameterMm,
        ...(edit.piece.practice ? { practice: true } : {}),
        ...(edit.piece.sheet?.trim() ? { sheet: edit.piece.sheet.trim() } : {}),
        ...(person.trim() ? { person: person.trim() } : {}),
      },
    });
    useReadyTicks.getState().begun(edit.hole.id);
    router.navigate(routes.run(runId));
  };
  return (
    <Button
      label={
        open === 0 ? readyWords.toBench : stops > 0 ? readyWords.stopped : readyWords.toSeeTo(open)
      }
      icon={ArrowRight}
      look="main"
      writes
      grow
      disabled={open > 0}
      onPress={begin}
      testID="begin-run"
    />
  );
}
