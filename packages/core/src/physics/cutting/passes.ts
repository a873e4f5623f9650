/** Room kept between the core's top and the closed end of the barrel, mm. */
export const BARREL_RESERVE_MM = 5;
/** A barrel that holds no more than its reserve still takes this much at a time, mm. */
const MIN_STROKE_MM = 1;
/** A hole that wants more breaks than this wants another bit. */
const MAX_BREAKS = 40;

/** One leaf with something to cut in it, by its depths from the face, mm. */
export interface SolidStretch {
  readonly fromMm: number;
  readonly toMm: number;
}

export interface CoreBreak {
  readonly atMm: number;
  /** Length of the core that comes out here, mm. */
  readonly lengthMm: number;
  /** barrel-full: snapped because the barrel holds no more · cavity: it drops free behind the leaf. */
  readonly why: 'barrel-full' | 'cavity';
}

/**
 * Where a core bit's cores come out on the way through leaves with or without cavities between them: within a leaf
 * broken out every depth of its bore − 5 mm; where a cavity follows it drops free and is drawn out before the next leaf.
 * @param stretches contiguous leaves, the face's first; a gap between two is a cavity
 */
export function coreBreaks(
  stretches: readonly SolidStretch[],
  boreDepthMm: number,
): readonly CoreBreak[] {
  const depthMm = stretches.at(-1)?.toMm ?? 0;
  const strokeMm = Math.max(boreDepthMm - BARREL_RESERVE_MM, MIN_STROKE_MM, depthMm / MAX_BREAKS);
  const breaks: CoreBreak[] = [];
  let coreFromMm = stretches[0]?.fromMm ?? 0;
  stretches.forEach(({ fromMm, toMm }, index) => {
    const before = stretches[index - 1];
    if (before && fromMm > before.toMm + 1e-9) {
      breaks.push({ atMm: before.toMm, lengthMm: before.toMm - coreFromMm, why: 'cavity' });
      coreFromMm = fromMm;
    }
    while (toMm - coreFromMm > strokeMm + 1e-9) {
      coreFromMm += strokeMm;
      breaks.push({ atMm: coreFromMm, lengthMm: strokeMm, why: 'barrel-full' });
    }
  });
  return breaks;
}

/** Depth at which an extension goes on, mm: with the core out anyway, at the last break the bare bit still reaches; else where it ends. */
export const extendAt = (breaks: readonly CoreBreak[], reachMm: number): number =>
  breaks.findLast(({ atMm }) => atMm <= reachMm)?.atMm ?? reachMm;
