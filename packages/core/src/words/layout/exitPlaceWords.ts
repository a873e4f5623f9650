import type { UnitSystem } from '../../data/unitSystem';
import { input, type Reason } from '../../documents/reason';
import type { SteeredBy } from '../../layout/aim';
import type { ExitPlace } from '../../layout/exitPlace';
import { formatLengthAbout, formatLengthShort } from '../units/length';

/** Wandering less than this is not worth a number, mm. */
const MIN_SEEN_MM = 0.1;

const STEERED_BY = {
  press: 'a press',
  rig: 'a rig',
  laser: 'a laser',
  level: 'a level',
  guide: 'a guide',
  hand: 'the hand',
} as const satisfies Record<SteeredBy, string>;

/** Whether the hole stays clear on the far face, in a sentence. */
export const exitClearText = ({ clearMm }: ExitPlace, units: UnitSystem): string =>
  clearMm < 0
    ? 'There it may run into the edge, another hole or a marked place.'
    : `There it stays ${formatLengthShort(clearMm, units)} clear even then.`;

/** Where the hole comes out, and why there. */
export function exitReason(exit: ExitPlace, units: UnitSystem): Reason {
  const { fallMm, acrossMm, alongMm, lean, fall, depthMm } = exit;
  const about = (mm: number): string => formatLengthAbout(mm, units);
  const show = (mm: number): string => formatLengthShort(mm, units);
  const shift =
    fallMm === 0
      ? 'straight behind its entry'
      : `${show(Math.abs(fallMm))} ${fallMm < 0 ? 'lower' : 'higher'} than it goes in`;
  return {
    text:
      Math.max(acrossMm, alongMm) < MIN_SEEN_MM
        ? `It comes out ${shift}, to within ${about(MIN_SEEN_MM)}, steered by ${STEERED_BY[lean.how]}.`
        : `It comes out ${shift}, give or take ${about(acrossMm)} sideways and ${about(alongMm)} up or down, steered by ${STEERED_BY[lean.how]}.`,
    inputs: [
      input('Depth', show(depthMm)),
      input('Fall', fall ? `one in ${fall.oneIn}, ${fall.lowSide} face lower` : 'none'),
      input('Lean sideways', `${lean.acrossDeg.toFixed(1)}°`),
      input('Lean up or down', `${lean.alongDeg.toFixed(1)}°`),
    ],
    source: 'Exit offset = depth × tan(angle); fall = depth ÷ run',
    spread: 'about two in three holes come out within the ellipse',
  };
}
