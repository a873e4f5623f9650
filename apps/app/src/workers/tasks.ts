import { operationPresets } from '@nucleon/core/advice/operationPresets';
import { comparisonsInWords } from '@nucleon/core/words/advice/comparisonsInWords';
import { edgeTruthInWords } from '@nucleon/core/words/advice/edgeTruthInWords';
import type { HirePrices } from '@nucleon/core/advice/choice/hireOrBuy';
import { hireInWords } from '@nucleon/core/words/advice/hireInWords';
import { rankingInWords } from '@nucleon/core/words/advice/rankingInWords';
import { supportsInWords } from '@nucleon/core/words/advice/supportsInWords';
import { waterInWords } from '@nucleon/core/words/advice/waterInWords';
import { chainInWords } from '@nucleon/core/words/advice/chainInWords';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { JudgedRule } from '@nucleon/core/layout/edgeRules';
import { faultyInWords } from '@nucleon/core/words/faults';
import { assessHole } from '@nucleon/core/advice/risk/assessHole';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { rememberingBender } from '@nucleon/core/physics/plate/bender';
import { packingListOf } from '@nucleon/core/words/run/packingList';
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
  supports: ({ drillCase, units }: AskedHole) => supportsInWords(drillCase, bend, units),
  edges: ({ drillCase, units, judged }: AskedHole & { readonly judged: readonly JudgedRule[] }) =>
    edgeTruthInWords(drillCase, judged, bend, units),
  packing: ({
    cases,
    units,
  }: Pick<AskedHole, 'units'> & { readonly cases: readonly DrillCase[] }) => ({
    kind: 'listed' as const,
    items: packingListOf(cases, units),
  }),
  waters: ({ drillCase, units }: AskedHole) => waterInWords(drillCase, bend, units),
  water: (asked: AskedHole & { readonly dryForS: number }) => waterView(asked, bend),
  rank: ({ drillCase, units }: AskedHole) => rankingInWords(drillCase, units, bend),
  compare: ({ drillCase, units }: AskedHole) => comparisonsInWords(drillCase, units, bend),
  chain: ({ drillCase, units }: AskedHole) => chainInWords(drillCase, units),
  risk: ({ drillCase }: AskedHole) => {
    const assessed = assessHole(drillCase, { bend });
    return assessed.kind === 'faulty' ? faultyInWords(assessed) : assessed;
  },
  hire: ({ drillCase, prices }: AskedHole & { readonly prices: Partial<HirePrices> }) =>
    hireInWords(drillCase, prices),
  presets: ({ drillCase }: AskedHole) => ({
    kind: 'listed' as const,
    presets: operationPresets(drillCase),
  }),
  window: ({ drillCase }: AskedHole) => windowView(drillCase),
  windowPoint: ({ drillCase }: AskedHole) => windowPoint(drillCase),
} as const;

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type TaskInput<T extends TaskName> = Parameters<Tasks[T]>[0];
export type TaskOutcome<T extends TaskName> = ReturnType<Tasks[T]>;
