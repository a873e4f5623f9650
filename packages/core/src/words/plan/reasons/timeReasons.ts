import { formatSignificant } from '../../units/roundNumber';
import { formatArea, formatDuration, formatDurationSpan } from '../../units/formatQuantity';
import { formatLength, formatLengthShort } from '../../units/length';
import { AROUND, AROUND_IDS, PAUSE_IDS, PAUSES } from '../../../physics/cutting/pauses';
import { logNormalP90 } from '../../../physics/spread';
import type { WorkedOperation } from '../../../plan/planContext';
import { type Explain } from './explain';
import { input } from '../../../documents/reason';

const counted = (count: number, one: string): string =>
  count === 0 ? '' : `${count} ${one}${count === 1 ? '' : 's'}`;

const total = (
  operations: readonly WorkedOperation[],
  of: (one: WorkedOperation) => number | undefined,
): number => operations.reduce((sum, one) => sum + (of(one) ?? 0), 0);

export const time: Explain = ({ time: t, operations, units, depthMm }) => {
  if (t.spread === null)
    return {
      text: 'It does not cut at this pressure.',
      inputs: [],
      source: 'Preston’s relation: no rate at or below half the glaze pressure.',
    };
  const extras = [
    counted(
      total(operations, ({ cut }) => cut?.lifts.length),
      'lift',
    ),
    counted(
      total(operations, ({ cut }) => cut?.water.changeAtDepthMm.length),
      'water change',
    ),
    counted(
      total(operations, ({ time }) => (time.pauses.coreBreaks ? 1 : 0)),
      'core break',
    ),
  ].filter(Boolean);
  return {
    text: `Most tries take ${formatDurationSpan(t.spread.p10, t.spread.p90)}${extras.length > 0 ? `, with ${extras.join(', ')}` : ''}.`,
    inputs: [
      input('Depth', formatLength(depthMm, units)),
      input('Cutting', formatDuration(t.cuttingS)),
      ...(t.restsS > 0 ? [input('Rests for the arms', formatDuration(t.restsS))] : []),
      ...PAUSE_IDS.filter((id) => t.pauses[id] > 0).map((id) =>
        input(PAUSES[id].name, formatDuration(t.pauses[id])),
      ),
      ...AROUND_IDS.filter((id) => t.around[id] > 0).map((id) =>
        input(`${AROUND[id].name}, not in it`, formatDuration(t.around[id])),
      ),
    ],
    source:
      'Sum over seat, main and exit of depth over rate, the rests of the arms (Rohmert) and the halts between.',
    spread: `Eight tries in ten fall in the span: the cutting within a factor of ${formatSignificant(logNormalP90(1, t.sd), 2)} either way, from force, speed, sharpness and the material’s own spread.`,
  };
};

export const lifts: Explain = ({ lifts: depths, headline, setup, units }) => ({
  text:
    depths.length === 0
      ? setup.coolant.flushesGroove
        ? 'None: the water comes up through the groove.'
        : 'None: it is through before the groove fills.'
      : `Fines fill a quarter of the groove; first at ${formatLengthShort(depths[0] ?? 0, units)}.`,
  inputs: [
    input(
      'Gap beside the rim c',
      `${formatLengthShort(headline.bit.clearancePerSideMm, units)} a side`,
    ),
    input('Kerf area A_k', formatArea(headline.contact.kerfAreaMm2, units)),
    input('Depths', depths.map((depth) => formatLengthShort(depth, units)).join(', ') || 'none'),
  ],
  source:
    'A lift is due each time the fines fill a quarter of the groove’s gap, from 1 mm, at least 0.5 mm and 8 s apart.',
});

export const passes: Explain = ({ passes: p, setup, units }) => ({
  text:
    p.count === 1
      ? `The bit reaches ${formatLengthShort(setup.finishing.geometry.usableDepthMm, units)}: one go.`
      : `The core comes out ${p.count - 1 === 1 ? 'once' : `${p.count - 1} times`} on the way.`,
  inputs: [input('Usable depth', formatLength(setup.finishing.geometry.usableDepthMm, units))],
  source:
    'A core fills the barrel: it is broken out every usable depth less 5 mm; behind a leaf with a cavity it drops free.',
});
