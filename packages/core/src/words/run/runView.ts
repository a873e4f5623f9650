import { PHASES } from '../../data/phases';
import { easesAtEnd } from '../../physics/cutting/stages';
import { formatDurationSpan, formatForce, formatRpm } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import { showDepth } from '../units/showDepth';
import type { UnitSystem } from '../../data/unitSystem';
import { nextStop } from '../../run/advance';
import { HELP_WORDS } from '../plan/helpWords';
import { isHalf, type Stop } from '../../run/leg';
import type { RunActKind } from '../../documents/runEvent';
import { depthBand, forceNow, rpmNow, timeLeft, type DepthBand } from '../../run/runFigures';
import { isCutting, isOver, legOf, type RunState } from '../../run/runState';
import { type RunPhase } from '../../data/phases';

/** A button of the run: what it does, and how it is named here. */
export interface RunButton {
  readonly act: Extract<RunActKind, 'start' | 'pause' | 'resume' | 'next' | 'through'>;
  readonly label: string;
}

/** What the run screen says now. */
export interface RunView {
  readonly phase: RunPhase;
  /** The one thing to do, in a line. */
  readonly line: string;
  readonly detail: string;
  readonly main: RunButton | null;
  /** The end, as it is felt: always within reach while it cuts. */
  readonly end: RunButton | null;
  readonly left: string;
  readonly band: string;
}

/** The section’s partner in words: now, how deep, what is left. */
export function runView(state: RunState, units: UnitSystem): RunView {
  const band = depthBand(state);
  const L = (mm: number): string => formatLengthShort(Math.round(mm * 10) / 10, units);
  const left = timeLeft(state);
  return {
    phase: state.phase,
    ...words(state, units),
    main: mainButton(state),
    end: endButton(state),
    left:
      isOver(state) || isAfter(state.phase) || atFoot(state)
        ? ''
        : left === null
          ? `${L(legOf(state).depthMm - state.depthMm)} left; it would not get there as pressed now.`
          : `${L(legOf(state).depthMm - state.depthMm)} and ${formatDurationSpan(left.p10, left.p90)} left`,
    band: band.toMm - band.fromMm < 0.05 ? '' : bandWords(band, units),
  };
}

const bandWords = ({ fromMm, toMm }: DepthBand, units: UnitSystem): string => {
  const to = showDepth(toMm, units);
  return `${showDepth(fromMm, units).value} to ${to.value} ${to.unit}`;
};

const isAfter = (phase: RunPhase): boolean => PHASES[phase].after === true;

/** What the words of a phase are made of. */
interface Saying {
  readonly state: RunState;
  /** Force and speed now; empty where nothing is pressed. */
  readonly press: string;
  readonly turn: string;
  /** What a sign has changed of the force. */
  readonly eased: string;
  /** What it stopped for here. */
  readonly due: Stop | undefined;
}
type Said = Pick<RunView, 'line' | 'detail'>;

function words(state: RunState, units: UnitSystem): Said {
  const F = forceNow(state);
  const n = rpmNow(state);
  const stop = nextStop(state);
  return PHASE_WORDS[state.phase]({
    state,
    press: F === null ? '' : formatForce(F, units),
    turn: n === null ? '' : formatRpm(n),
    eased:
      state.forceFactor < 1
        ? ' Eased since a sign.'
        : state.forceFactor > 1
          ? ' A little more since a sign.'
          : '',
    due: stop && stop.depthMm <= state.depthMm + 1e-6 ? stop : undefined,
  });
}

