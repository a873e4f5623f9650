import type { Damage } from '../../data/choices';
import type { Material } from '../../data/materials/material';
import { normalMean } from '../../math/normalMean';
import { oddsOf } from './handlingHazard';
import type { StressSite } from './stressSites';
import { weibullHazard } from './weibull';

/** Water at a crack's tip: wet glass bears this much of its strength. */
const WET_GLASS = 0.7;
/** A chipped or mended piece bears about this much of a sound one. */
const DAMAGED = 0.7;

const BUILT_IN_BY_CLASS = { glass: 1, ceramic: 0, stone: 0, masonry: 0 } as const;

/** Stress a sound piece of this material carries of itself, MPa. */
export const builtInStress = (material: Pick<Material, 'class' | 'builtInStressMpa'>): number =>
  material.builtInStressMpa ?? BUILT_IN_BY_CLASS[material.class];

/** Length of a crack that somebody saw, m. */
const SEEN_CRACK_M = 0.005;

/**
 * What a drilled edge of this piece bears, MPa: the 5 % fractile, wet and as damaged as it is. A crack
 * of length a runs on at K/(1.12·√(π·a)) (Griffith, Irwin).
 */
export function bearableStress(
  material: Pick<Material, 'class' | 'edgeStrengthMpa' | 'toughnessMpaSqrtM'>,
  wet: boolean,
  damage: Damage = 'none',
): number {
  const sound = material.edgeStrengthMpa * (damage === 'none' ? 1 : DAMAGED);
  const cracked = material.toughnessMpaSqrtM / (1.12 * Math.sqrt(Math.PI * SEEN_CRACK_M));
  return (
    (damage === 'crack' ? Math.min(sound, cracked) : sound) *
    (material.class === 'glass' && wet ? WET_GLASS : 1)
  );
}

/** Half of the 5 % fractile: the allowable stress, MPa. */
export const allowableStress = (bearableMpa: number): number => bearableMpa / 2;

export interface CrackOdds {
  /** P of the stresses alone. */
  readonly byStress: number;
  readonly byHand: number;
  /** That it is not what it is taken for, and bursts: strengthened glass nobody has tested. */
  readonly byTreatment: number;
  /** 1 − exp(−Λ), Λ = Λ_stress + Λ_hand, with what the treatment adds. */
  readonly total: number;
  readonly stressMpa: number;
  readonly bearableMpa: number;
  /** What all stress together should stay under, MPa: half of what the edge bears. */
  readonly limitMpa: number;
  /** Where the stress is greatest. */
  readonly site: StressSite['kind'];
}

/** sd of the logarithm of what makes the stresses and of what bears them; of m relative. */
export interface StressSpread {
  readonly force: number;
  readonly speed: number;
  /** β, which makes the flux. */
  readonly heatShare: number;
  /** C_T. */
  readonly constraint: number;
  readonly strength: number;
  readonly weibull: number;
}

/** What may break a piece. */
export interface Stresses {
  readonly sites: readonly StressSite[];
  readonly sd: StressSpread;
  /** d ln ΔT/d ln q: 1, or nearly nothing where boiling holds the rim. */
  readonly heatGain: number;
  /** Λ_hand, its mean, and sd of ln Λ_hand. */
  readonly handHazard: number;
  readonly handSd: number;
  readonly treatmentOdds: number;
  readonly bearableMpa: number;
}

/** All stress at a site, MPa, with what is built in. */
const stressAt = (site: StressSite, builtInMpa: number): number =>
  site.thermalMpa + site.pressedMpa + site.atRestMpa + builtInMpa;

/**
 * P = 1 − exp(−(Λ_stress + Λ_hand)); Λ_stress the Weibull hazards of all sites, each by the length under
 * tension, on σ = σ_bend + σ_T + σ_built-in. Nobody presses evenly and no strength is certain, so P is
 * the mean over their spreads, not its value at the middle; force, heat and weakness go together here,
 * which is on the safe side. m is taken at its middle and √3 sd to either side (Gauss–Hermite). Where
 * the bending is not worked out it is a lower bound.
 */
export function crackOdds(
  material: Pick<Material, 'class' | 'builtInStressMpa' | 'weibullModulus'>,
  { sites, sd, heatGain, handHazard, handSd, treatmentOdds, bearableMpa }: Stresses,
): CrackOdds {
  const builtIn = builtInStress(material);
  const fluxSd = heatGain * Math.hypot(sd.force, sd.speed, sd.heatShare);
  const heatSd = Math.hypot(fluxSd, sd.constraint, sd.strength);
  const forceSd = Math.hypot(sd.force, sd.strength);
  const byStress = overModulus(material.weibullModulus, sd.weibull, (m) => {
    return normalMean((z) => {
      const [heat, force, weak] = [heatSd, forceSd, sd.strength].map((one) => Math.exp(one * z));
      return oddsOf(
        sites.reduce(
          (sum, site) =>
            sum +
            site.lengthShare *
              weibullHazard(
                site.thermalMpa * (heat ?? 1) +
                  site.pressedMpa * (force ?? 1) +
                  (site.atRestMpa + builtIn) * (weak ?? 1),
                bearableMpa,
                m,
              ),
          0,
        ),
      );
    });
  });
  // Λ is a mean, so its log-normal lies half a variance lower.
  const byHand = normalMean((z) => oddsOf(handHazard * Math.exp(handSd * z - handSd ** 2 / 2)));
  const [first] = sites;
  const worst = sites.reduce(
    (max, site) => (max && stressAt(site, 0) > stressAt(max, 0) ? site : (max ?? site)),
    first,
  );
  return {
    byStress,
    byHand,
    byTreatment: treatmentOdds,
    total: 1 - (1 - byStress) * (1 - byHand) * (1 - treatmentOdds),
    stressMpa: worst ? stressAt(worst, builtIn) : builtIn,
    bearableMpa,
    limitMpa: allowableStress(bearableMpa),
    site: worst?.kind ?? 'rim',
  };
}

/** Mean over m, by three-point Gauss–Hermite: 1/6, 2/3, 1/6 at m·(1 ± √3·sd). */
function overModulus(m: number, sd: number, of: (m: number) => number): number {
  if (sd === 0) return of(m);
  const off = Math.sqrt(3) * sd;
  return (of(m * (1 - off)) + 4 * of(m) + of(m * (1 + off))) / 6;
}
