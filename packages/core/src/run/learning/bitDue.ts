import type { ChangePoint } from './changeBit';

/** A bit, and when it costs more than it saves. */
export interface BitDue extends ChangePoint {
  readonly bitId: string;
  readonly name: string;
  readonly holesCut: number;
}

/** It has cut as many holes as it pays for. */
export const isDue = ({ changeAt, holesCut }: Pick<BitDue, 'changeAt' | 'holesCut'>): boolean =>
  holesCut >= changeAt.p50;
