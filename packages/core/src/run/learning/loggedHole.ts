import type { ChipSpread, TimeSpread } from '../../documents/plan';
import type { RunEvent } from '../../documents/runEvent';
import { isOver } from '../runState';
import { replayRun } from '../replay';
import { bitUses, runRecord } from '../runRecord';
import type { Target } from './mixedModel';

/** One hole of the log as it is learned from: what was planned, and what came of it. */
export interface LoggedHole extends Target {
  readonly id: string;
  /** When it was begun, ISO 8601. */
  readonly at: string;
  /** From start to through, stops included; null where that is not known. */
  readonly takenS: number | null;
  /** Calculated, without the log. */
  readonly plannedS: TimeSpread | null;
  /** Share of the depth that was reached. */
  readonly share: number;
  /** Of its bit's planned life, the share this hole took; none where that is not known. */
  readonly livesUsed?: number;
  readonly cracked: boolean;
  readonly plannedCrack: number;
  /** null where nobody looked. */
  readonly exitChipMm: number | null;
  readonly plannedChipMm: ChipSpread | null;
  readonly practice: boolean;
  /** What in it does not go together; it is kept, and not believed. */
  readonly doubts: readonly Doubt[];
  /** What a person said of it: left out however sound, or put back however doubtful. */
  readonly choice?: 'left-out' | 'put-back';
}

/** `left-out` is a person’s word. */
export type Doubt = 'future' | 'twice' | 'contradicts' | 'absurd' | 'left-out';

/** Odds of a plan that did not tell them yet. */
const USUAL_CRACK = 0.02;

/**
 * A run of the log as it is learned from, its bit as if new; null while it is under way, or where its opening is
 * missing.
 */
export function loggedRun(runId: string, events: readonly RunEvent[]): LoggedHole | null {
  const state = replayRun(events)?.state;
  const record = runRecord(runId, events);
  if (!state || !record || !isOver(state)) return null;
  // Plans of early models, and other programs' runs, may leave it out.
  const plan: Omit<typeof state.plan, 'crackProbability'> & {
    readonly crackProbability?: number;
  } = state.plan;
  const asNew = plan.fromLog?.asNew;
  const share = record.wholeDepthMm > 0 ? record.depthMm / record.wholeDepthMm : 0;
  const use = bitUses(events).find(({ bitId }) => bitId === record.bitId);
  const doubts: Doubt[] = [];
  if (record.cracked && record.verdict === 'fine') doubts.push('contradicts');
  return {
    id: runId,
    at: record.startedAt ?? record.openedAt,
    material: record.material,
    family: plan.setup.bitFamily,
    bit: record.bitId,
    person: record.person ?? null,
    sheet: record.sheet ?? null,
    force: state.result?.force,
    holesBefore: 0,
    takenS: record.tookS > 0 ? record.tookS : null,
    plannedS: asNew?.drillTimeS ?? record.plannedS,
    share: Math.min(1, share),
    ...(use && use.lifeDepthMm > 0 ? { livesUsed: use.depthMm / use.lifeDepthMm } : {}),
    cracked: record.cracked,
    plannedCrack: asNew?.crackProbability ?? plan.crackProbability ?? USUAL_CRACK,
    exitChipMm: record.exitChipMm,
    plannedChipMm: asNew?.exitChipMm ?? plan.exitChipMm,
    practice: record.practice === true,
    doubts,
  };
}
