/** Room kept between the core's top and the closed end of the barrel, mm. */
const BARREL_RESERVE_MM = 5;

export interface Passes {
  readonly count: number;
  /** Depths at which the core is snapped and drawn, mm. */
  readonly coreBreaksAtMm: readonly number[];
  /** How much longer than the barrel the reach must be, mm; 0 when the barrel is enough. */
  readonly extensionMm: number;
}

/**
 * Passes down to a depth with a core bit: when depth > usable depth − 5 mm the core is broken out
 * every usable depth − 5 mm, and beyond the barrel an extension carries on.
 */
export function corePasses(depthMm: number, usableDepthMm: number): Passes {
  const strokeMm = Math.max(usableDepthMm - BARREL_RESERVE_MM, 1);
  const count = Math.max(1, Math.ceil(depthMm / strokeMm - 1e-9));
  return {
    count,
    coreBreaksAtMm: Array.from({ length: count - 1 }, (_, index) => (index + 1) * strokeMm),
    extensionMm: Math.max(0, depthMm - usableDepthMm),
  };
}
