import { BIT_STATES, CRACK_SIGHTS, FORCES_FELT, PART_FITS, VERDICTS } from '../data/choices';
import { LIMITS } from '../data/schema/limits';
import { id, list, number, object, oneOf, text, type Document } from '../data/schema/schema';

const chip = number({ min: 0, max: 1000, unit: 'mm' });
const off = number({ min: -1000, max: 1000, unit: 'mm' });

/** What was found when the hole was cleaned and looked at; left out where not measured. */
export const runResultSchema = object(
  { verdict: oneOf(VERDICTS), crack: oneOf(CRACK_SIGHTS) },
  {
    entryDiameterMm: number(LIMITS.diameterMm),
    exitDiameterMm: number(LIMITS.diameterMm),
    /** How far the middle sits right of, and above, where it was meant. */
    offXMm: off,
    offYMm: off,
    /** How far the exit sits from under the entry. */
    leanMm: off,
    /** Widest chip at each face, by comparison with drawn sizes. */
    entryChipMm: chip,
    exitChipMm: chip,
    force: oneOf(FORCES_FELT),
    partFit: oneOf(PART_FITS),
    bitState: oneOf(BIT_STATES),
    photoIds: list(id, 12),
    note: text(2000),
  },
);
export interface RunResult extends Document<typeof runResultSchema> {}
