import { PHASES, type RunPhase } from '../data/phases';
import type { SignId } from '../data/signs/signs';
import type { Leg, Stop } from './leg';
import type { RateBelief } from './rateBelief';
import type { HelpAnswer } from '../data/choices';
import type { RunActKind, RunPlan, RunSubject } from '../documents/runEvent';
import type { RunResult } from '../documents/runResult';

/** What happened, as codes: by the clock, or by a person's act. */
export type Happening =
  | { readonly code: 'stop'; readonly stop: Stop }
  | { readonly code: 'phase'; readonly phase: 'seat' | 'cut' | 'ease-off' }
  | { readonly code: 'sign'; readonly sign: SignId }
  | { readonly code: 'given-up'; readonly why: string | undefined }
  | {
      readonly code:
        | 'started'
        | 'paused'
        | 'went-on'
        | 'cracked'
        | 'measured'
        | 'moved-on-drawing'
        | 'done-went-on'
        | 'cooled-went-on'
        | 'next'
        | 'past-the-bar'
        | 'turned-over'
        | 'bit-changed'
        | 'at-depth'
        | 'through';
    };

/** What a run went through: written as it is replayed, never stored. */
export interface StoryLine {
  /** Since the run was opened, s. */
  readonly atS: number;
  readonly phase: RunPhase;
  readonly depthMm: number;
  readonly by: 'clock' | 'person';
  readonly what: Happening;
}

/** Something in the record that does not fit: kept, and said. */
export type RunFlag = { readonly eventId: string } & Misfit;

export type Misfit =
  | { readonly code: 'clock-was-set'; readonly jumpS: number }
  | { readonly code: 'not-the-driver'; readonly act: RunActKind }
  | { readonly code: 'opened-twice' }
  | { readonly code: 'out-of-turn'; readonly act: RunActKind; readonly phase: RunPhase }
  | { readonly code: 'event-missing'; readonly count: number }
  | { readonly code: 'depth-beyond-end'; readonly depthMm: number; readonly endMm: number };

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
  /** A bar was met and is not behind yet. */
  readonly inBar: boolean;
  /** Of a bar, by leg, mm. */
  readonly barMm: Readonly<Record<number, number>>;
  readonly pausedS: number;
  readonly startedAt: string | null;
  readonly driver: string;
  readonly signs: readonly SignSeen[];
  readonly hot: boolean;
  readonly story: readonly StoryLine[];
  readonly flags: readonly RunFlag[];
  readonly result: RunResult | null;
}

export const isOver = ({ phase }: Pick<RunState, 'phase'>): boolean => PHASES[phase].over === true;

/** The rim is on the piece and the clock moves it. */
export const isCutting = ({ phase }: Pick<RunState, 'phase'>): boolean =>
  PHASES[phase].cutting === true;

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
  PHASES[phase].cutting === true || PHASES[phase].halt === true;

/** A measured depth, or the sudden give, says something here. */
export function canMeasure({ phase, resumeTo }: Pick<RunState, 'phase' | 'resumeTo'>): boolean {
  const at = phase === 'paused' ? resumeTo : phase;
  return at !== null && (isOnPiece(at) || at === 'flip' || at === 'step-change');
}
