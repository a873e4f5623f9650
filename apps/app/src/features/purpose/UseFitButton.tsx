import { purposeWords } from '@nucleon/core/words/screens/purpose';
import { holeDiameter, holeFromFit } from '@nucleon/core/layout/purposes/holeFromFit';
import type { PurposeKind } from '@nucleon/core/layout/purposes/purposes';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useRouter } from 'expo-router';
import { Button } from '../../ui/Button';
import { useUnits } from '../display/displayStore';
import type { HoleRoom } from '../hole/useHoleRoom';
import type { PurposeDraft } from './usePurpose';

interface UseFitButtonProps {
  readonly room: HoleRoom;
  readonly kind: PurposeKind;
  readonly purpose: PurposeDraft;
  readonly home: string;
}

/** Feeds diameter, depth, fall and the allowed chip into the hole, with the bit that was picked. */
export function UseFitButton({ room, kind, purpose, home }: UseFitButtonProps) {
  const units = useUnits();
  const router = useRouter();
  const { outcome, bits, isJudged, pickedBit, given } = purpose;
  const picked = bits?.fitting.find((one) => one.bit.id === pickedBit)?.bit;
  const fit = outcome.kind === 'fits' ? outcome.fit : null;
  const diameterMm = fit && holeDiameter(fit, picked);
  const use = (): void => {
    if (!fit) return;
    const { hole, changeHole } = room.edit;
    changeHole(holeFromFit(hole, { ...given, kind }, fit, picked), 'purpose');
    router.navigate(home);
  };
  return (
    <Button
      label={
        diameterMm === null
          ? purposeWords.sayWhatPartIs
          : purposeWords.useDiameter(formatLengthShort(diameterMm, units), picked?.name ?? null)
      }
      look="main"
      grow
      disabled={diameterMm === null || !isJudged}
      onPress={use}
      testID="use-fit"
    />
  );
}
