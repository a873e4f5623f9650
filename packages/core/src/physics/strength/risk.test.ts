import { LOOSE_PANE } from './handlingFixtures';
import { oddsInWords } from '../../words/odds';
import { MATERIALS } from '../../data/materials/materials';
import { bearableStress, builtInStress, crackOdds, type Stresses } from './crackOdds';
import { dropShare, handlingHazard, oddsOf, type HandlingCase } from './handlingHazard';
import {
  grooveStress,
  lastLigament,
  rimLengthShare,
  shellStress,
  webStress,
  type StressSite,
} from './stressSites';
import { treatmentOdds } from './treatmentOdds';
import { failureProbability } from './weibull';

it('breaks one in twenty at the strength as given', () => {
  for (const m of [5, 7, 12]) expect(failureProbability(25, 25, m)).toBeCloseTo(0.05, 10);
  expect(failureProbability(0, 25, 7)).toBe(0);
  expect(failureProbability(-3, 25, 7)).toBe(0);
});

const PANE = LOOSE_PANE;
const Λ = (parts: Partial<HandlingCase> = {}, sharpness = 1): number =>
  handlingHazard({ ...PANE, ...parts }, sharpness);

it('takes thin, built, dull and wobbling work for what it is', () => {
  expect(Λ()).toBeCloseTo(0.0036);
  // Half as thick is 2⁵ as bad; beyond 8 mm nothing is gained.
  expect(Λ({ sheetThicknessMm: 3 }) / Λ()).toBeCloseTo(32);
  expect(Λ({ sheetThicknessMm: 12 })).toBe(Λ({ sheetThicknessMm: 8 }));
  expect(Λ({ sheetThicknessMm: null }) / Λ()).toBeCloseTo(0.75 ** 5);
  expect(Λ({ assembled: true }) / Λ()).toBeCloseTo(1.9);
  // Half worn: 1 + 3·(1/0.5 − 1) on one layer, 1 + 1 on a bond.
  expect(Λ({}, 0.5) / Λ()).toBeCloseTo(4);
  // E[1/s] at s₀ = 1, σ 0.12: e^0.0072·Φ(0.12) + 0.5 = 1.0517.
  expect(handlingHazard(PANE, 1, 0.12) / Λ()).toBeCloseTo(1 + 3 * 0.0517, 3);
  expect(Λ({ abrasive: 'sintered' }, 0.5) / Λ()).toBeCloseTo(2);
  expect(Λ({ wobbleMm: 0.5 }) / Λ()).toBeCloseTo(Math.exp(0.65));
  expect(Λ({ hold: 'press', start: 'seat' }) / Λ()).toBeCloseTo(0.6);
  expect(Λ({ masonry: true }) / Λ()).toBeCloseTo(0.1);
  expect(oddsOf(0.5)).toBeCloseTo(1 - Math.exp(-0.5));
});

it('counts on what is still pushed when the last web lets go', () => {
  // 40² / (2 · 1.5) N·mm = 0.533 J over 0.6 J; four times the plate at 12 mm.
  expect(dropShare('guided', 40, 6)).toBeCloseTo(0.889, 3);
  expect(dropShare('guided', 40, 12)).toBeCloseTo(0.222, 3);
  expect(dropShare('press', 400, 6)).toBe(0);
});

it('stretches web, groove and curved wall as beams, rings and shells are', () => {
  // F·D/(2π·b·t²) = 40·40/(2π·10·36) = 0.7074, three quarters of it at b = D/4.
  expect(webStress(40, 40, 10, 6)).toBeCloseTo(0.7074 * 0.75, 3);
  expect(webStress(40, 40, 40, 6)).toBe(0);
  // q = 40/(2π·19.5) = 0.3265 N/mm; 0.75·q·1/0.5² = 0.9794 MPa.
  const ring = { solid: false, meanRadiusMm: 19.5, rimWidthMm: 1 };
  expect(grooveStress(40, ring, 0.5)).toBeCloseTo(0.9794, 3);
  // Lets go where that reaches 25 MPa: √(0.2449/25) = 0.099 mm.
  expect(lastLigament(40, ring, 25)).toBeCloseTo(0.099, 3);
  expect(grooveStress(6, { solid: true, meanRadiusMm: 0.5, rimWidthMm: 0.75 }, 1)).toBeCloseTo(
    18 / (4 * Math.PI),
  );
  // Bottle R 40, t 3.5, rim r 4.6: R = 80, μ = 4.6·(12·0.9516/(6400·12.25))^¼ = 0.5053;
  // B 0.1982, C 0.6416: 7 N·(0.1982·0.9755 + 0.6416·1.22)/12.25 = 0.5578 MPa.
  const wall = { radiusMm: 40, thicknessMm: 3.5, poisson: 0.22 };
  expect(shellStress(7, wall, 4.6)).toBeCloseTo(0.5578, 3);
  expect(shellStress(7, { ...wall, thicknessMm: 3 }, 4.6)).toBeGreaterThan(
    shellStress(7, wall, 4.6),
  );
  expect(rimLengthShare(50)).toBe(2);
});

