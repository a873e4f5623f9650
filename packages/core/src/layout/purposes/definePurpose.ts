import type { Drawing } from '../../math/primitives';
import type { UnitSystem } from '../../data/unitSystem';
import { readFields, type Fields, type ValuesOf } from './field';
import type { Calculated, Clash, FitOutcome, FitScene } from './fit';
import type { Fit } from '../../documents/fit';

interface PurposeSpec<Fs extends Fields> {
  readonly title: string;
  /** When to choose it, in a line. */
  readonly about: string;
  readonly fields: Fs;
  readonly calculate: (values: ValuesOf<Fs>, scene: FitScene) => Calculated | Clash;
  readonly draw: (values: ValuesOf<Fs>, fit: Fit, scene: FitScene) => Drawing;
  /** What a hole of this diameter takes, in a line; null where it serves no such part. */
  readonly reverse: (diameterMm: number, units: UnitSystem) => string | null;
}

/** A purpose with its fields' types closed in: one shape for all, for the registry. */
export interface Purpose {
  readonly title: string;
  readonly about: string;
  readonly fields: Fields;
  readonly fit: (given: Readonly<Record<string, unknown>>, scene: FitScene) => FitOutcome;
  readonly reverse: (diameterMm: number, units: UnitSystem) => string | null;
}

/** Read the fields, calculate, explain, draw: the life of every purpose. */
export function definePurpose<const Fs extends Fields>(spec: PurposeSpec<Fs>): Purpose {
  const fit: Purpose['fit'] = (given, scene) => {
    const { values, faults } = readFields(spec.fields, given, scene.thicknessMm, scene.units);
    if (faults.length > 0) return { kind: 'faulty', faults };
    const calculated = spec.calculate(values, scene);
    if ('kind' in calculated) {
      const { field, message } = calculated;
      return { kind: 'faulty', faults: [{ pointer: `/${field}`, message }] };
    }
    const { working, source, why, ...rest } = calculated;
    const made: Fit = { ...rest, reason: { text: why, inputs: working, source } };
    return { kind: 'fits', fit: made, drawing: spec.draw(values, made, scene) };
  };
  return {
    title: spec.title,
    about: spec.about,
    fields: spec.fields,
    fit,
    reverse: spec.reverse,
  };
}
