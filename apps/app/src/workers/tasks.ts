import { compareMethods } from '@nucleon/core/choice/compareMethods';
import { edgeTruth } from '@nucleon/core/choice/edgeTruth';
import { hireOrBuy, type HirePrices } from '@nucleon/core/choice/hireOrBuy';
import { rankSetups } from '@nucleon/core/choice/rankSetups';
import { rankSupports } from '@nucleon/core/choice/rankSupports';
import { rankWater } from '@nucleon/core/choice/rankWater';
import { stepChain } from '@nucleon/core/choice/stepChain';
import type { JudgedRule } from '@nucleon/core/layout/edgeRules';
import { assessHole } from '@nucleon/core/plan/assessHole';
import { makePlan } from '@nucleon/core/plan/makePlan';
import { rememberingBender } from '@nucleon/core/plate/bender';
import { packingListOf } from '@nucleon/core/run/packingList';
import type { AskedHole } from './askedHole';
import { oddsRows } from './oddsRows';
import { stressView } from './stressView';
import { waterView } from './waterView';
import { windowPoint, windowView } from './windowView';

/** Pieces kept factored: the supports of one piece, and what was asked before. */
const KEPT = 20;
const { bend, known } = rememberingBender(KEPT);

/** Everything the worker can be asked: core functions by name, run off the page's thread. */
export const TASKS = {
  /** At once: with the bending where it is known already. */
  plan: ({ file, holeId, units }: AskedHole) => makePlan(file, holeId, units, known),
  bentPlan: ({ file, holeId, units }: AskedHole) => makePlan(file, holeId, units, bend),
  stress: (asked: AskedHole) => stressView(asked, bend),
  oddsRow: oddsRows(bend),
  supports: ({ file, holeId, units }: AskedHole) => rankSupports(file, holeId, bend, units),
  edges: ({
    file,
    holeId,
    units,
    judged,
  }: AskedHole & { readonly judged: readonly JudgedRule[] }) =>
    edgeTruth(file, holeId, judged, bend, units),
  packing: ({ file, units }: Pick<AskedHole, 'file' | 'units'>) => ({
    kind: 'listed' as const,
    items: packingListOf(file, units),
  }),
  waters: ({ file, holeId, units }: AskedHole) => rankWater(file, holeId, bend, units),
  water: (asked: AskedHole & { readonly dryForS: number }) => waterView(asked, bend),
  rank: ({ file, holeId, units }: AskedHole) => rankSetups(file, holeId, units, bend),
  compare: ({ file, holeId, units }: AskedHole) => compareMethods(file, holeId, units, bend),
  chain: ({ file, holeId, units }: AskedHole) => stepChain(file, holeId, units),
  risk: ({ file, holeId }: AskedHole) => assessHole(file, holeId, { bend }),
  hire: ({ file, holeId, units, prices }: AskedHole & { readonly prices: Partial<HirePrices> }) =>
    hireOrBuy(file, holeId, prices, units),
  window: ({ file, holeId, units }: AskedHole) => windowView(file, holeId, units),
  windowPoint: ({ file, holeId, units }: AskedHole) => windowPoint(file, holeId, units),
} as const;

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type TaskInput<T extends TaskName> = Parameters<Tasks[T]>[0];
export type TaskOutcome<T extends TaskName> = ReturnType<Tasks[T]>;
