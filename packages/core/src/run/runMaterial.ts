import type { MaterialClass } from '../data/choices';
import type { BarePlan } from '../documents/plan';

/** The body that the bit meets first. */
export const materialClassOf = ({ layers }: Pick<BarePlan, 'layers'>): MaterialClass =>
  layers.find((layer) => layer.class !== null)?.class ?? 'stone';
