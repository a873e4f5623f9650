import { judgeEdges } from '../../layout/edgeRules';
import { MATERIALS } from '../../data/materials/materials';
import { caseIn, caseWith, jobWith, type JobParts } from '../../setup/jobFixtures';
import { contextOf } from '../../plan/contextOf';
import { rimStory } from '../risk/rimStory';
import { rememberingBend } from '../../physics/plate/bender';
import { METRIC } from '../../data/unitSystem';
import { inUnits, type PlanInUnits } from '../../words/plan/planInUnits';
import { edgeTruthInWords } from '../../words/advice/edgeTruthInWords';
import { supportsInWords } from '../../words/advice/supportsInWords';
import { waterInWords } from '../../words/advice/waterInWords';
import { holdAdvice } from '../../words/advice/holdAdvice';
import { edgeTruth } from './edgeTruth';
import { rankWater } from './rankWater';
import { rankSupports } from './rankSupports';
import { cloudingText, waterAdvice } from '../../words/advice/waterAdvice';
import { cloudingOf } from './clouding';

const bend = rememberingBend(30);
const contextWith = (parts: JobParts): PlanInUnits => {
  const worked = contextOf(caseWith(parts), bend);
  if (worked.kind === 'faulty') throw new Error(JSON.stringify(worked.faults));
  return inUnits(worked.context, METRIC);
};
const POT = {
  form: 'vessel',
  material: 'stoneware',
  outline: { kind: 'cylinder', outerDiameterMm: 160, heightMm: 200 },
} as const;

it('ranks what a pane may lie on, firmest exits first, with what each asks', () => {
  const outcome = supportsInWords(rankSupports(caseWith(), bend));
  if (outcome.kind !== 'ranked') throw new Error('faulty');
  const { ranked } = outcome;
  const cost = ranked.map((one) => one.outcome.cost.totalMoney);
  expect(cost).toEqual([...cost].sort((a, b) => a - b));
  const of = (kind: string) => ranked.find((one) => one.kind === kind);
  expect(of('sponge')?.stressMpa).toBeGreaterThan(of('softwood')?.stressMpa ?? Infinity);
  expect(of('sacrificial-hard')?.outcome.chipMm?.p50).toBeLessThan(
    of('foam')?.outcome.chipMm?.p50 ?? 0,
  );
  expect(of('foam')?.current).toBe(true);
  expect(of('foam')?.needs.join()).toContain('it floats in the bath');
  expect(of('sponge')?.stability).not.toBe('firm');
  expect(of('nothing')?.name).toBe('Over two battens');
});

it('beds round ware in what follows it before anything flat', () => {
  const outcome = rankSupports(
    caseWith({ piece: POT, setup: { support: { kind: 'sponge' } } }),
    bend,
  );
  if (outcome.kind !== 'ranked') throw new Error('faulty');
  const follows = outcome.ranked.map(({ suits }) => suits);
  expect(follows.lastIndexOf(true)).toBeLessThan(follows.indexOf(false));
});

it('ranks the ways of wetting, and says why others cannot', () => {
  const outcome = waterInWords(rankWater(caseWith(), bend));
  if (outcome.kind !== 'ranked') throw new Error('faulty');
  const rise = (kind: string) => outcome.ranked.find((one) => one.kind === kind)?.tempRiseK ?? NaN;
  expect(rise('still-bath')).toBeLessThan(rise('bottle'));
  const why = Object.fromEntries(outcome.barred.map((one) => [one.kind, one.why]));
  expect(why.none).toContain('is not drilled dry');
  expect(why.spindle).toContain('no water swivel');
});

it('tells how much to pour, and how the bath clouds hole by hole', () => {
  const context = contextWith({});
  expect(waterAdvice(context).map(({ id }) => id)).toEqual(['bath', 'slurry']);
  const clouding = cloudingOf(context);
  // Beer–Lambert: each hole takes the same share of the light that is left.
  const [first, second] = clouding;
  expect((second?.light ?? 0) / (first?.light ?? 1)).toBeCloseTo(first?.light ?? 0, 9);
  const cell = (holes: number, isClear: boolean) => ({ holes, light: 0.5, isClear });
  expect(cloudingText([cell(1, true), cell(2, false)])).toContain(
    'lost in hole 2: change the water after 1',
  );
  expect(cloudingText([cell(1, false)])).toContain('fresh water before the next');
  expect(cloudingText([cell(1, true)])).toContain('1 such holes and more');
  expect(clouding.filter(({ isClear }) => isClear).length).toBe(
    Math.min(12, context.water.holesPerFill ?? 0),
  );
});

