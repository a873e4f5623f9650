import { defineHazard } from './hazard';

/** A tool on the mains beside water. */
export const mainsAndWater = defineHazard({
  code: 'mains-and-water',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind, work.power, work.coolantId],
  judge: ({ work }) => {
    if (work.coolantKind === 'dry') return null;
    if (work.power === 'mains')
      return {
        level: 'confirm',
        found: work.coolantKind === 'standing' ? 'mains-and-bath' : 'mains',
        answers: [{ code: 'rcd-tested' }],
      };
    return work.power === 'mains-protected'
      ? { level: 'confirm', found: 'protected', answers: [{ code: 'plug-tested' }] }
      : null;
  },
});