/** The one thing to do in each phase, in a line, and what goes with it. */
const PHASE_WORDS: Readonly<Record<RunPhase, (saying: Saying) => Said>> = {
  prepare: ({ state }) => ({
    line: 'Rim on the mark',
    detail: `${legOf(state).bitName}. Motor on before it touches, then start the clock.${helping(state)}`,
  }),
  seat: ({ state, press, turn, eased }) => ({
    line: `Seat: ${press}`,
    detail: `${turn}. Gently, until the ring is full.${eased}${helping(state)}`,
  }),
  cut: ({ state, press, turn, eased }) =>
    atFoot(state)
      ? footWords(legOf(state).givesWay)
      : { line: `Press ${press}`, detail: `${turn}.${eased}${unsure(state)}${helping(state)}` },
  lift: ({ state }) => ({
    line: 'Lift',
    detail: legOf(state).dry
      ? 'A little, to let the dust out. Never clear of the groove.'
      : 'A little, to let water in. Never clear of the groove.',
  }),
  'water-change': ({ due }) =>
    due?.kind === 'water-off'
      ? { line: 'Shut the water', detail: due.detail }
      : {
          line: 'Change the water',
          detail: 'Motor off first. Rim back in the groove before it starts again.',
        },
  'core-break': ({ due }) => ({
    line: due?.title || 'Break out the core',
    detail:
      `${due?.detail ?? ''} Motor off. No prying on the good edge; hammer off again, rim back in the groove before it starts.`.trim(),
  }),
  chisel: () => ({
    line: 'Chisel it clear',
    detail:
      'Motor off, bit out. Break out the core, cut or bend the metal out of the way. Hammer off again, rim back in the groove before it starts.',
  }),
  bar: ({ turn }) => ({
    line: 'Through the bar',
    detail: `${turn}. Slow and steady, plenty of water. It grinds, it does not chatter.`,
  }),
  flip: ({ due }) => ({
    line: due?.title || 'Turn the piece over',
    detail: `Motor off. ${due?.detail || 'Carry the centre to the other face; start there.'}`,
  }),
  'step-change': ({ state, due }) => ({
    line: due?.title || `Change to ${state.legs[state.leg + 1]?.bitName ?? 'the next bit'}`,
    detail: `Motor off. ${due?.detail || 'It follows the hole that is there.'}`,
  }),
  'ease-off': ({ state, press, turn, eased }) => ({
    line: easesAtEnd(legOf(state).strokes) ? `Ease off: ${press}` : `Keep to ${press}, no more`,
    detail: atFoot(state)
      ? 'It should be through any moment. Keep turning, hold the plug.'
      : `${turn}. Keep it turning; listen for a hollow tone; hold the plug.${eased}`,
  }),
  through: () => ({ line: 'Through', detail: 'Stop pressing, let it turn. Hold the plug.' }),
  withdraw: ({ state }) => ({
    line: 'Withdraw',
    detail:
      state.plan.setup.hold === 'rig'
        ? 'Keep it turning until nearly out, then stop.'
        : 'Stop the motor with the rim still in the hole, then lift.',
  }),
  'free-core': () => ({
    line: 'Free the core',
    detail: 'Look inside the barrel: push it out before the next hole.',
  }),
  cool: ({ state }) =>
    state.resumeTo
      ? {
          line: 'Let it cool',
          detail:
            'Motor off. By itself: no cold water on hot glass or stone. More water when you go on.',
        }
      : { line: 'Let the bit cool', detail: 'In water, before the next hole.' },
  clean: ({ state }) => ({
    line: 'Rinse and look',
    detail: `${state.legs.every(({ dry }) => dry) ? 'Vacuum the dust out.' : 'Rinse the fines before they dry.'} Chips on both faces, hidden cracks.`,
  }),
  done: ({ state }) => ({
    line: 'Drilled',
    detail: state.result ? 'Logged.' : 'Say how it came out: three taps.',
  }),
  paused: ({ state }) =>
    state.resumeTo === 'bar'
      ? {
          line: 'Metal: stopped',
          detail:
            'May it hold the structure, or be under tension? Then no further without the engineer. Else cut it, or note a tie and chisel it clear.',
        }
      : { line: 'Paused', detail: 'Rim back in the groove before the motor starts.' },
  aborted: ({ state }) => ({
    line: 'Given up',
    detail: state.result ? 'Logged.' : 'Say how far it came.',
  }),
  cracked: () => ({
    line: 'Cracked',
    detail: 'Leave it wet; do not lift it by the drilled side.',
  }),
};

/** As deep as it goes, by calculation. */
const footWords = (givesWay: boolean): Said =>
  givesWay
    ? {
        line: 'It should give any moment',
        detail: 'Keep it turning, press no more, hold the drill back.',
      }
    : {
        line: 'Should be at depth',
        detail: 'Measure it. If it is not there yet, set the rim to what you measured.',
      };

/** What the second person does meanwhile. */
function helping(state: RunState): string {
  const { helper } = legOf(state);
  return helper ? ` ${HELP_WORDS[helper].cue}` : '';
}

/** Beyond this share of the way nobody knows how deep it is. */
const UNSURE_SHARE = 0.3;

/** A depth read off once is worth more than any calculation. */
function unsure(state: RunState): string {
  const { fromMm, toMm } = depthBand(state);
  return toMm - fromMm > UNSURE_SHARE * legOf(state).depthMm ? ' Measure at the next lift.' : '';
}

const atFoot = (state: RunState): boolean => state.depthMm >= legOf(state).depthMm - 1e-6;

const NEXT_LABEL: Partial<Record<RunPhase, string>> = {
  'water-change': 'Done: go on',
  'core-break': 'Core out: go on',
  chisel: 'Clear: go on',
  flip: 'Turned over: go on',
  'step-change': 'Changed: go on',
  through: 'Next: withdraw',
  withdraw: 'It is out',
  'free-core': 'Barrel is clear',
  cool: 'Cool: go on',
  clean: 'Clean',
};

function mainButton(state: RunState): RunButton | null {
  const { phase } = state;
  if (phase === 'prepare') return { act: 'start', label: 'Start' };
  if (phase === 'paused')
    return { act: 'resume', label: state.resumeTo === 'bar' ? 'Cut the bar' : 'Go on' };
  if (isCutting(state) || phase === 'lift') return { act: 'pause', label: 'Pause' };
  const label = NEXT_LABEL[phase];
  return label ? { act: 'next', label } : null;
}

function endButton(state: RunState): RunButton | null {
  const { phase, resumeTo } = state;
  const at = phase === 'paused' ? resumeTo : phase;
  if (phase === 'bar') return { act: 'next', label: 'Past the bar' };
  const cutting = at !== null && at !== 'bar' && (isCutting({ phase: at }) || at === 'lift');
  if (!cutting) return null;
  const leg = legOf(state);
  return {
    act: 'through',
    label: isHalf(leg) ? 'It broke through' : leg.givesWay ? 'It is through' : 'At depth',
  };
}
