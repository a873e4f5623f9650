import { input, type ReasonInput } from '../../documents/reason';
import { formatLengthAbout, formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import type { RoundSetting } from '../../layout/wrap';

const MIN_TILT_DEG = 0.1;

/** How a hole in a round wall is set out and bedded, a line each. */
export function roundLines(setting: RoundSetting, units: UnitSystem): readonly ReasonInput[] {
  const { arcMm, chordMm, turnDeg, cradleTurnDeg, tiltDeg, ringDepthMm, acrossArcMm } = setting;
  const show = (mm: number): string => formatLengthShort(mm, units);
  return [
    input('Round the wall from the seam', `${show(arcMm)} by tape, ${Math.round(turnDeg)}°`),
    input('Straight across from the seam', `${show(chordMm)} by calipers`),
    input('Width of the hole round the wall', `${show(acrossArcMm)} by tape`),
    input(
      'In the cradle',
      cradleTurnDeg < 1
        ? 'seam up'
        : `turn it ${Math.round(cradleTurnDeg)}° from seam up, so that the hole lies on top`,
    ),
    ...(tiltDeg > MIN_TILT_DEG
      ? [
          input(
            'Taper',
            `raise the narrow end by ${tiltDeg.toFixed(1)}°, so that the wall lies level`,
          ),
        ]
      : []),
    input(
      'The whole rim touches',
      `${formatLengthAbout(ringDepthMm, units)} down; until then it cuts two crescents`,
    ),
  ];
}
