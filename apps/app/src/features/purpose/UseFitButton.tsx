import type { PurposeKind } from '@nucleon/core/purposes/purposes';
import { formatLengthShort } from '@nucleon/core/units/length';
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
  const { outcome, bits, pickedBit, given } = purpose;
  const picked = bits?.fitting.find((one) => one.bit.id === pickedBit)?.bit;
  const diameterMm =
    outcome.kind === 'fits' ? (picked?.diameterMm ?? outcome.fit.diameter.targetMm) : null;
  const use = (): void => {
    if (outcome.kind !== 'fits' || diameterMm === null) return;
    const { fit } = outcome;
    const { hole, changeHole } = room.edit;
    changeHole(
      {
        purpose: { ...given, kind },
        diameterMm: Math.round(diameterMm * 1000) / 1000,
        depth: fit.depth,
        fall: fit.fall,
        setup: {
          ...hole.setup,
          ...(picked ? { bit: picked.id, bits: undefined } : {}),
        },
      },
      'purpose',
    );
    router.navigate(home);
  };
  return (
    <Button
      label={
        diameterMm === null
          ? 'Say what the part is first'
          : `Use ${formatLengthShort(diameterMm, units)}${picked ? ` with ${picked.name}` : ''}`
      }
      look="main"
      grow
      disabled={diameterMm === null}
      onPress={use}
      testID="use-fit"
    />
  );
}
