import type { Bent } from '../../documents/bending';
import { bendPiece } from './bendPiece';
import { bendLater, rememberingBend, rememberingBender, scalingBend } from './bender';
import type { BendingScene } from './bendingScene';
import { paneOf } from './paneFixtures';

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

it('bends anew what is held otherwise or pressed elsewhere, and passes on what could not be bent', () => {
  let bends = 0;
  const bend = scalingBend(() => {
    bends++;
    return { bending: bends === 3 ? { kind: 'trouble', trouble: 'tips' } : BENT, field: null };
  });
  bend(scene(20));
  bend({ ...scene(20), thicknessMm: 9 });
  bend({ ...scene(20), rim: { xMm: 2, yMm: 2, meanRadiusMm: 5 } });
  expect(bends).toBe(3);
  // Another rim at the same place is near enough.
  expect(bend({ ...scene(40), rim: { xMm: 2, yMm: 2, meanRadiusMm: 9 } }).bending.kind).toBe(
    'trouble',
  );
  expect(bends).toBe(3);
});

describe('a bender with a memory', () => {
  const pane = (over: Partial<BendingScene> = {}): BendingScene =>
    paneOf(60, 40, { bedNPerMm3: 0.5, ...over });

  it('says as it would without one, and the same thing again', () => {
    const bend = rememberingBend();
    const first = bend(pane());
    expect(first.bending).toEqual(bendPiece(pane()).bending);
    expect(bend(pane())).toBe(first);
    const harder = bend(pane({ forceN: 60 }));
    expect(harder.bending).toEqual(bendPiece(pane({ forceN: 60 })).bending);
    expect(bend(pane())).toBe(first);
  });

  it('knows what it has bent, and nothing else', () => {
    const { bend, known } = rememberingBender();
    expect(known(pane())).toEqual(bendLater(pane()));
    expect(known(pane()).bending).toEqual({ kind: 'declined', why: 'later' });
    const first = bend(pane());
    expect(known(pane())).toBe(first);
    expect(known(pane({ forceN: 41 })).bending.kind).toBe('declined');
    expect(known(pane({ bedNPerMm3: 0.6 })).bending.kind).toBe('declined');
  });

  it('keeps the last few, and lets the oldest go', () => {
    const { bend, known } = rememberingBender(2);
    const forces = [10, 20, 30];
    for (const forceN of forces) bend(pane({ forceN }));
    expect(forces.map((forceN) => known(pane({ forceN })).bending.kind)).toEqual([
      'declined',
      'bent',
      'bent',
    ]);
  });

  it('says of a piece that nothing holds what is the matter, each time', () => {
    const bend = rememberingBend();
    const unheld = pane({ bedNPerMm3: 0 });
    expect(bend(unheld)).toEqual({ bending: { kind: 'trouble', trouble: 'unheld' }, field: null });
    expect(bend({ ...unheld, forceN: 99 }).bending).toMatchObject({ trouble: 'unheld' });
  });
});
