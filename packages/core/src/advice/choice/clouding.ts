import { clearness } from '../../physics/water/transmittance';
import type { PlanContext } from '../../plan/planContext';

/** How clear standing water is after so many holes. */
export interface Clouding {
  readonly holes: number;
  /** Share of the light from the mark that still comes up. */
  readonly light: number;
  readonly isClear: boolean;
}

const MAX_SHOWN_HOLES = 12;

/** After each hole in one filling, until the mark is lost or for a dozen; empty where none stands. */
export function cloudingOf({ water, headline }: PlanContext): readonly Clouding[] {
  const { fillL, coverMm, finesG } = water;
  if (fillL === null || coverMm === null) return [];
  const all: Clouding[] = [];
  for (let holes = 1; holes <= MAX_SHOWN_HOLES; holes++) {
    const seen = clearness(finesG * holes, fillL, coverMm, headline.material.grainSizeUm);
    all.push({ holes, ...seen });
    if (!seen.isClear) break;
  }
  return all;
}
