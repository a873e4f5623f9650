import { SIGNS } from '../../data/signs/signs';
import type { UnitSystem } from '../../data/unitSystem';
import type { StopKind } from '../../run/leg';
import type { Happening, Misfit } from '../../run/runState';
import { formatDuration } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';

const ACTS = {
  started: 'Started',
  paused: 'Paused',
  'went-on': 'Went on',
  cracked: 'It cracked',
  measured: 'Measured',
  'moved-on-drawing': 'Moved on the drawing',
  'done-went-on': 'Done, went on',
  'cooled-went-on': 'Cooled, went on',
  next: 'Next',
  'past-the-bar': 'Past the bar',
  'turned-over': 'Turned over',
  'bit-changed': 'Bit changed',
  'at-depth': 'At depth',
  through: 'Through',
} as const satisfies Record<
  Exclude<Happening['code'], 'stop' | 'phase' | 'sign' | 'given-up'>,
  string
>;

const PHASES = {
  seat: 'Press',
  cut: 'Press',
  'ease-off': 'Ease off',
} as const satisfies Record<Extract<Happening, { code: 'phase' }>['phase'], string>;

/** What a stop is, where its plan does not say. */
const STOPS = {
  lift: 'Lift',
  'water-change': 'Change the water',
  'core-break': 'Break out the core',
  'water-off': 'Shut the water',
  'step-change': 'Change the bit',
  flip: 'Half way: turn it over',
} as const satisfies Record<StopKind, string>;

/** What happened, in a line. */
export function happeningText(what: Happening): string {
  switch (what.code) {
    case 'stop':
      return what.stop.title || STOPS[what.stop.kind];
    case 'phase':
      return PHASES[what.phase];
    case 'sign':
      return SIGNS[what.sign].title;
    case 'given-up':
      return what.why ? `Given up: ${what.why}` : 'Given up';
    default:
      return ACTS[what.code];
  }
}

/** What in the record does not fit, in a sentence. */
export function misfitText(misfit: Misfit, units: UnitSystem): string {
  switch (misfit.code) {
    case 'clock-was-set':
      return `The clock was set ${misfit.jumpS < 0 ? 'back' : 'forward'} by about ${formatDuration(Math.abs(misfit.jumpS))}; the run’s own time was kept.`;
    case 'not-the-driver':
      return `“${misfit.act}” came from a device that was watching.`;
    case 'opened-twice':
      return 'The run was opened twice; the first counts.';
    case 'out-of-turn':
      return `“${misfit.act}” does not follow on ${misfit.phase}.`;
    case 'event-missing':
      return `${misfit.count} entries before this one have not arrived.`;
    case 'depth-beyond-end':
      return `Measured ${formatLengthShort(misfit.depthMm, units)}, but the bit goes no deeper than ${formatLengthShort(misfit.endMm, units)} here; taken as that.`;
  }
}
