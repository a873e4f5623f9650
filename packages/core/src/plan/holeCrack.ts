import type { Bending } from '../documents/bending';
import { easedBefore } from '../physics/cutting/stages';
import { HEAT_GAIN } from '../physics/heat/boiling';
import { thermalStress } from '../physics/heat/thermalStress';
import type { Bend } from '../physics/plate/bender';
import type { CrackOdds } from '../physics/strength/crackOdds';
import { cutLayer, slowestOf, type LayerCut } from '../setup/cutLayers';
import { bendingSceneOf } from './bendingSceneOf';
import type { PlanContext } from './planContext';
import { clearOf, planCrack, type CrackCase } from './planCrack';
import type { CutPlan, HoleTask } from './planCut';
import { heatOf } from './planRim';
import { planExit, type ExitPlan } from './planStages';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** What the cracks of a hole come to. */
type HoleCrack = Pick<PlanContext, 'bending' | 'crackCase' | 'crackCases' | 'crack'>;

/**
 * How each cut bends and strains the piece, and the odds of a crack in any of them.
 *
 * @param main the cut whose leaf goes slowest: what is shown of the hole
 * @param treatmentOdds that it is glass of another treatment than it is taken for, and bursts
 */
export function crackHole(
  task: HoleTask,
  cuts: readonly CutPlan[],
  main: CutPlan,
  bend: Bend,
  treatmentOdds: number,
): HoleCrack {
  const { piece, hole, possible } = task;
  const bendings = bendEach(task, cuts, bend);
  const last = cuts.at(-1) ?? main;
  const caseOf = (cut: CutPlan): CrackCase => ({
    cut: cut.headline,
    piece,
    setup: cut.setup,
    thermalStressMpa: cut.thermalStressMpa,
    heatGain: HEAT_GAIN[cut.heat.boiling],
    bending: bendings.get(cut) ?? NOT_BENT,
    exitForceN: cut.exit && cut.ends === 'face' ? cut.exit.exitForceN : 0,
    easedAtMm: cut.exit && Math.min(easedBefore(cut.exit.ligamentMm), cut.operation.toMm),
    clearMm: clearOf(piece, hole, cut.setup.finishing.geometry.diameterMm),
    possible,
    treatmentOdds,
    endsHole: cut === last,
  });
  const mainCase = caseOf(main);
  return {
    bending: mainCase.bending,
    crackCase: { ...mainCase, ...endOfHole(caseOf(last)) },
    crackCases: cuts.map(caseOf),
    crack: oddsTogether(
      cuts.map((cut) =>
        crackOf(caseOf(cut), {
          layers: cut.layers,
          lengthMm: cut.operation.toMm - cut.operation.fromMm,
          exit: cut.exit,
          opensFace: cut.ends === 'face',
        }),
      ),
    ),
  };
}

const NOT_BENT: Bending = { kind: 'declined', why: 'later' };

/** Each cut presses with its own rim and its own force; those that press alike bend it alike. */
function bendEach(
  { piece, hole }: HoleTask,
  cuts: readonly CutPlan[],
  bend: Bend,
): ReadonlyMap<CutPlan, Bending> {
  const alike = new Map<string, Bending>();
  return new Map(
    cuts.map((cut) => {
      const { force, contact } = cut.headline;
      const key = `${force.feedForceN} ${contact.meanRadiusMm} ${cut.setup.support.id}`;
      const known = alike.get(key);
      if (known) return [cut, known] as const;
      const posed = bendingSceneOf(piece, hole, cut.setup, cut.headline);
      const bending = posed.kind === 'scene' ? bend(posed.scene).bending : posed;
      alike.set(key, bending);
      return [cut, bending] as const;
    }),
  );
}

/** What the end of the hole adds to the main cut’s own crack: breaking through, and handling. */
const endOfHole = ({
  exitForceN,
  easedAtMm,
}: CrackCase): Pick<CrackCase, 'exitForceN' | 'easedAtMm' | 'endsHole'> => ({
  exitForceN,
  easedAtMm,
  endsHole: true,
});

/** P = 1 − Π(1 − P_i) over all cuts, with the stress of the one that strains the piece most. */
function oddsTogether(cracks: readonly CrackOdds[]): CrackOdds {
  const [first, ...rest] = cracks;
  if (!first) throw new Error('A hole is cut by at least one operation; the job check sees to it.');
  const worst = rest.reduce(
    (max, one) => (one.stressMpa * max.limitMpa > max.stressMpa * one.limitMpa ? one : max),
    first,
  );
  const over = (of: (one: CrackOdds) => number): number =>
    1 - cracks.reduce((kept, one) => kept * (1 - of(one)), 1);
  const byStress = over((one) => one.byStress);
  const byHand = over((one) => one.byHand);
  // What the piece turns out to be is asked once.
  const { byTreatment } = first;
  return {
    ...worst,
    byStress,
    byHand,
    byTreatment,
    total: 1 - (1 - byStress) * (1 - byHand) * (1 - byTreatment),
  };
}

/** What a cut is worked out from once more, as if the material were known. */
export interface CutAgain {
  readonly layers: readonly LayerCut[];
  readonly lengthMm: number;
  readonly exit: ExitPlan | null;
  readonly opensFace: boolean;
}

/** The crack as planned; where nobody is sure of the material no less likely than if it were known. */
export function crackOf(crackCase: CrackCase, cut: CutAgain): CrackOdds {
  const own = planCrack(crackCase);
  if (crackCase.possible.length === 0) return own;
  // Not being sure takes force back, which alone would make it look safer.
  const sure = ifSure(crackCase, cut);
  return sure.total > own.total ? { ...own, byStress: sure.byStress, total: sure.total } : own;
}

/** The crack of the same hole if it were known to be what it is planned as. */
function ifSure(crackCase: CrackCase, { layers, lengthMm, exit, opensFace }: CutAgain): CrackOdds {
  const { bending, piece, exitForceN, cut } = crackCase;
  const setup: ResolvedSetup = { ...crackCase.setup, caps: undefined };
  const sure = slowestOf(
    layers.map(({ layer, pilotMm }) => cutLayer(layer, setup.finishing, setup, pilotMm)),
  );
  const heat = heatOf(sure, setup, lengthMm);
  const harder = sure.force.feedForceN / cut.force.feedForceN;
  const eased =
    exit && exitForceN > 0
      ? planExit(sure, piece, setup, exit.allowedChipMm, opensFace).exitForceN
      : exitForceN;
  return planCrack({
    ...crackCase,
    cut: sure,
    thermalStressMpa: thermalStress(sure.material, heat.tempRiseK),
    heatGain: HEAT_GAIN[heat.boiling],
    bending:
      bending.kind === 'bent'
        ? {
            ...bending,
            stressMpa: bending.atRestMpa + (bending.stressMpa - bending.atRestMpa) * harder,
          }
        : bending,
    exitForceN: eased,
    possible: [],
  });
}
