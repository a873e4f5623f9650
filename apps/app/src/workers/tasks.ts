import { compareMethods } from '@nucleon/core/choice/compareMethods';
import { hireOrBuy, type HirePrices } from '@nucleon/core/choice/hireOrBuy';
import { rankSetups } from '@nucleon/core/choice/rankSetups';
import { stepChain } from '@nucleon/core/choice/stepChain';
import type { JobFile } from '@nucleon/core/job/job';
import { assessHole } from '@nucleon/core/plan/assessHole';
import { makePlan } from '@nucleon/core/plan/makePlan';
import type { UnitSystem } from '@nucleon/core/units/unitSystem';
import { windowPoint, windowView } from './windowView';

/** The hole that is asked about, as it stands on the screen. */
export interface AskedHole {
  readonly file: JobFile;
  readonly holeId: string;
  readonly units: UnitSystem;
}

/** Everything the worker can be asked: core functions by name, run off the page's thread. */
export const TASKS = {
  plan: ({ file, holeId, units }: AskedHole) => makePlan(file, holeId, units),
  rank: ({ file, holeId, units }: AskedHole) => rankSetups(file, holeId, units),
  compare: ({ file, holeId, units }: AskedHole) => compareMethods(file, holeId, units),
  chain: ({ file, holeId, units }: AskedHole) => stepChain(file, holeId, units),
  risk: ({ file, holeId }: AskedHole) => assessHole(file, holeId),
  hire: ({ file, holeId, units, prices }: AskedHole & { readonly prices: Partial<HirePrices> }) =>
    hireOrBuy(file, holeId, prices, units),
  window: ({ file, holeId, units }: AskedHole) => windowView(file, holeId, units),
  windowPoint: ({ file, holeId, units }: AskedHole) => windowPoint(file, holeId, units),
} as const;

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type TaskInput<T extends TaskName> = Parameters<Tasks[T]>[0];
export type TaskOutcome<T extends TaskName> = ReturnType<Tasks[T]>;
