import { coreMassBetween } from '../setup/coreMass';
import type { HazardScene } from '../setup/hazards/hazard';
import type { JobHeader } from '../documents/job';
import type { Material } from '../data/materials/material';
import { jamTorque } from '../physics/holding/holdingTorque';
import { clutchOf, MACHINE_KINDS } from '../data/machines/machineKinds';
import type { LayerCut, MaterialCut } from '../setup/cutLayers';
import type { PlanContext } from './planContext';
import type { PossibleMaterial } from '../setup/possibilities';

type Known = Pick<PlanContext, 'piece' | 'hole' | 'setup' | 'depthMm' | 'time'>;

/** What the hazards look at, from the plan as it stands. */
export function hazardScene(
  job: Pick<JobHeader, 'checks'>,
  known: Known,
  face: Material,
  layers: readonly LayerCut[],
  possible: readonly PossibleMaterial[],
  headline: MaterialCut,
): HazardScene {
  const { piece, hole, setup, depthMm, time } = known;
  const { machine, finishing, coolant } = setup;
  const kind = MACHINE_KINDS[machine.kind];
  const clutchNm = clutchOf(machine);
  const { geometry } = finishing;
  return {
    job,
    piece,
    hole,
    material: face,
    materials: [
      ...layers.flatMap((layer) => layer.parts.map((part) => part.cut.material)),
      ...possible.map((one) => one.material),
    ],
    work: {
      machineKind: machine.kind,
      power: machine.power ?? kind.power,
      hold: setup.hold,
      standFixing: setup.wanted.standFixing,
      coolantId: coolant.id,
      coolantKind: coolant.kind,
      bitFamily: geometry.family,
      bitDiameterMm: geometry.diameterMm,
      rpm: headline.speed.rpm,
      bitMaxRpm: finishing.bit.maxRpm,
      solidBit: geometry.solid,
      jamTorqueNm: jamTorque(headline.speed.setting.stallTorqueNm, clutchNm).jamNm,
      hasClutch: clutchNm !== null,
      feedForceN: headline.force.feedForceN,
      cuttingMinutes: Number.isFinite(time.cuttingS) ? time.cuttingS / 60 : 0,
      coreMassKg: coreMassBetween({ setup, layers }, 0, depthMm),
    },
  };
}
