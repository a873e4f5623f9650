import { stateWords } from '../bitWords';
import { input, type ReasonInput } from '../../documents/reason';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import { CRACK_WORDS, FORCE_WORDS, PART_FIT_WORDS, VERDICT_WORDS } from './resultWords';
import type { RunResult } from '../../documents/runResult';

/** What was found, a line each; what was not measured is left out. */
export function resultLines(result: RunResult, units: UnitSystem): readonly ReasonInput[] {
  const length = (name: string, mm: number | undefined): readonly ReasonInput[] =>
    mm === undefined ? [] : [input(name, mm === 0 ? 'None' : formatLengthShort(mm, units))];
  const { force, partFit, bitState, note } = result;
  return [
    input('The hole is', VERDICT_WORDS[result.verdict]),
    input('Crack', CRACK_WORDS[result.crack]),
    ...length('Chip going in', result.entryChipMm),
    ...length('Chip coming out', result.exitChipMm),
    ...length('Across, going in', result.entryDiameterMm),
    ...length('Across, coming out', result.exitDiameterMm),
    ...length('Off to the right', result.offXMm),
    ...length('Off upwards', result.offYMm),
    ...length('Exit off the entry', result.leanMm),
    ...(force ? [input('Pressed', FORCE_WORDS[force])] : []),
    ...(partFit ? [input('The part', PART_FIT_WORDS[partFit])] : []),
    ...(bitState ? [input('The bit after it', stateWords(bitState))] : []),
    ...(note ? [input('Note', note)] : []),
  ];
}
