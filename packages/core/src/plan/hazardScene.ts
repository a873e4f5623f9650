import { coreMassBetween } from '../setup/coreMass';
import type { HazardScene } from '../setup/hazards/hazard';
import type { JobHeader } from '../documents/job';
import { jamTorque } from '../physics/holding/holdingTorque';
import { clutchOf, MACHINE_KINDS } from '../data/machines/machineKinds';
import type { CutPlan, HoleTask } from './planCut';

/**
 * What the hazards look at in one cut: its own tool, water and leaves.
 * @param cuttingS of the whole hole, s
 */
export function hazardScene(
  job: Pick<JobHeader, 'checks'>,
  { piece, hole, possible }: HoleTask,
  { setup, layers, headline, operation }: CutPlan,
  cuttingS: number,
): HazardScene {
  const { machine, finishing, coolant } = setup;
  const kind = MACHINE_KINDS[machine.kind];
  const clutchNm = clutchOf(machine);
  const { geometry } = finishing;
  const met = layers.find(({ slowest }) => slowest !== null)?.parts[0]?.cut.material;
  return {
    job,
    piece,
    hole,
    material: met ?? headline.material,
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
      cuttingMinutes: Number.isFinite(cuttingS) ? cuttingS / 60 : 0,
      coreMassKg: coreMassBetween({ setup, layers }, operation.fromMm, operation.toMm),
    },
  };
}
