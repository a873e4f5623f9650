import { freeEdges } from '../../layout/outline';
import type { BendingScene } from './bendingScene';

/** A pane of 6 mm glass that stands free of supports, pressed with 40 N in its middle. */
export const paneOf = (
  widthMm: number,
  heightMm: number,
  over: Partial<BendingScene> = {},
): BendingScene => ({
  edge: freeEdges({ kind: 'rectangle', widthMm, heightMm }),
  widthMm,
  heightMm,
  gaps: [],
  thicknessMm: 6,
  youngModulusMpa: 70_000,
  poisson: 0.22,
  densityKgPerM3: 2500,
  lies: false,
  bedNPerMm3: 0,
  pads: [],
  edgesHeld: 'none',
  twistMm: 0,
  clamps: [],
  boards: [],
  rim: { xMm: widthMm / 2, yMm: heightMm / 2, meanRadiusMm: 6 },
  forceN: 40,
  ...over,
});
