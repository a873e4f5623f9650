import { bandName, bandWidth, type ServiceSpan } from '../../layout/services';
import { capitalised } from '../sentence';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';

/** How far the hole must move, in a sentence. */
export const clashText = ({ band, clearMm }: ServiceSpan, units: UnitSystem): string =>
  `${capitalised(bandName(band))} may lie in the hole’s way: the hole runs ${formatLengthShort(-clearMm, units)} into its band, which is ${formatLengthShort(bandWidth(band), units)} wide with what the scan may be off by.`;
