import type { Bent } from '../../documents/bending';
import { scalingBend } from './bender';
import type { BendingScene } from './bendingScene';

/** What a first bending at 20 N found. */
const BENT: Bent = {
  kind: 'bent',
  stressMpa: 5,
  face: 'far',
  at: { xMm: 0, yMm: 0 },
  atRestMpa: 1,
  underRimMpa: 3,
  edgeMpa: 2,
  edgeAt: { xMm: 0, yMm: 0 },
  deflectionMm: 0.1,
  liftOffFraction: 0,
  carriedN: 50,
  padsN: [30, 20],
  nodes: 9,
  rounds: 1,
};
const scene = (forceN: number) =>
  ({ forceN, rim: { xMm: 1, yMm: 2, meanRadiusMm: 5 } }) as BendingScene;

it('scales every field with the force, what is at rest aside, and carries all that presses', () => {
  let bends = 0;
  const bend = scalingBend(() => {
    bends++;
    return { bending: BENT, field: null };
  });
  expect(bend(scene(20)).bending).toEqual(BENT);
  // Twice the force: twice what it adds, 20 N more to carry, the pads' shares as before.
  expect(bend(scene(40)).bending).toEqual({
    ...BENT,
    stressMpa: 9,
    underRimMpa: 5,
    edgeMpa: 3,
    deflectionMm: 0.2,
    carriedN: 70,
    padsN: [42, 28],
  });
  expect(bends).toBe(1);
});

it('leaves pads that carry nothing at nothing', () => {
  const bend = scalingBend(() => ({ bending: { ...BENT, carriedN: 0, padsN: [0] }, field: null }));
  bend(scene(20));
  expect(bend(scene(40)).bending).toMatchObject({ carriedN: 20, padsN: [0] });
});
