import { bandName, spansToServices } from '../../layout/services';
import { defineHazard, type HazardScene } from './hazard';

const clashes = ({ piece, hole }: HazardScene) =>
  spansToServices(piece, hole).filter(({ clearMm }) => clearMm < 0);

/** The hole as placed runs into something a scan has found. */
export const serviceClash = defineHazard({
  code: 'service-clash',
  scope: 'hole',
  facts: (scene) => clashes(scene).map(({ band }) => `${band.id} ${bandName(band)}`),
  judge: (scene) => {
    const found = clashes(scene);
    const [worst] = found;
    return worst
      ? {
          level: 'stop',
          found: 'in-the-way',
          worst,
          more: found.length - 1,
          // Pipes and cables have no way round but moving; a bar may be cut where an engineer says so.
          answers: found.every(({ band }) => band.kind === 'bar')
            ? [{ code: 'engineer-allows', inWriting: true }]
            : [],
        }
      : null;
  },
});
