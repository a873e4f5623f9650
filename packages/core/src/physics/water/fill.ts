/** What stands in the water, all on a flat tray. Lengths mm, areas mm². */
export interface BathGeometry {
  readonly trayAreaMm2: number;
  readonly backingMm: number;
  readonly backingAreaMm2: number;
  readonly thicknessMm: number;
  readonly pieceAreaMm2: number;
  readonly coverMm: number;
}

/** Litres to pour: tray area × (backing + thickness + cover) less the solids that stand in it. */
export function bathFill(bath: BathGeometry): number {
  const depthMm = bath.backingMm + bath.thicknessMm + bath.coverMm;
  const solidsMm3 =
    Math.min(bath.backingAreaMm2, bath.trayAreaMm2) * bath.backingMm +
    Math.min(bath.pieceAreaMm2, bath.trayAreaMm2) * bath.thicknessMm;
  return (bath.trayAreaMm2 * depthMm - solidsMm3) / 1e6;
}
