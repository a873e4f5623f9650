import { operationPresets } from '@nucleon/core/advice/operationPresets';
import { comparisonsInWords } from '@nucleon/core/words/advice/comparisonsInWords';
import { edgeTruthInWords } from '@nucleon/core/words/advice/edgeTruthInWords';
import { bitsForPurpose } from '@nucleon/core/advice/choice/bitsForPurpose';
import { compareMethods } from '@nucleon/core/advice/choice/compareMethods';
import { edgeTruth } from '@nucleon/core/advice/choice/edgeTruth';
import { hireOrBuy, type HirePrices } from '@nucleon/core/advice/choice/hireOrBuy';
import { rankSetups } from '@nucleon/core/advice/choice/rankSetups';
import { rankSupports } from '@nucleon/core/advice/choice/rankSupports';
import { rankWater } from '@nucleon/core/advice/choice/rankWater';
import { stepChain } from '@nucleon/core/advice/choice/stepChain';
import type { Fit } from '@nucleon/core/documents/fit';
import { bitsForPurposeInWords } from '@nucleon/core/words/advice/bitsForPurposeInWords';
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
  supports: ({ drillCase, units }: AskedHole) =>
    supportsInWords(rankSupports(drillCase, bend), units),
  edges: ({ drillCase, units, judged }: AskedHole & { readonly judged: readonly JudgedRule[] }) =>
    edgeTruthInWords(edgeTruth(drillCase, judged, bend), units),
  packing: ({
    cases,
    units,
  }: Pick<AskedHole, 'units'> & { readonly cases: readonly DrillCase[] }) => ({
    kind: 'listed' as const,
    items: packingListOf(cases, units),
  }),
  waters: ({ drillCase, units }: AskedHole) => waterInWords(rankWater(drillCase, bend), units),
  water: (asked: AskedHole & { readonly dryForS: number }) => waterView(asked, bend),
  rank: ({ drillCase, units }: AskedHole) => rankingInWords(rankSetups(drillCase, bend), units),
  compare: ({ drillCase, units }: AskedHole) =>
    comparisonsInWords(compareMethods(drillCase, bend), units),
  chain: ({ drillCase, units }: AskedHole) => chainInWords(stepChain(drillCase), units),
  risk: ({ drillCase }: AskedHole) => {
    const assessed = assessHole(drillCase, { bend });
    return assessed.kind === 'faulty' ? faultyInWords(assessed) : assessed;
  },
  hire: ({ drillCase, prices }: AskedHole & { readonly prices: Partial<HirePrices> }) =>
    hireInWords(hireOrBuy(drillCase, prices)),
  bitsForPurpose: ({ drillCase, units, fit }: AskedHole & { readonly fit: Fit }) => ({
    kind: 'judged' as const,
    bits: bitsForPurposeInWords(bitsForPurpose(drillCase, fit), fit, units),
  }),
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
