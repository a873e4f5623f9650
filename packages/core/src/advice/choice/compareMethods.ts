import { type DrillCase, withSetup } from '../../setup/drillCase';
import type { JobFault } from '../../setup/jobFault';
import type { Setup } from '../../documents/setup';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import { COMPARED_FIGURES, type ComparedFigure } from './comparedFigures';
import { contextOf } from '../../plan/contextOf';
import type { PlanContext } from '../../plan/planContext';
import { SCHOOLS, takeWay, type School } from '../../setup/schools';
import { SCHOOL_IDS, type SchoolId } from '../../data/choices';
import { bendLater, type Bend } from '../../physics/plate/bender';
import { outcomeOf, type Outcome } from './outcome';
import { stepChain, type ChainChoice } from './stepChain';

/** The schools, and the one that needs the kit to answer: in steps or straight to size. */
export const QUESTION_IDS = [...SCHOOL_IDS, 'steps'] as const;
export type QuestionId = (typeof QUESTION_IDS)[number];

/** One way as a column. */
export interface Method {
  readonly id: string;
  /** What of the kit answers what it needs; null where nothing does. */
  readonly have: string | null;
  /** The hole's setup when this is picked. */
  readonly setup: Setup;
  /** null where it cannot be worked out; the faults say why. */
  readonly outcome: Outcome | null;
  readonly faults: readonly JobFault[];
  /** What the plan does now. */
  readonly current: boolean;
  /** Best of the columns in these, by name. */
  readonly bestIn: readonly ComparedFigure[];
}

export interface Comparison {
  readonly id: QuestionId;
  readonly methods: readonly Method[];
  /** What it comes to on this job. */
  readonly verdict: Verdict;
  /** The chain of bits that the columns are of, where the question is of steps. */
  readonly chain: ChainChoice | null;
  /** Can be remembered as the house's way. */
  readonly rememberable: boolean;
  /** The way remembered, if any. */
  readonly habit: string | null;
}

/** Which way costs least; the runner-up, where it is not alike. */
export type Verdict =
  | { readonly code: 'none-cuts' | 'alike' }
  | { readonly code: 'only'; readonly way: string }
  | { readonly code: 'least'; readonly way: string; readonly second: string };

export type CompareOutcome =
  | { readonly kind: 'compared'; readonly comparisons: readonly Comparison[] }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

/** Every dispute that arises on this hole, its ways side by side with all else as planned. */
export function compareMethods(drillCase: DrillCase, bend: Bend = bendLater): CompareOutcome {
  const { piece, hole } = drillCase;
  const now = contextOf(drillCase, bend);
  if (now.kind === 'faulty') return now;
  const asks = SCHOOL_IDS.filter((id) => {
    const school: School = SCHOOLS[id];
    return school.arises(piece) && (id !== 'sides' || hole.depth.kind === 'through');
  });
  const scene: Scene = { drillCase, now: now.context, bend };
  const steps = compareSteps(scene);
  return {
    kind: 'compared',
    comparisons: [...asks.map((id) => compareSchool(scene, id)), ...(steps ? [steps] : [])],
  };
}

interface Scene {
  readonly drillCase: DrillCase;
  readonly now: PlanContext;
  readonly bend: Bend;
}

/** The setup as it stands, with what the planner chose written in, so that all else stays equal. */
function settledSetup({ drillCase: { hole }, now }: Scene): Setup {
  const { setup } = now;
  return {
    ...hole.setup,
    ...(setup.finishing.owned && !hole.setup?.bits?.length ? { bit: setup.finishing.bit.id } : {}),
    ...(setup.machineOwned ? { machine: setup.machine.id } : {}),
    support: { ...hole.setup?.support, kind: setup.support.id },
    water: { ...hole.setup?.water, kind: setup.coolant.id },
    hold: setup.hold,
    start: setup.start,
    pace: setup.pace,
    sides: setup.sides,
  };
}

function compareSchool(scene: Scene, id: SchoolId): Comparison {
  const school: School = SCHOOLS[id];
  const settled = settledSetup(scene);
  const methods = Object.entries(school.ways).map(([wayId, way]) => {
    const current = isCurrent(settled, way.change);
    return method(scene, {
      id: wayId,
      have: way.needs ? haveFor(scene, way.change) : null,
      // What is done now stays as it is, to the machine.
      setup: current ? settled : takeWay(settled, id, wayId),
      current,
    });
  });
  return finished({
    id,
    methods,
    chain: null,
    rememberable: true,
    habit: scene.drillCase.habits.habits?.[id] ?? null,
  });
}

