import { lastingForceN } from '../../physics/effort/pressing';
import type { PlanNumbers } from '../../plan/planNumbers';
import type { Risk } from '../../physics/strength/assessRisk';

/** A middle with the tenth and ninetieth of a hundred like tries. */
export interface Spread {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** A hole as the model has it. */
export interface Worked {
  readonly plan: PlanNumbers;
  readonly risk: Risk;
}

interface FigureKind {
  readonly unit: string;
  /** In the unit; null where the model says nothing. */
  readonly of: (worked: Worked) => Spread | number | null;
}

/** People press about so long in one go, s. */
const ONE_GO_S = 300;

const times = (spread: Spread | null, by: number): Spread | null =>
  spread && { p10: spread.p10 * by, p50: spread.p50 * by, p90: spread.p90 * by };
const lifeDepthMm = ({ plan: { bitLife } }: Worked): Spread => ({
  p10: bitLife.lifeP10Mm,
  p50: bitLife.lifeDepthMm,
  p90: bitLife.lifeP90Mm,
});

/** Per cent; the middle is the mean, which is what a plan tells. */
const oddsSpread = ({ crackOdds, crackProbability }: Risk): Spread => ({
  p10: crackOdds.p10 * 100,
  p50: crackProbability * 100,
  p90: crackOdds.p90 * 100,
});

/** Everything that is set against the bench, each as one function of what the model works out. */
export const FIGURES = {
  'drilling time': { unit: 'min', of: ({ risk }) => times(risk.timeS, 1 / 60) },
  'time altogether': { unit: 'min', of: ({ plan }) => times(plan.altogetherS, 1 / 60) },
  'feed force': { unit: 'N', of: ({ plan }) => plan.feedForceN },
  'odds of a crack': { unit: '%', of: ({ risk }) => oddsSpread(risk) },
  'life of the bit, depth': { unit: 'mm', of: lifeDepthMm },
  'life of the bit, holes': {
    unit: 'holes',
    of: (worked) => times(lifeDepthMm(worked), 1 / worked.plan.depthMm),
  },
  'width of the exit chip': { unit: 'mm', of: ({ risk }) => risk.chipMm },
  'water changes': { unit: 'times', of: ({ plan }) => plan.water.changeAtDepthMm.length },
} as const satisfies Record<string, FigureKind>;

/** The same of people, whatever the hole. */
export const PEOPLES_FIGURES = {
  'push that lasts five minutes': { unit: 'N', of: () => lastingForceN(ONE_GO_S) },
} as const satisfies Record<string, { readonly unit: string; readonly of: () => number }>;

export type Figure = keyof typeof FIGURES;
export type PeoplesFigure = keyof typeof PEOPLES_FIGURES;
