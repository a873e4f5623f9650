import type { Help } from '../data/operations';
import type { PlannedBar } from '../documents/plan';

/** A stretch of depth at one force and speed. */
export interface Stroke {
  readonly kind: 'seat' | 'main' | 'exit';
  readonly fromMm: number;
  readonly toMm: number;
  readonly forceN: number;
  readonly rpm: number;
  /** As planned; null where it does not cut. */
  readonly timeS: number | null;
}

export type StopKind =
  'lift' | 'water-change' | 'core-break' | 'water-off' | 'step-change' | 'flip';

/** Something to do at a depth on the way. */
export interface Stop {
  readonly kind: StopKind;
  readonly depthMm: number;
  readonly haltS: number;
  /** As the plan says it; empty for a lift, which is said as it comes. */
  readonly title: string;
  readonly detail: string;
}

/** The bit of a leg, as it is drawn and worn. */
export interface LegBit {
  /** null where the planner took a new one. */
  readonly bitId: string | null;
  readonly bitName: string;
  readonly diameterMm: number;
  readonly rimWidthMm: number;
  readonly solid: boolean;
  /** Longest core the barrel takes. */
  readonly boreDepthMm: number;
  readonly lifeDepthMm: number;
}

/** One bit going down from one face, between two depths. */
export interface Leg extends LegBit {
  /** The operation it is; null in runs planned before there were any. */
  readonly operationId: string | null;
  readonly dry: boolean;
  /** What a second person does meanwhile. */
  readonly helper: Help | null;
  readonly side: 1 | 2;
  readonly fromMm: number;
  readonly depthMm: number;
  readonly strokes: readonly Stroke[];
  /** How it goes through a bar; null where it does not. */
  readonly bar: PlannedBar | null;
  /** By depth; what hands do after it stands at its foot. */
  readonly stops: readonly Stop[];
  /** How it ends: another leg follows, it is through, or it is as deep as it goes. */
  readonly then: 'next' | 'through' | 'at-depth';
  /** At its foot there is nothing more to go through: a face, a cavity, or the cut from the other side. */
  readonly givesWay: boolean;
}

/** The first of two halves that meet inside. */
export const isHalf = ({ givesWay, stops }: Leg): boolean =>
  !givesWay && stops.some(({ kind }) => kind === 'flip');

/** A solid bit's centre has no speed: it dwells before it goes in. */
export function withDwell(strokes: readonly Stroke[], dwellS: number): readonly Stroke[] {
  const [first, ...rest] = strokes;
  return first && first.timeS !== null
    ? [{ ...first, timeS: first.timeS + dwellS }, ...rest]
    : strokes;
}
