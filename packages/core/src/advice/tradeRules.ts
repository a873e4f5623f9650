import type { MaterialClass, PieceForm } from '../data/choices';
import { isBuilding } from '../data/pieceForms';
import { isByHand } from '../data/holds';
import { MACHINE_KINDS, type MachineKindId } from '../data/machines/machineKinds';
import type { Plan } from '../documents/plan';
import { NEWTON_PER_KGF } from '../math/constants';
import { rimSpeedAt } from '../physics/cutting/contact';
import { speedSettings } from '../physics/cutting/speedSettings';

/** What a rule of thumb speaks of. */
export type RuledFigure = 'force' | 'speed' | 'time' | 'slurry';

export interface TradeScene {
  readonly plan: Plan;
  readonly form: PieceForm;
  readonly materialClass: MaterialClass;
}

/** A rule of thumb beside this plan: its range and the plan's own figure, in one unit. */
export interface JudgedTradeRule {
  readonly id: TradeRuleId;
  readonly figure: RuledFigure;
  /** N, rpm, s or g/l by figure. */
  readonly low: number;
  readonly high: number;
  readonly actual: number;
  /** How far the plan lies outside, as a share of the nearer end; 0 within. */
  readonly departure: number;
}

interface TradeRule {
  readonly figure: RuledFigure;
  /** Its range here; null where nobody would say it of such a hole. */
  readonly range: (scene: TradeScene) => readonly [low: number, high: number] | null;
}

/** What such a drill weighs with battery or cable, kg. */
const MASS_KG: Partial<Record<MachineKindId, readonly [number, number]>> = {
  'cordless-drill': [1.2, 2],
  'corded-drill': [1.6, 2.6],
  'rotary-hammer': [2.6, 4],
  'hand-core-drill': [4.5, 7],
};
/** Two thumbs laid on, not leant on, N. */
const THUMBS_N = [5, 20] as const;
/** 6 mm of glass in a minute, give or take a quarter. */
const GLASS_S_PER_MM = 10;
const ABOUT = 0.25;
/** Slurry that is brown and opaque and still runs, g of fines in a litre. */
const MILK_CHOCOLATE_G_PER_L = [30, 300] as const;

const machineOf = ({ plan }: TradeScene): MachineKindId | undefined => {
  const { machineKind } = plan.setup;
  return machineKind in MACHINE_KINDS ? (machineKind as MachineKindId) : undefined;
};

/** Highest speed its dial or gears give, rpm. */
const topRpm = (kind: MachineKindId): number => speedSettings({ kind }).at(-1)?.maxRpm ?? 0;

const isFreeHand = ({ plan }: TradeScene): boolean => isByHand(plan.setup.hold);

/** Rules of thumb of the trades, each where it is said. */
export const TRADE_RULES = {
  'weight-of-the-drill': {
    figure: 'force',
    range: (scene) => {
      const kind = machineOf(scene);
      const mass = kind && MASS_KG[kind];
      return mass && scene.materialClass === 'glass' && isFreeHand(scene)
        ? [mass[0] * NEWTON_PER_KGF, mass[1] * NEWTON_PER_KGF]
        : null;
    },
  },
  'thumbs-only': {
    figure: 'force',
    range: ({ form }) => (form === 'bead' ? THUMBS_N : null),
  },
  'third-to-half-speed': {
    figure: 'speed',
    range: (scene) => {
      const kind = machineOf(scene);
      if (!kind || !isFreeHand(scene) || scene.materialClass === 'masonry') return null;
      return [topRpm(kind) / 3, topRpm(kind) / 2];
    },
  },
  'minute-for-six': {
    figure: 'time',
    range: ({ plan, form, materialClass }) => {
      if (materialClass !== 'glass' || form === 'bead') return null;
      const s = plan.depthMm * GLASS_S_PER_MM;
      return [s * (1 - ABOUT), s * (1 + ABOUT)];
    },
  },
  'milk-chocolate': {
    figure: 'slurry',
    range: (scene) =>
      isBuilding(scene) && (scene.plan.water.slurryL ?? 0) > 0 ? MILK_CHOCOLATE_G_PER_L : null,
  },
} as const satisfies Record<string, TradeRule>;

export type TradeRuleId = keyof typeof TRADE_RULES;
const TRADE_RULE_IDS = Object.keys(TRADE_RULES) as readonly TradeRuleId[];

/** The plan's own figure a rule is held against; null where it has none. */
function actualOf(figure: RuledFigure, { plan }: TradeScene): number | null {
  switch (figure) {
    case 'force':
      return plan.feedForceN;
    case 'speed':
      return plan.rpm;
    case 'time':
      return plan.drillTimeS?.p50 ?? null;
    case 'slurry':
      return plan.water.slurryL ? plan.water.finesG / plan.water.slurryL : null;
  }
}

/** (a − nearer end) / nearer end outside the range, else 0. */
const departureOf = (actual: number, low: number, high: number): number =>
  actual < low ? (actual - low) / low : actual > high ? (actual - high) / high : 0;

/** What the trades would say of this hole, and how far the plan departs from it. */
export function judgeTradeRules(scene: TradeScene): readonly JudgedTradeRule[] {
  return TRADE_RULE_IDS.flatMap((id) => {
    const { figure, range }: TradeRule = TRADE_RULES[id];
    const ends = range(scene);
    const actual = actualOf(figure, scene);
    if (!ends || actual === null) return [];
    const [low, high] = ends;
    return [{ id, figure, low, high, actual, departure: departureOf(actual, low, high) }];
  });
}

/** What the plan goes by instead: rim area F/p, mm², and rim speed, m/s. */
export const planBasis = ({ feedForceN, contactPressureMpa, rpm, setup }: Plan) => ({
  rimAreaMm2: feedForceN / contactPressureMpa,
  rimMPerS: rimSpeedAt(rpm, setup.bitDiameterMm),
});