it('takes a pane nobody vouches for as one that may burst', () => {
  const pane = { form: 'sheet' } as const;
  const glass = MATERIALS['float-glass'];
  expect(treatmentOdds({ ...pane, glassTreatment: 'annealed' }, glass, false)).toBe(0);
  expect(treatmentOdds(pane, glass, false)).toBeGreaterThan(treatmentOdds(pane, glass, true));
  expect(treatmentOdds({ ...pane, glassTreatment: 'tempered' }, glass, true)).toBeGreaterThan(0.9);
  expect(treatmentOdds(pane, MATERIALS.granite, false)).toBe(0);
});

const STILL = { force: 0, speed: 0, heatShare: 0, constraint: 0, strength: 0, weibull: 0 };
const site = (parts: Partial<StressSite> = {}): StressSite => ({
  kind: 'rim',
  thermalMpa: 0,
  pressedMpa: 0,
  atRestMpa: 0,
  lengthShare: 1,
  ...parts,
});
const stresses = (parts: Partial<Stresses>): Stresses => ({
  sites: [site()],
  sd: STILL,
  heatGain: 1,
  handHazard: 0,
  handSd: 0,
  treatmentOdds: 0,
  bearableMpa: 20,
  ...parts,
});

it('adds heat to what is built in, and hand to both', () => {
  const glass = MATERIALS['float-glass'];
  const bears = bearableStress(glass, true);
  expect(bears).toBeCloseTo(17.5);
  const hot = stresses({
    sites: [site({ thermalMpa: 2.908 })],
    handHazard: 0.002,
    bearableMpa: bears,
  });
  const odds = crackOdds(glass, hot);
  expect(odds.stressMpa).toBeCloseTo(3.908);
  const Λ_stress = -Math.log(0.95) * (3.908 / 17.5) ** 7;
  expect(odds.byStress).toBeCloseTo(1 - Math.exp(-Λ_stress), 12);
  expect(odds.total).toBeCloseTo(1 - Math.exp(-Λ_stress - 0.002), 12);
  // A rim twice as long has twice the hazard; and so has a second site like it.
  const long = stresses({ ...hot, sites: [site({ thermalMpa: 2.908, lengthShare: 2 })] });
  const two = stresses({ ...hot, sites: [...hot.sites, ...hot.sites] });
  expect(crackOdds(glass, long).byStress).toBeCloseTo(1 - Math.exp(-2 * Λ_stress), 12);
  expect(crackOdds(glass, two).byStress).toBe(crackOdds(glass, long).byStress);
  expect(bearableStress(glass, true, 'mended')).toBeCloseTo(12.25);
  // Griffith: 0.75/(1.12·√(π·0.005)) = 5.343 MPa, wet.
  expect(bearableStress(glass, true, 'crack')).toBeCloseTo(5.343 * 0.7, 2);
  expect(builtInStress(MATERIALS['fused-glass'])).toBe(6);
  expect(builtInStress(MATERIALS.granite)).toBe(0);
});

it('means over what is not known, and boiling keeps the flux out of it', () => {
  // Far below its strength, and with nothing built in, P goes as σ^m: log-normal mean exp((m·sd)²/2).
  const granite = MATERIALS.granite;
  const hot = stresses({ sites: [site({ thermalMpa: 0.5 })] });
  const even = crackOdds(granite, hot).byStress;
  const sd = { ...STILL, force: 0.2 };
  const uneven = crackOdds(granite, { ...hot, sd }).byStress;
  expect(uneven / even).toBeCloseTo(Math.exp((granite.weibullModulus * 0.2) ** 2 / 2), 2);
  expect(crackOdds(granite, { ...hot, sd, heatGain: 0 }).byStress).toBeCloseTo(even, 12);
  // Bending goes with the force as heat does; what is there at rest does not.
  const bent = stresses({ sites: [site({ pressedMpa: 0.5 })], sd });
  expect(crackOdds(granite, bent).byStress).toBeCloseTo(uneven, 12);
  expect(
    crackOdds(granite, stresses({ sites: [site({ atRestMpa: 0.5 })], sd })).byStress,
  ).toBeCloseTo(even, 12);
  const vague = { ...STILL, strength: 0.2, weibull: 0.2 };
  expect(crackOdds(granite, { ...hot, sd: vague }).byStress).toBeGreaterThan(uneven);
});

it.each([
  [0.025, '1 in 40'],
  [0.0004, 'under 1 in 1000'],
  [0.0011, '1 in 1000'],
  [0.33, '1 in 3'],
  [0.7, '7 in 10'],
  [0.995, 'nearly all'],
  [0, 'under 1 in 1000'],
])('says a chance of %d as “%s”', (odds, words) => {
  expect(oddsInWords(odds)).toBe(words);
});
