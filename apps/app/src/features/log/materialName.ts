import { findMaterial } from '@nucleon/core/data/materials/materials';

/** A material of one’s own goes by its id: the log outlives the job that described it. */
export const materialName = (id: string): string => findMaterial(id)?.name ?? id;
