import type { HandlingCase } from './handlingOdds';

/** What is not known for certain about drilling one hole. */
export const UNKNOWNS = [
  'force',
  'speed',
  'sharpness',
  'rate',
  'toughness',
  'thickness',
  'mix',
  'identity',
] as const;
export type Unknown = (typeof UNKNOWNS)[number];

/** One stretch of cutting, as it goes when everything is at its middle. */
export interface RiskCut {
  readonly seconds: number;
  /** p and the idle part of it, f·p_glaze/2, MPa. */
  readonly pressureMpa: number;
  readonly idleMpa: number;
}

/** One thing the piece may be: how much faster it grinds and wider it chips than the one planned for. */
export interface RiskIdentity {
  readonly share: number;
  readonly rateFactor: number;
  readonly chipFactor: number;
}

/** One hole as the Monte Carlo sees it: middles and spreads, nothing else. */
export interface RiskModel {
  /** Spread of each unknown; sd of the logarithm, of sharpness the sd itself. 0 where it is known. */
  readonly sd: Readonly<Record<Exclude<Unknown, 'identity'>, number>>;
  /** Lifts, water changes, core breaks, swaps, s. */
  readonly fixedS: number;
  readonly cuts: readonly RiskCut[];
  readonly sharpness: number;
  readonly identities: readonly RiskIdentity[];
  readonly heat: { readonly thermalStressMpa: number; readonly builtInMpa: number };
  /** Bending by weight and clamps, and what the drill's force adds to it, MPa. */
  readonly bending: { readonly atRestMpa: number; readonly pressedMpa: number };
  readonly strength: { readonly fractileMpa: number; readonly weibullModulus: number };
  readonly handling: Omit<HandlingCase, 'sharpness' | 'sharpnessSd'>;
  /** Walls and floors: no stress is reckoned, handling stands alone. */
  readonly handlingAlone: boolean;
  /** null where no far face is opened. */
  readonly chip: { readonly widthMm: number; readonly sheetThicknessMm: number | null } | null;
}
