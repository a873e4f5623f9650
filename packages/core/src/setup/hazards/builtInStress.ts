import { defineHazard } from './hazard';

/** A piece that is damaged already: stress finds the old crack first. */
export const builtInStress = defineHazard({
  code: 'built-in-stress',
  scope: 'piece',
  facts: ({ piece }) => [piece.damage],
  judge: ({ piece: { damage } }) => {
    if (damage === undefined || damage === 'none') return null;
    return damage === 'crack'
      ? { level: 'stop', found: 'crack', answers: [{ code: 'crack-away', inWriting: true }] }
      : { level: 'confirm', found: damage, answers: [{ code: 'seen-and-accepted' }] };
  },
});
