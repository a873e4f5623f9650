import { STEP_KINDS, type StepKind } from '../documents/plan';
import type { SignId } from '../data/signs/signs';
import type { Leg, Stop } from './legs';
import type { RateBelief } from './rateBelief';
import type { HelpAnswer } from '../data/choices';
import type { RunPlan, RunSubject } from '../documents/runEvent';
import type { RunResult } from '../documents/runResult';

/** A run is in one of the plan's steps, or halted, or over before its time. */
export const RUN_PHASES = [...STEP_KINDS, 'paused', 'aborted', 'cracked'] as const;
export type RunPhase = StepKind | 'paused' | 'aborted' | 'cracked';

/** What a run went through: written as it is replayed, never stored. */
export interface StoryLine {
  /** Since the run was opened, s. */
  readonly atS: number;
  readonly phase: RunPhase;
  readonly depthMm: number;
  readonly by: 'clock' | 'person';
  readonly what: string;
}

export const FLAG_CODES = [
  'clock-was-set',
  'not-the-driver',
  'out-of-turn',
  'event-missing',
  'depth-beyond-end',
] as const;
export type FlagCode = (typeof FLAG_CODES)[number];

/** Something in the record that does not fit: kept, and said. */
export interface RunFlag {
  readonly code: FlagCode;
  readonly eventId: string;
  readonly message: string;
}

export interface SignSeen {
  readonly eventId: string;
  readonly sign: SignId;
  readonly atS: number;
  readonly depthMm: number;
  readonly helped: HelpAnswer | null;
}

/** Where a run stands. Depths from the face the present leg is drilled from, mm. */
export interface RunState {
  readonly plan: RunPlan;
  readonly subject: RunSubject;
  readonly legs: readonly Leg[];
  readonly phase: RunPhase;
  /** Where a pause, or a wait for things to cool, goes back to. */
  readonly resumeTo: RunPhase | null;
  readonly leg: number;
  readonly depthMm: number;
  /** Where the depth was last known, and how well. */
  readonly anchor: { readonly depthMm: number; readonly sdMm: number };
  /** Cutting since the anchor, weighed by how much faster than planned the force makes it, s. */
  readonly workS: number;
  readonly rate: RateBelief;
  /** Times the planned force. */
  readonly forceFactor: number;
  /** Stops of this leg that are behind, by their place in its list. */
  readonly stopsDone: readonly number[];
  /** Left of a lift under way, s. */
  readonly liftLeftS: number;
  readonly elapsedS: number;
  readonly cuttingS: number;
  readonly pausedS: number;
  readonly startedAt: string | null;
  readonly driver: string;
  readonly signs: readonly SignSeen[];
  readonly hot: boolean;
  readonly story: readonly StoryLine[];
  readonly flags: readonly RunFlag[];
  readonly result: RunResult | null;
}

const OVER: ReadonlySet<RunPhase> = new Set(['done', 'aborted', 'cracked']);
export const isOver = ({ phase }: Pick<RunState, 'phase'>): boolean => OVER.has(phase);

const CUTTING: ReadonlySet<RunPhase> = new Set(['seat', 'cut', 'ease-off']);
/** The rim is on the piece and the clock moves it. */
export const isCutting = ({ phase }: Pick<RunState, 'phase'>): boolean => CUTTING.has(phase);

/** Stops of the present leg still to come, the next first. */
export const stopsAhead = (state: Pick<RunState, 'legs' | 'leg' | 'stopsDone'>): readonly Stop[] =>
  legOf(state).stops.filter((_, index) => !state.stopsDone.includes(index));

export const legOf = ({ legs, leg }: Pick<RunState, 'legs' | 'leg'>): Leg => {
  const now = legs[leg];
  if (!now) throw new Error(`A run of ${legs.length} legs has none at ${leg}.`);
  return now;
};

/** On the piece or in a halt of the cut, from where it goes on at the same depth. */
export const isOnPiece = (phase: RunPhase): boolean =>
  isCutting({ phase }) || ['lift', 'water-change', 'core-break'].includes(phase);

/** A measured depth, or the sudden give, says something here. */
export function canMeasure({ phase, resumeTo }: Pick<RunState, 'phase' | 'resumeTo'>): boolean {
  const at = phase === 'paused' ? resumeTo : phase;
  return at !== null && (isOnPiece(at) || at === 'flip');
}
