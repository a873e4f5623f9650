import { bandName, clashText, spansToServices } from '../../layout/services';
import type { Hazard, HazardScene } from './gate';
import type { Judged } from '../../documents/gate';

const clashes = ({ piece, hole }: HazardScene) =>
  spansToServices(piece, hole).filter(({ clearMm }) => clearMm < 0);

/** The hole as placed runs into something a scan has found. */
export const serviceClash: Hazard<'service-clash'> = {
  code: 'service-clash',
  title: 'The hole runs into what the scan found',
  scope: 'hole',
  facts: (scene) => clashes(scene).map(({ band }) => `${band.id} ${bandName(band)}`),
  judge: (scene): Judged | null => {
    const found = clashes(scene);
    const [worst] = found;
    if (!worst) return null;
    const bars = found.every(({ band }) => band.kind === 'bar');
    const more = found.length > 1 ? ` ${found.length - 1} more lie in its way.` : '';
    return {
      level: 'stop',
      message: `${clashText(worst, scene.units)}${more} Move the hole, or scan again nearer.`,
      // Pipes and cables have no way round but moving; a bar may be cut where an engineer says so.
      answers: bars
        ? [
            {
              code: 'engineer-allows',
              label: 'An engineer allows this bar to be cut',
              asks: 'Who allowed it, and when',
            },
          ]
        : [],
    };
  },
};
