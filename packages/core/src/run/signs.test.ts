import { CAUSES, CAUSE_IDS, type CauseId, type RunScene } from '../data/signs/causes';
import { diagnose } from './diagnose';
import { SIGN_IDS, SIGNS, signsHere, type SignId } from '../data/signs/signs';

const CALM: RunScene = {
  sharpness: 0.95,
  depthShare: 0.4,
  rateFactor: 1,
  sinceLift: 0.5,
  turbidity: 0.2,
  forceFactor: 1,
  coreShare: 0.2,
  heatShare: 0.2,
  masonry: false,
  solidBit: false,
  seating: false,
  freehand: false,
};
const now = (...signs: SignId[]) => signs.map((sign) => ({ sign, agoS: 0, helped: null }));
const first = (signs: ReturnType<typeof now>, scene: Partial<RunScene> = {}): CauseId | undefined =>
  diagnose(signs, { ...CALM, ...scene })[0]?.id;

it('thinks all is well where nothing is noted, and adds up to one', () => {
  const ranked = diagnose([], CALM);
  expect(ranked[0]?.id).toBe('all-well');
  expect(ranked.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
});

it.each<[SignId[], Partial<RunScene>, CauseId]>([
  [['steady-grind', 'plume'], {}, 'all-well'],
  [['plume-fades', 'screech'], { sharpness: 0.3 }, 'worn-rim'],
  [['plume-fades'], { freehand: true, forceFactor: 0.8 }, 'too-little-force'],
  [['labours'], { forceFactor: 1.1, freehand: true }, 'too-much-force'],
  [['thick-slurry', 'screech'], { sinceLift: 2 }, 'too-little-water'],
  [['murky'], { turbidity: 1.1 }, 'murky-water'],
  [['hot'], { heatShare: 1 }, 'overheating'],
  [['hot', 'screech'], { sinceLift: 2 }, 'too-little-water'],
  [['whirls'], {}, 'too-fast'],
  [['wanders'], { seating: true }, 'no-groove'],
  [['wobble', 'chatter'], {}, 'run-out'],
  [['core-rubs'], { coreShare: 1 }, 'core-bottomed'],
  [['sticks', 'labours'], { depthShare: 0.8 }, 'core-wedged'],
  [['leans'], {}, 'leaning'],
  [['metal', 'plume-fades'], { masonry: true, rateFactor: 0.4 }, 'steel'],
  [['hollow'], { depthShare: 0.95 }, 'nearly-through'],
  [['tick'], {}, 'cracked'],
])('%s points to what it should', (signs, scene, cause) => {
  expect(first(now(...signs), scene)).toBe(cause);
});

it('makes a bald rim likelier the duller the bit, and turbidity the murkier the water', () => {
  const shareOf = (id: CauseId, scene: Partial<RunScene>): number =>
    diagnose(now('plume-fades'), { ...CALM, ...scene }).find((one) => one.id === id)?.share ?? 0;
  const dull = [1, 0.8, 0.6, 0.4, 0.2].map((sharpness) => shareOf('worn-rim', { sharpness }));
  expect(dull).toEqual([...dull].sort((a, b) => a - b));
  const murky = [0, 0.5, 0.9, 1.2].map((turbidity) => shareOf('murky-water', { turbidity }));
  expect(murky).toEqual([...murky].sort((a, b) => a - b));
});

it('lets an old sign fade, and one that was helped go', () => {
  const share = (agoS: number, helped: boolean | null) =>
    diagnose([{ sign: 'tick', agoS, helped }], CALM).find(({ id }) => id === 'cracked')?.share ?? 0;
  expect(share(0, null)).toBeGreaterThan(share(120, null));
  expect(share(120, null)).toBeGreaterThan(share(500, null));
  expect(share(0, true)).toBeCloseTo(share(5000, null), 9);
});

it('has every sign told by some cause, every chance a chance', () => {
  for (const sign of SIGN_IDS)
    expect(CAUSE_IDS.some((id) => Object.hasOwn(CAUSES[id].shows, sign))).toBe(true);
  for (const { shows } of Object.values(CAUSES))
    for (const chance of Object.values(shows)) {
      expect(chance).toBeGreaterThan(0);
      expect(chance).toBeLessThan(1);
    }
});

it('shows only signs that can come here', () => {
  const here = (over: object): SignId[] =>
    signsHere({
      class: 'glass',
      solidBit: false,
      standingWater: true,
      opensFarFace: true,
      ...over,
    }).map(({ id }) => id);
  expect(here({})).toEqual(expect.arrayContaining(['murky', 'core-rubs', 'hollow', 'plume']));
  expect(here({})).not.toContain('metal');
  expect(here({ class: 'masonry', standingWater: false })).toEqual(
    expect.arrayContaining(['metal', 'even-slurry', 'clear-water']),
  );
  expect(here({ solidBit: true, opensFarFace: false })).not.toEqual(
    expect.arrayContaining(['core-rubs', 'hollow']),
  );
  expect(
    Object.values(SIGNS).every(({ todo, title }) => todo.length > 0 && title.length < 28),
  ).toBe(true);
});
