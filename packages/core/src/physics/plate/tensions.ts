import { areaOf, cornersOf, triangleCount } from './plateMesh';
import type { PreparedPlate } from './preparePlate';

/**
 * Greatest tension on either face, MPa: the plate's own moments M = D·κ at the corners of each
 * triangle, averaged at the nodes by area, their principal values over t²/6. A positive moment pulls
 * the far face.
 */
export function tensions(
  { plate, rowOf, momentsOf }: PreparedPlate,
  u: Float64Array,
): { readonly farTensionMpa: Float64Array; readonly nearTensionMpa: Float64Array } {
  const { mesh, thicknessMm } = plate;
  const nodes = rowOf.length;
  const moments = new Float64Array(3 * nodes);
  const areas = new Float64Array(nodes);
  const own = new Float64Array(9);
  for (let triangle = 0; triangle < triangleCount(mesh); triangle++) {
    const corner = cornersOf(mesh, triangle);
    const area = areaOf(mesh, corner);
    for (let j = 0; j < 9; j++)
      own[j] = u[(rowOf[corner[Math.floor(j / 3)] ?? 0] ?? 0) + (j % 3)] ?? 0;
    for (let which = 0; which < 3; which++) {
      const node = corner[which] ?? 0;
      areas[node] = (areas[node] ?? 0) + area;
      for (let part = 0; part < 3; part++) {
        const row = 81 * triangle + 27 * which + 9 * part;
        let M = 0;
        for (let j = 0; j < 9; j++) M += (momentsOf[row + j] ?? 0) * (own[j] ?? 0);
        moments[3 * node + part] = (moments[3 * node + part] ?? 0) + M * area;
      }
    }
  }
  const perMpa = 6 / thicknessMm ** 2;
  const farTensionMpa = new Float64Array(nodes);
  const nearTensionMpa = new Float64Array(nodes);
  for (let node = 0; node < nodes; node++) {
    const area = areas[node] ?? 1;
    const Mx = (moments[3 * node] ?? 0) / area;
    const My = (moments[3 * node + 1] ?? 0) / area;
    const Mxy = (moments[3 * node + 2] ?? 0) / area;
    const mean = (Mx + My) / 2;
    const radius = Math.hypot((Mx - My) / 2, Mxy);
    farTensionMpa[node] = Math.max(0, (mean + radius) * perMpa);
    nearTensionMpa[node] = Math.max(0, (radius - mean) * perMpa);
  }
  return { farTensionMpa, nearTensionMpa };
}
