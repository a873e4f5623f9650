import { formatLengthAbout } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';

/** Sinking less than this is none that matters, mm. */
const HARDLY_MM = 0.01;

/** How far a piece sinks, as a figure. */
export const sinkingInWords = (deflectionMm: number, units: UnitSystem): string =>
  deflectionMm < HARDLY_MM ? 'hardly' : formatLengthAbout(deflectionMm, units);

/** The same in a sentence, to follow “it”. */
export const sinksInWords = (deflectionMm: number, units: UnitSystem): string =>
  deflectionMm < HARDLY_MM ? 'hardly sinks' : `sinks ${formatLengthAbout(deflectionMm, units)}`;
