import { type DrillCase, withSetup } from '../../setup/drillCase';
import type { Fault } from '../../documents/fault';
import type { Setup } from '../../documents/setup';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import { contextOf } from '../../plan/makePlan';
import type { PlanContext } from '../../plan/planContext';
import { SCHOOLS, takeWay, type School } from '../../setup/schools';
import { SCHOOL_IDS, type SchoolId } from '../../data/choices';
import { bendLater, type Bend } from '../../physics/plate/bender';
import { oddsInWords } from '../../words/odds';
import { formatDuration, formatForce } from '../../words/units/formatQuantity';
import { formatLengthAbout } from '../../words/units/length';
import { METRIC, type UnitSystem } from '../../words/units/unitSystem';
import { outcomeOf, type Outcome } from './outcome';
import { stepChain } from './stepChain';

/** The schools, and the one that needs the kit to answer: in steps or straight to size. */
export const QUESTION_IDS = [...SCHOOL_IDS, 'steps'] as const;
export type QuestionId = (typeof QUESTION_IDS)[number];

/** One way as a column. */
export interface Method {
  readonly id: string;
  readonly label: string;
  readonly text: string;
  readonly needs: string | null;
  /** What of the kit answers that need; null where nothing does. */
  readonly have: string | null;
  /** The hole's setup when this is picked. */
  readonly setup: Setup;
  /** null where it cannot be worked out; `fault` says why. */
  readonly outcome: Outcome | null;
  readonly fault: string | null;
  /** What the plan does now. */
  readonly current: boolean;
  /** Best of the columns in these, by name. */
  readonly bestIn: readonly ComparedFigure[];
}

export const COMPARED_FIGURES = ['time', 'crack', 'chip', 'effort', 'cost'] as const;
export type ComparedFigure = (typeof COMPARED_FIGURES)[number];

export interface Comparison {
  readonly id: QuestionId;
  readonly question: string;
  readonly note: string;
  readonly methods: readonly Method[];
  /** What it comes to on this job, in a sentence. */
  readonly verdict: string;
  /** Can be remembered as the house's way. */
  readonly rememberable: boolean;
  /** The way remembered, if any. */
  readonly habit: string | null;
}

export type CompareOutcome =
  | { readonly kind: 'compared'; readonly comparisons: readonly Comparison[] }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** Every dispute that arises on this hole, its ways side by side with all else as planned. */
export function compareMethods(
  drillCase: DrillCase,
  units: UnitSystem = METRIC,
  bend: Bend = bendLater,
): CompareOutcome {
  const { piece, hole } = drillCase;
  const now = contextOf(drillCase, units, bend);
  if (now.kind === 'faulty') return now;
  const asks = SCHOOL_IDS.filter((id) => {
    const school: School = SCHOOLS[id];
    return school.arises(piece) && (id !== 'sides' || hole.depth.kind === 'through');
  });
  const scene: Scene = { drillCase, now: now.context, units, bend };
  const steps = compareSteps(scene);
  return {
    kind: 'compared',
    comparisons: [...asks.map((id) => compareSchool(scene, id)), ...(steps ? [steps] : [])],
  };
}

interface Scene {
  readonly drillCase: DrillCase;
  readonly now: PlanContext;
  readonly units: UnitSystem;
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
      label: way.label,
      text: way.text,
      needs: way.needs ?? null,
      have: way.needs ? haveFor(scene, way.change) : null,
      // What is done now stays as it is, to the machine.
      setup: current ? settled : takeWay(settled, id, wayId),
      current,
    });
  });
  return finished(scene, {
    id,
    question: school.question,
    note: school.note,
    methods,
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
  const chain = stepChain(scene.drillCase, scene.units);
  if (chain.kind !== 'chosen' || chain.choice.stepped === null) return null;
  const settled = settledSetup(scene);
  const { bit: _bit, bits: _bits, ...rest } = settled;
  const { stepped, straight, text, barred } = chain.choice;
  const ids = stepped.steps.map((step) => step.bit.id);
  const one = straight.steps[0]?.bit.id;
  const now = scene.now.setup.bits.map(({ bit }) => bit.id).join();
  return finished(
    scene,
    {
      id: 'steps',
      question: 'One size or steps?',
      note: `Steps pay for solid bits, whose centre has no speed; a core grinds only its ring anyway.${barred[0] ? ` ${barred[0].bit.name} is left out: ${barred[0].text}` : ''}`,
      methods: [
        method(scene, {
          id: 'straight',
          label: 'Straight',
          text: straight.steps.map((step) => step.bit.name).join(),
          needs: null,
          have: null,
          setup: { ...rest, ...(one === undefined ? {} : { bit: one }) },
          current: now === one,
        }),
        method(scene, {
          id: 'steps',
          label: 'In steps',
          text: stepped.steps.map((step) => step.bit.name).join(', then '),
          needs: null,
          have: null,
          setup: { ...rest, bits: ids },
          current: now === ids.join(),
        }),
      ],
      rememberable: false,
      habit: null,
    },
    text,
  );
}

function method(
  { drillCase, units, bend }: Scene,
  shown: Omit<Method, 'outcome' | 'fault' | 'bestIn'>,
): Method {
  const worked = contextOf(withSetup(drillCase, shown.setup), units, bend);
  return worked.kind === 'faulty'
    ? { ...shown, outcome: null, fault: worked.faults[0]?.message ?? null, bestIn: [] }
    : { ...shown, outcome: outcomeOf(worked.context, drillCase.habits), fault: null, bestIn: [] };
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

function finished(
  scene: Scene,
  comparison: Omit<Comparison, 'verdict'>,
  verdict?: string,
): Comparison {
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
  return { ...comparison, methods, verdict: verdict ?? inWords(methods, scene.units) };
}

/** What the columns come to: which costs least, and what the runner-up would give instead. */
function inWords(methods: readonly Method[], units: UnitSystem): string {
  const able = methods
    .flatMap(({ label, outcome }) => (outcome?.timeS ? [{ label, outcome }] : []))
    .sort((a, b) => a.outcome.cost.totalMoney - b.outcome.cost.totalMoney);
  const [first, second] = able;
  if (!first) return 'None of these cuts here.';
  if (!second) return `Only “${first.label}” cuts here.`;
  if (second.outcome.cost.totalMoney < first.outcome.cost.totalMoney * ALIKE)
    return 'On this job it hardly matters: take the way you know.';
  const gains = [
    gain(
      first.outcome.timeS?.p50,
      second.outcome.timeS?.p50,
      (s) => `${formatDuration(s)} of time`,
    ),
    gain(
      first.outcome.crackProbability,
      second.outcome.crackProbability,
      () =>
        `cracks ${oddsInWords(first.outcome.crackProbability)}, not ${oddsInWords(second.outcome.crackProbability)}`,
    ),
    gain(
      first.outcome.chipMm?.p50,
      second.outcome.chipMm?.p50,
      (mm) => `${formatLengthAbout(mm, units)} less chip`,
    ),
    gain(
      first.outcome.effort.handForceN,
      second.outcome.effort.handForceN,
      (N) => `${formatForce(N, units)} less to press`,
    ),
  ].filter((text) => text !== null);
  return `“${first.label}” costs least here${gains.length > 0 ? `: ${gains.slice(0, 2).join(', ')}` : ''}.`;
}

/** What the first saves over the second, said only where it is a fifth or more. */
function gain(
  first: number | undefined,
  second: number | undefined,
  say: (difference: number) => string,
): string | null {
  if (first === undefined || second === undefined) return null;
  return second > first * 1.2 ? say(second - first) : null;
}
