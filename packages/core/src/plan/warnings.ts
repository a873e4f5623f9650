import type { WarningCode } from '../documents/plan';
import type { ForceLimit } from '../physics/cutting/feedForce';
import { suits } from '../setup/assumeSetup';
import type { MaterialCut } from '../setup/cutLayers';
import { SIZE_TOLERANCE_MM } from '../setup/resolvedSetup';
import type { PlanContext } from './planContext';

/** Below half, a bit takes twice as long and chips half as wide again. */
const WORN_SHARPNESS = 0.5;
/** A bit that only just fits still fits. */
const FIT_ROUNDING_MM = 0.005;
/** Share by which a limit may be passed in rounding alone. */
const ROUNDING = 1e-9;
/** A chip this much wider than allowed is as wide as allowed. */
const CHIP_ROUNDING = 1.001;

/** The first leaf that the bit which cuts it is not made for; undefined where each suits its own. */
export const leafNotSuited = ({ layers }: PlanContext): MaterialCut | undefined =>
  layers.find(({ slowest }) => slowest !== null && !suits(slowest.bit.family, slowest.material))
    ?.slowest ?? undefined;

/** What the bit cuts with its run-out, mm. */
export const cutDiameter = ({ setup: { finishing } }: PlanContext): number =>
  finishing.geometry.diameterMm + (finishing.bit.runOutMm ?? 0);

function missesFit(context: PlanContext): boolean {
  if (!context.fit) return false;
  const { leastMm, mostMm } = context.fit.diameter;
  const cuts = cutDiameter(context);
  return cuts < leastMm - FIT_ROUNDING_MM || cuts > mostMm + FIT_ROUNDING_MM;
}

const FORCE_CODES = {
  torque: 'torque-limited',
  power: 'power-limited',
  arms: 'force-beyond-arms',
} as const satisfies Record<ForceLimit, WarningCode>;

const speedWarning = ({ headline: { speed } }: PlanContext): WarningCode | null => {
  if (speed.outsideWindow === 'above') return 'speed-above-window';
  if (speed.outsideWindow === 'below') return 'speed-below-window';
  return speed.limits.includes('water-throw-off') || speed.limits.includes('bit-limit')
    ? 'speed-limited'
    : null;
};

function pressureWarning({ headline, time }: PlanContext): WarningCode | null {
  const p = headline.force.contactPressureMpa;
  const { glaze, high } = headline.window.pressureMpa;
  if (time.spread === null) return 'does-not-cut';
  if (p < glaze) return 'polishes';
  return p > high ? 'presses-too-hard' : null;
}

const when = (arises: boolean, code: WarningCode): WarningCode | null => (arises ? code : null);

/** Everything the person should know before starting, the gravest kinds first. */
export function warningsOf(context: PlanContext): readonly WarningCode[] {
  const { bending, crack, setup, hole, headline, passes, exit, chip } = context;
  const { geometry, bit } = setup.finishing;
  const { limitedBy } = headline.force;
  // The allowable stress of model.md: half the drilled-edge strength.
  const heatLimitMpa = headline.material.edgeStrengthMpa / 2;
  return [
    when(bending.kind === 'trouble', 'not-held'),
    when(bending.kind === 'bent' && bending.stressMpa > crack.limitMpa, 'bends-too-far'),
    when(leafNotSuited(context) !== undefined, 'wrong-bit-for-material'),
    when(context.purposeClashes, 'purpose-clash'),
    when(missesFit(context), 'bit-outside-fit'),
    when(Math.abs(geometry.diameterMm - hole.diameterMm) > SIZE_TOLERANCE_MM, 'bit-off-size'),
    when(context.possible.length > 1, 'material-not-sure'),
    when(
      passes.extensionMm > 0 && !context.extension,
      geometry.solid ? 'bit-too-short' : 'extension-needed',
    ),
    when(
      bit.maxRpm !== undefined && headline.speed.rpm > bit.maxRpm * (1 + ROUNDING),
      'bit-overspeed',
    ),
    speedWarning(context),
    pressureWarning(context),
    limitedBy && FORCE_CODES[limitedBy],
    when(context.thermalStressMpa > heatLimitMpa, 'overheats'),
    when(context.boiling === 'film', 'boils-dry'),
    when(exit?.belowGlaze === true, 'exit-force-below-glaze'),
    when(
      exit !== null &&
        chip !== null &&
        !exit.belowGlaze &&
        chip.p50 > exit.allowedChipMm * CHIP_ROUNDING,
      'chip-wider-than-allowed',
    ),
    when(headline.sharpness < WORN_SHARPNESS, 'bit-worn'),
  ].filter((code) => code !== null);
}