/** What is owned that a way needs: a backing of its kind, a guide that fits the bit, a press. */
function haveFor({ drillCase: { kit }, now }: Scene, change: Partial<Setup>): string | null {
  const inUse = <T extends { readonly retired?: boolean }>(list: readonly T[] = []): readonly T[] =>
    list.filter((one) => !one.retired);
  const D = now.setup.finishing.geometry.diameterMm;
  const found = change.support
    ? inUse(kit.supports).find(({ kind }) => kind === change.support?.kind)
    : change.guide
      ? inUse(kit.guides).find(
          ({ boreMm }) => boreMm !== undefined && boreMm >= D && boreMm <= D + GUIDE_PLAY_MM,
        )
      : change.hold === 'press'
        ? inUse(kit.machines).find(({ kind }) => MACHINE_KINDS[kind].hold === 'press')
        : change.water
          ? inUse(kit.water).find(({ kind }) => kind === change.water?.kind)
          : undefined;
  return found?.name ?? null;
}

/** A guide's hole this much wider than the bit still guides it, mm. */
const GUIDE_PLAY_MM = 1;

/** In steps or straight: computed over the bits owned. */
function compareSteps(scene: Scene): Comparison | null {
  const chain = stepChain(scene.drillCase);
  if (chain.kind !== 'chosen' || chain.choice.stepped === null) return null;
  const settled = settledSetup(scene);
  const { bit: _bit, bits: _bits, ...rest } = settled;
  const { stepped, straight } = chain.choice;
  const ids = stepped.steps.map((step) => step.bit.id);
  const one = straight.steps[0]?.bit.id;
  const now = scene.now.setup.bits.map(({ bit }) => bit.id).join();
  return finished({
    id: 'steps',
    methods: [
      method(scene, {
        id: 'straight',
        have: null,
        setup: { ...rest, ...(one === undefined ? {} : { bit: one }) },
        current: now === one,
      }),
      method(scene, {
        id: 'steps',
        have: null,
        setup: { ...rest, bits: ids },
        current: now === ids.join(),
      }),
    ],
    chain: chain.choice,
    rememberable: false,
    habit: null,
  });
}

function method(
  { drillCase, bend }: Scene,
  shown: Omit<Method, 'outcome' | 'faults' | 'bestIn'>,
): Method {
  const worked = contextOf(withSetup(drillCase, shown.setup), bend);
  return worked.kind === 'faulty'
    ? { ...shown, outcome: null, faults: worked.faults, bestIn: [] }
    : { ...shown, outcome: outcomeOf(worked.context, drillCase.habits), faults: [], bestIn: [] };
}

/** A way is what is done now when each thing it changes is so already; measures do not count. */
function isCurrent(settled: Setup, change: Partial<Setup>): boolean {
  return Object.entries(change).every(([field, value]) => {
    const now: unknown = settled[field as keyof Setup];
    return kindOf(now) === kindOf(value);
  });
}

const kindOf = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'kind' in value ? value.kind : value;

/** Figures nearer than this are alike. */
const ALIKE = 1.03;

const FIGURES: Readonly<Record<ComparedFigure, (outcome: Outcome) => number>> = {
  time: ({ timeS }) => timeS?.p50 ?? Infinity,
  crack: ({ crackProbability }) => crackProbability,
  chip: ({ chipMm }) => chipMm?.p50 ?? 0,
  effort: ({ effort }) => effort.handForceN,
  cost: ({ cost }) => cost.totalMoney,
};

function finished(comparison: Omit<Comparison, 'verdict'>): Comparison {
  const worked = comparison.methods.flatMap(({ outcome }) => outcome ?? []);
  const methods = comparison.methods.map((one): Method => {
    const { outcome } = one;
    if (!outcome) return one;
    const bestIn = COMPARED_FIGURES.filter((figure) => {
      const of = FIGURES[figure];
      const mine = of(outcome);
      const others = worked.filter((other) => other !== outcome).map(of);
      return others.length > 0 && others.every((value) => value > mine * ALIKE + 1e-12);
    });
    return { ...one, bestIn };
  });
  return { ...comparison, methods, verdict: verdictOf(methods) };
}

/** What the columns come to: which costs least, and the runner-up. */
function verdictOf(methods: readonly Method[]): Verdict {
  const able = methods
    .flatMap(({ id, outcome }) =>
      outcome?.timeS ? [{ id, costMoney: outcome.cost.totalMoney }] : [],
    )
    .sort((a, b) => a.costMoney - b.costMoney);
  const [first, second] = able;
  if (!first) return { code: 'none-cuts' };
  if (!second) return { code: 'only', way: first.id };
  return second.costMoney < first.costMoney * ALIKE
    ? { code: 'alike' }
    : { code: 'least', way: first.id, second: second.id };
}
