import { compareMethods } from '@nucleon/core/advice/choice/compareMethods';
import { edgeTruth } from '@nucleon/core/advice/choice/edgeTruth';
import { hireOrBuy, type HirePrices } from '@nucleon/core/advice/choice/hireOrBuy';
import { rankSetups } from '@nucleon/core/advice/choice/rankSetups';
import { rankSupports } from '@nucleon/core/advice/choice/rankSupports';
import { rankWater } from '@nucleon/core/advice/choice/rankWater';
import { stepChain } from '@nucleon/core/advice/choice/stepChain';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { JudgedRule } from '@nucleon/core/layout/edgeRules';
import { assessHole } from '@nucleon/core/advice/risk/assessHole';
import { makePlan } from '@nucleon/core/plan/makePlan';
import { rememberingBender } from '@nucleon/core/physics/plate/bender';
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
  plan: ({ drillCase, units }: AskedHole) => makePlan(drillCase, units, known),
  bentPlan: ({ drillCase, units }: AskedHole) => makePlan(drillCase, units, bend),
  stress: (asked: AskedHole) => stressView(asked, bend),
  oddsRow: oddsRows(bend),
  supports: ({ drillCase, units }: AskedHole) => rankSupports(drillCase, bend, units),
  edges: ({ drillCase, units, judged }: AskedHole & { readonly judged: readonly JudgedRule[] }) =>
    edgeTruth(drillCase, judged, bend, units),
  packing: ({
    cases,
    units,
  }: Pick<AskedHole, 'units'> & { readonly cases: readonly DrillCase[] }) => ({
    kind: 'listed' as const,
    items: packingListOf(cases, units),
  }),
  waters: ({ drillCase, units }: AskedHole) => rankWater(drillCase, bend, units),
  water: (asked: AskedHole & { readonly dryForS: number }) => waterView(asked, bend),
  rank: ({ drillCase, units }: AskedHole) => rankSetups(drillCase, units, bend),
  compare: ({ drillCase, units }: AskedHole) => compareMethods(drillCase, units, bend),
  chain: ({ drillCase, units }: AskedHole) => stepChain(drillCase, units),
  risk: ({ drillCase }: AskedHole) => assessHole(drillCase, { bend }),
  hire: ({ drillCase, units, prices }: AskedHole & { readonly prices: Partial<HirePrices> }) =>
    hireOrBuy(drillCase, prices, units),
  window: ({ drillCase, units }: AskedHole) => windowView(drillCase, units),
  windowPoint: ({ drillCase, units }: AskedHole) => windowPoint(drillCase, units),
} as const;

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type TaskInput<T extends TaskName> = Parameters<Tasks[T]>[0];
export type TaskOutcome<T extends TaskName> = ReturnType<Tasks[T]>;
