import { isBuilding } from '../../data/pieceForms';
import { dam, usualDam } from '../../layout/guideBoard';
import { depthsText } from '../plan/depthsText';
import type { PlanInUnits } from '../plan/planInUnits';
import { flowFor, WATER_OFF_BEFORE_MM } from '../../plan/planWater';
import { input, type ReasonInput } from '../../documents/reason';
import { formatDuration, formatFlow, formatVolume } from '../units/formatQuantity';
import { formatLengthAbout, formatLengthShort } from '../units/length';
import { formatDecimals, formatSignificant } from '../units/roundNumber';
import type { Clouding } from '../../advice/choice/clouding';
import { settlingTime } from '../../physics/water/transmittance';
import { DROPS_PER_ML, dripRate } from '../../physics/water/drip';

/** One thing to do about water, with its numbers. */
export interface WaterPart {
  readonly id: 'bath' | 'pool' | 'drip' | 'flow' | 'hand' | 'off' | 'slurry' | 'dry';
  readonly title: string;
  readonly text: string;
  readonly lines: readonly ReasonInput[];
  readonly source: string;
}

/** Fines of this much a bucket's depth of water settles overnight, mm. */
const BUCKET_MM = 250;
const USUAL_GRAIN_UM = 10;

/** When standing water has to be changed, by how it clouds. */
export function cloudingText(clouding: readonly Clouding[]): string {
  const last = clouding.at(-1);
  const clear = clouding.filter(({ isClear }) => isClear).length;
  if (!last || last.isClear) return `Clear enough for ${clear} such holes and more.`;
  return clear === 0
    ? 'The mark is lost before the first hole is done, when the groove steers the bit already: fresh water before the next.'
    : `The mark is lost in hole ${last.holes}: change the water after ${clear}.`;
}

/** What the planned water asks for: how much, how fast, when to change it, and where it goes after. */
export function waterAdvice(context: PlanInUnits): readonly WaterPart[] {
  const { kind, id } = context.setup.coolant;
  const parts = {
    standing: () => [id === 'pool' ? pool(context) : bath(context)],
    flowing: () => [flow(context)],
    wetted: () => [id === 'drip' || id === 'grinder-feed' ? drip(context) : byHand(context)],
    dry: () => [dry()],
  }[kind]();
  return [...parts, ...waterOff(context), slurry(context)];
}

const needed = ({ headline }: PlanInUnits) => flowFor(headline);

const changes = ({ water, units }: PlanInUnits): ReasonInput =>
  input(
    'Change it',
    water.changeAtDepthMm.length > 0
      ? depthsText(water.changeAtDepthMm, units)
      : `after ${formatDecimals(Math.max(1, water.holesPerFill ?? 1), 0)} such ${(water.holesPerFill ?? 1) > 1 ? 'holes' : 'hole'}`,
  );

function bath(context: PlanInUnits): WaterPart {
  const { water, setup, units } = context;
  return {
    id: 'bath',
    title: 'The bath',
    text: `Pour ${formatVolume(water.fillL ?? 0, units)}: ${formatLengthShort(water.coverMm ?? 0, units)} over the face, with ${setup.support.name.toLowerCase()} of ${formatLengthShort(setup.support.atThicknessMm, units)} under it.`,
    lines: [
      changes(context),
      input('Fines from this hole', `${formatSignificant(water.finesG, 2)} g`),
      input('Cover', formatLengthShort(water.coverMm ?? 0, units)),
    ],
    source:
      'Tray area × depth less what stands in it; clouding by Beer–Lambert, 15 % of the light left.',
  };
}

function pool(context: PlanInUnits): WaterPart {
  const { water, headline, units } = context;
  const ring = dam({ ...usualDam(headline.bit.diameterMm), heightMm: (water.coverMm ?? 10) + 5 });
  return {
    id: 'pool',
    title: 'The pool',
    text: `A dam round the mark holds ${formatVolume(water.fillL ?? 0, units)}. Sponge it out and refill when you lose sight of the groove.`,
    lines: [
      changes(context),
      input('Fines from this hole', `${formatSignificant(water.finesG, 2)} g`),
      input('Putty for the ring', formatVolume(ring.puttyMl / 1000, units)),
    ],
    source: 'Dam’s area × cover; clouding by Beer–Lambert.',
  };
}

/** A drop a second: slower, the groove dries between drops. */
const MIN_DRIP_L_PER_MIN = 60 / DROPS_PER_ML / 1000;

