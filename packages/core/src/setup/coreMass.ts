import type { LayerCut } from './cutLayers';
import type { ResolvedSetup } from './resolvedSetup';

interface Cored {
  readonly setup: ResolvedSetup;
  readonly layers: readonly LayerCut[];
}

/** Mass of the core between two depths, kg: the plug inside the ring, leaf by leaf, less what a smaller bit took out. */
export function coreMassBetween({ setup, layers }: Cored, fromMm: number, toMm: number): number {
  const { solid, diameterMm, rimWidthMm } = setup.finishing.geometry;
  if (solid) return 0;
  const plugMm = diameterMm - 2 * rimWidthMm;
  return layers.reduce((sum, { layer, slowest, pilotMm }) => {
    const areaMm2 = (Math.PI * Math.max(0, plugMm ** 2 - pilotMm ** 2)) / 4;
    const lengthMm = Math.min(toMm, layer.toMm) - Math.max(fromMm, layer.fromMm);
    return slowest && lengthMm > 0
      ? sum + areaMm2 * lengthMm * slowest.material.densityKgPerM3 * 1e-9
      : sum;
  }, 0);
}
