/* Apart from the schema, so that what only asks for a trait carries no schemas with it. */

/** What a material is besides its numbers: what hazards, marks and tools go by. */
export const MATERIAL_TRAITS = [
  /** A flat fired tile, for which tools made for dry exist. */
  'tile',
  /** Its body is soft enough for a carbide spear. */
  'soft-body',
  /** Put up in the years when asbestos was mixed in, it may hold some. */
  'may-hold-asbestos',
  'lead-glaze',
  /** Bundles of fine mineral fibres. */
  'fibrous',
  /** Nearly all silica: never dry. */
  'all-silica',
  /** Fused or blown in a studio: it may not have been annealed. */
  'studio-fired',
  /** Presumed annealed where it is hollow. */
  'bottle',
  'unglazed',
  /** Polished though it is no glass: a pencil will not take, and a bit skates. */
  'polished',
  /** May hold bars, or tendons under tension. */
  'reinforceable',
  /** Cut stone that walls and floors are made of. */
  'building-stone',
  /** Steel lies in the cut. */
  'steel',
] as const;
export type MaterialTrait = (typeof MATERIAL_TRAITS)[number];

/** Whether a material is of this kind. */
export const hasTrait = (
  { traits = [] }: { readonly traits?: readonly MaterialTrait[] },
  trait: MaterialTrait,
): boolean => traits.includes(trait);