function drip(context: PlanInUnits): WaterPart {
  const { units } = context;
  const { forHeatLPerMin, forFinesLPerMin } = needed(context);
  const asked = Math.max(forHeatLPerMin, forFinesLPerMin, MIN_DRIP_L_PER_MIN);
  const rate = dripRate(asked);
  return {
    id: 'drip',
    title: 'The drip',
    text: rate.runs
      ? `A thin thread: a cup in ${formatDuration(rate.secondsPerCup)}.`
      : `${rate.dropsPerS < 1.05 ? 'One drop' : `${formatSignificant(rate.dropsPerS, 2)} drops`} a second where the rim meets the piece, a cup in ${formatDuration(rate.secondsPerCup)}.`,
    lines: [
      input('For the heat', formatFlow(forHeatLPerMin, units)),
      input('For the fines', formatFlow(forFinesLPerMin, units)),
      input('Drops', `${DROPS_PER_ML} to the millilitre, at least one a second`),
    ],
    source: 'Q = P/(ρ·c·15 K), and fines as a slurry of 60 g/L.',
  };
}

function flow(context: PlanInUnits): WaterPart {
  const { water, units } = context;
  const at = needed(context);
  return {
    id: 'flow',
    title: 'The flow',
    text: `${formatFlow(water.flowLPerMin ?? at.flowLPerMin, units)}: a cup fills in ${formatDuration(at.secondsPerCup)}. Time it into a cup before you start.`,
    lines: [
      input('For the heat', formatFlow(at.forHeatLPerMin, units)),
      input('For the fines', formatFlow(at.forFinesLPerMin, units)),
      input('To lift the cuttings', formatFlow(at.forRisingLPerMin, units)),
      input('At least, for a bit of this size', formatFlow(at.minLPerMin, units)),
      input('Slurry in all', water.slurryL === null ? '–' : formatVolume(water.slurryL, units)),
    ],
    source:
      'Q = max(P/(ρ·c·15 K), ρ·A_k·u/60 g·L⁻¹, π·D·c·0.4 m/s), at least max(0.5, D/100) L/min.',
  };
}

/** A hand on the bottle wets the groove about this often, s. */
const SQUEEZE_EVERY_S = 5;

function byHand(context: PlanInUnits): WaterPart {
  const { units } = context;
  const { forHeatLPerMin, forFinesLPerMin } = needed(context);
  const perSqueezeMl = (Math.max(forHeatLPerMin, forFinesLPerMin) * 1000 * SQUEEZE_EVERY_S) / 60;
  return {
    id: 'hand',
    title: 'By hand',
    text: `Every ${SQUEEZE_EVERY_S} seconds about ${formatVolume(Math.max(perSqueezeMl, 1) / 1000, units)}: the groove never runs pale and dry. Someone else on the water is better.`,
    lines: [
      input('For the heat', formatFlow(forHeatLPerMin, units)),
      input('For the fines', formatFlow(forFinesLPerMin, units)),
    ],
    source: 'Q = P/(ρ·c·15 K); between squeezes the ring heats as the chart shows.',
  };
}

const dry = (): WaterPart => ({
  id: 'dry',
  title: 'Dry',
  text: 'Only bits made for it, with extraction at the rim and a respirator. Short bites, and let it cool.',
  lines: [],
  source: 'From practice.',
});

function waterOff({ water, piece, units }: PlanInUnits): readonly WaterPart[] {
  if (water.offAtMm === null) return [];
  return [
    {
      id: 'off',
      title: 'When to shut it',
      text: `Shut the water at ${formatLengthShort(water.offAtMm, units)}, ${formatLengthShort(piece.thicknessMm - water.offAtMm, units)} before the far face: what is in the groove is enough, and the room behind stays dry.`,
      lines: [input('Usual', formatLengthShort(WATER_OFF_BEFORE_MM, units))],
      source: 'From practice; change it in the plan.',
    },
  ];
}

function slurry({ water, headline, piece, units }: PlanInUnits): WaterPart {
  const { material } = headline;
  const seconds = settlingTime(
    BUCKET_MM,
    material.densityKgPerM3,
    material.grainSizeUm || USUAL_GRAIN_UM,
  );
  const volume = water.slurryL ?? water.fillL;
  const caught = isBuilding(piece)
    ? 'Catch it with a ring and a wet vacuum, or a tray taped under the mark. '
    : '';
  const alkaline = material.class === 'masonry' ? ' It is alkaline: gloves on.' : '';
  return {
    id: 'slurry',
    title: 'Afterwards',
    text: `${caught}Let it stand ${formatDuration(seconds)}, pour the clear water off, bag the solids. Never down the drain.${alkaline}`,
    lines: [
      ...(volume === null ? [] : [input('Water to be rid of', formatVolume(volume, units))]),
      input('Solids', `${formatSignificant(water.finesG, 2)} g`),
      input('Settles through', formatLengthAbout(BUCKET_MM, units)),
    ],
    source: 'Stokes’ law for the grain of these fines.',
  };
}