it.each([
  ['pool', 'pool'],
  ['drip', 'drip'],
  ['running-tap', 'flow'],
  ['bottle', 'hand'],
] as const)('says what %s asks for', (kind, id) => {
  const [part] = waterAdvice(contextWith({ setup: { water: { kind } } }));
  expect(part?.id).toBe(id);
  expect(part?.text.length).toBeGreaterThan(20);
});

it('shuts the water before a wall’s far face', () => {
  const wall = { form: 'wall', material: 'concrete', thicknessMm: 150 } as const;
  const parts = waterAdvice(contextWith({ piece: wall, setup: { water: { kind: 'spindle' } } }));
  expect(parts.find(({ id }) => id === 'off')?.text).toContain('Shut the water at 130 mm');
});

it('follows the ring to the plan’s own heat, and far past it in a dry spell', () => {
  const context = contextWith({});
  const story = rimStory(context);
  expect(story.maxWetK / context.tempRiseK).toBeGreaterThan(0.9);
  expect(story.maxWetK / context.tempRiseK).toBeLessThan(1.1);
  expect(story.maxDryK).toBeGreaterThan(3 * story.maxWetK);
  expect(story.recoveryS).toBeGreaterThan(0);
  expect(story.limitK).toBeGreaterThan(story.maxWetK);
  expect(rimStory(context, 20).maxDryK).toBeGreaterThan(story.maxDryK);
});

it('tells how to hold a pane, a pot and a pebble', () => {
  const ids = (parts: JobParts) => holdAdvice(contextWith(parts)).map(({ id }) => id);
  expect(ids({})).toEqual(['piece', 'jam', 'stop', 'clamp']);
  expect(ids({ piece: POT })).toContain('cradle');
  expect(ids({ piece: { form: 'block', thicknessMm: 20 } })).toContain('bed');
  expect(ids({ piece: { assembled: true } })).toContain('boards');
  expect(ids({ piece: { form: 'wall' } })).toEqual(['jam', 'stop']);
});

it('warns where the chuck comes down first, and where clamps press too hard', () => {
  const parts = holdAdvice(
    contextWith({
      piece: { thicknessMm: 24 },
      bits: [
        {
          id: 'short',
          name: 'Short cup',
          family: 'plated-cup-saw',
          diameterMm: 25,
          usableDepthMm: 30,
        },
      ],
      setup: {
        support: {
          kind: 'softwood',
          clamps: [{ xMm: 40, yMm: 40, padDiameterMm: 10, forceN: 4000 }],
        },
      },
    }),
  );
  expect(parts.filter(({ grave }) => grave).map(({ id }) => id)).toEqual(
    expect.arrayContaining(['stop', 'clamp']),
  );
});

it('sets the stress near an edge beside the rules of thumb', () => {
  const file = jobWith({ hole: { xMm: 40 } });
  const [piece] = file.pieces;
  const [hole] = piece?.holes ?? [];
  if (!piece || !hole) throw new Error('no hole');
  const judged = judgeEdges({ piece, material: MATERIALS['float-glass'], hole }, []);
  const truth = edgeTruthInWords(edgeTruth(caseIn(file), judged, bend), METRIC);
  if (truth.kind !== 'judged') throw new Error(truth.why);
  const stress = truth.curve.map(({ bendingMpa }) => bendingMpa);
  expect(stress[0]).toBeGreaterThan(1.3 * (stress.at(-1) ?? 0));
  expect(truth.rules.map(({ rule }) => rule)).toContain('two-thicknesses-of-glass');
  expect(truth.text).toContain('rules of thumb also cover what is not calculated');
});
