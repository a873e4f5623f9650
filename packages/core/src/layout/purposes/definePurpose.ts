import type { UnitSystem } from '../../data/unitSystem';
import type { Drawing } from '../../math/primitives';
import { readFields, type Fields, type ValuesOf } from './field';
import type { Clash, FitNumbers, FitScene, FitWords, Say, Sizing } from './fit';

interface PurposeSpec<Fs extends Fields, Found> {
  readonly title: string;
  /** When to choose it, in a line. */
  readonly about: string;
  readonly fields: Fs;
  /** What the part asks of the hole; found: what came up on the way there that its words name. */
  readonly calculate: (
    values: ValuesOf<Fs>,
    scene: FitScene,
  ) => (FitNumbers & { readonly found: Found }) | Clash;
  readonly says: (values: ValuesOf<Fs>, found: Found, say: Say) => FitWords;
  readonly draw: (values: ValuesOf<Fs>, fit: FitNumbers, scene: FitScene, say: Say) => Drawing;
  /** What a hole of this diameter takes, in a line; null where it serves no such part. */
  readonly reverse: (diameterMm: number, say: Say) => string | null;
}

type Given = Readonly<Record<string, unknown>>;

/** A purpose with its fields' types closed in: one shape for all, for the registry. */
export interface Purpose extends Pick<
  PurposeSpec<Fields, unknown>,
  'title' | 'about' | 'fields' | 'reverse'
> {
  /** @param units what a length typed without one is in */
  readonly size: (given: Given, scene: FitScene, units?: UnitSystem) => Sizing;
}

/**
 * One part and the hole it asks for: its fields, its numbers, the words for them, its drawing. The
 * numbers stand by themselves; the words are functions of how numbers are written, called last.
 */
export function definePurpose<const Fs extends Fields, Found>(
  spec: PurposeSpec<Fs, Found>,
): Purpose {
  return {
    title: spec.title,
    about: spec.about,
    fields: spec.fields,
    reverse: spec.reverse,
    size: (given, scene, units) => {
      const { values, faults } = readFields(spec.fields, given, scene.thicknessMm, units);
      if (faults.length > 0)
        return { kind: 'faulty', faults: faults.map((fault) => ({ kind: 'field', ...fault })) };
      const calculated = spec.calculate(values, scene);
      if ('kind' in calculated) return { kind: 'faulty', faults: [calculated] };
      const { found, ...numbers } = calculated;
      return {
        kind: 'sized',
        numbers,
        says: (say) => spec.says(values, found, say),
        draws: (say) => spec.draw(values, numbers, scene, say),
      };
    },
  };
}
