import type { PressedCut } from '../cutting/pressedTime';
import type { HandlingCase } from './handlingHazard';
import type { StressSite } from './stressSites';

/** What is not known for certain about drilling one hole. */
export const UNKNOWNS = [
  'force',
  'speed',
  'sharpness',
  'rate',
  'pauses',
  'toughness',
  'shelling',
  'thickness',
  'mix',
  'heat',
  'constraint',
  'strength',
  'weibull',
  'handling',
  'identity',
] as const;
export type Unknown = (typeof UNKNOWNS)[number];
/** All but what the piece is, which is picked and not spread. */
export type SpreadUnknown = Exclude<Unknown, 'identity'>;

/**
 * One thing the piece may be, beside the one planned for: how much faster it grinds, wider it chips,
 * weaker it is and hotter it strains.
 */
export interface RiskIdentity {
  readonly share: number;
  readonly rateFactor: number;
  readonly chipFactor: number;
  readonly strengthFactor: number;
  readonly heatFactor: number;
}

/** Where one cut strains the piece. */
export interface CutStrain {
  /** Empty for walls and floors: no stress is calculated, handling stands alone. */
  readonly sites: readonly StressSite[];
  /** d ln ΔT/d ln q: 1, or nearly nothing where boiling holds the rim. */
  readonly heatGain: number;
}

/** One hole as the Monte Carlo sees it: middles and spreads, nothing else. */
export interface RiskModel {
  /** sd of the logarithm of each unknown; 0 where it is known. */
  readonly sd: Readonly<Record<SpreadUnknown, number>>;
  /** Lifts, water changes, core breaks, swaps, s. */
  readonly fixedS: number;
  readonly cuts: readonly PressedCut[];
  readonly sharpness: number;
  readonly identities: readonly RiskIdentity[];
  readonly strains: readonly CutStrain[];
  readonly builtInMpa: number;
  readonly strength: { readonly fractileMpa: number; readonly weibullModulus: number };
  readonly handling: HandlingCase;
  /** That it is not what it is taken for, and bursts. */
  readonly treatmentOdds: number;
  /** What the log makes of the spread of the time, and of the hazard; 1 where it tells nothing. */
  readonly logged: { readonly timeSpread: number; readonly hazardTimes: number };
  /** null where no far face is opened. */
  readonly chip: { readonly widthMm: number; readonly sheetThicknessMm: number | null } | null;
}
