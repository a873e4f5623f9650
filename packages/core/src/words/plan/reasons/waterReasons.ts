import { formatSignificant } from '../../units/roundNumber';
import { formatDuration, formatFlow, formatVolume } from '../../units/formatQuantity';
import { formatLength } from '../../units/length';
import { type Explain } from './explain';
import { renewal } from '../waterWords';
import { input } from '../../../documents/reason';
import { timesWords } from '../../sentence';

export const water: Explain = ({ water: w, setup, units, headline }) => {
  const { coolant } = setup;
  if (w.fillL !== null) {
    const holes = w.holesPerFill ?? 0;
    return {
      text:
        w.changeAtDepthMm.length > 0
          ? `Too thick with fines before it is through: ${renewal(setup.coolant.id).toLowerCase()} ${timesWords(w.changeAtDepthMm.length)}.`
          : holes >= 1
            ? `Clear enough for ${holes === 1 ? 'one hole' : `${holes} holes`} like this.`
            : 'It clouds on the way, when the groove steers the bit already: fresh water before the next mark.',
      inputs: [
        input('Pour', formatVolume(w.fillL, units)),
        input('Over the face', formatLength(coolant.atCoverMm, units)),
        input('Fines of this hole', `${formatSignificant(w.finesG, 2)} g`),
      ],
      source:
        'Beer–Lambert: the mark shows while fines stay under ln(1/0.15)/(120 m²/kg × cover); once the bit is seated or guided it may load to 60 g/L.',
    };
  }
  if (w.flowLPerMin !== null) {
    return {
      text: `A cup in ${formatDuration(w.secondsPerCup ?? 0)}; about ${formatVolume(w.slurryL ?? 0, units)} of slurry to catch.`,
      inputs: [
        input('Flow', formatFlow(w.flowLPerMin, units)),
        input('Power', `${formatSignificant(headline.force.powerW, 2)} W`),
      ],
      source:
        'Q = max(P/(ρ_w·c_w·15 K), fines at 60 g/L, 0.4 m/s up the gap beside the rim), at least max(0.5, D/100) L/min.',
    };
  }
  return {
    text: coolant.note,
    inputs: [input('Fines of this hole', `${formatSignificant(w.finesG, 2)} g`)],
    source: 'Usual heat transfer of this means at the rim.',
  };
};
