import { defineHazard } from './hazard';

/** A stand held by suction falls when the pump stops. */
export const vacuumStand = defineHazard({
  code: 'vacuum-stand',
  scope: 'hole',
  facts: ({ work, piece }) => [work.machineKind, work.standFixing, piece.form],
  judge: ({ work, piece }) => {
    if (work.standFixing !== 'vacuum') return null;
    return piece.form === 'wall'
      ? { level: 'stop', found: 'on-wall', answers: [] }
      : { level: 'confirm', found: 'on-face', answers: [{ code: 'gauge-watched' }] };
  },
});
