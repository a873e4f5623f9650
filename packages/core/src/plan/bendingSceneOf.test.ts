import { boundingBox } from '../layout/outline';
import { CAVITY } from '../data/materials/materials';
import { supportModulus } from '../data/supports';
import type { Piece } from '../documents/piece';
import { caseWith, wallOf, type JobParts } from '../setup/jobFixtures';
import { bendingSceneOf, THICKEST_PLATE } from './bendingSceneOf';
import { contextOf } from './contextOf';

function posed(parts: JobParts) {
  const outcome = contextOf(caseWith(parts));
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  const { piece, hole, setup, headline } = outcome.context;
  return { outcome: bendingSceneOf(piece, hole, setup, headline), ...outcome.context };
}
function sceneOf(parts: JobParts) {
  const { outcome, ...context } = posed(parts);
  if (outcome.kind !== 'scene') throw new Error(outcome.why);
  return { scene: outcome.scene, ...context };
}
const why = (piece: Partial<Piece>, hole = {}) => {
  const { outcome } = posed({ piece, hole });
  return outcome.kind === 'declined' ? outcome.why : outcome.kind;
};

it('is the piece on its bed, pressed by the rim as the plan presses', () => {
  const { scene, headline, setup } = sceneOf({ piece: { assembled: false } });
  const { material } = headline;
  expect(scene).toMatchObject({
    ...boundingBox({ kind: 'rectangle', widthMm: 400, heightMm: 300 }),
    thicknessMm: 6,
    youngModulusMpa: material.youngModulusMpa,
    poisson: material.poisson,
    densityKgPerM3: material.densityKgPerM3,
    lies: true,
    gaps: [],
    pads: [],
    rim: { xMm: 200, yMm: 150, meanRadiusMm: headline.contact.meanRadiusMm },
    forceN: headline.force.feedForceN,
  });
  const { id, atThicknessMm, contactFraction } = setup.support;
  expect(scene.bedNPerMm3).toBeCloseTo(supportModulus(id, atThicknessMm) * contactFraction, 12);
  expect(sceneOf({ piece: { assembled: true } }).scene.lies).toBe(false);
  // Of a bed that touches in part, the part that touches.
  const part = sceneOf({ setup: { support: { kind: 'foam', contactFraction: 0.4 } } }).scene;
  expect(part.bedNPerMm3 / scene.bedNPerMm3).toBeCloseTo(0.4, 9);
});

it('has each pad with its own bed, of its own thickness where that is given', () => {
  const at = { xMm: 10, yMm: 10, widthMm: 60, heightMm: 60 };
  const { scene, setup } = sceneOf({
    setup: {
      support: {
        kind: 'softwood',
        pads: [
          at,
          { ...at, kind: 'foam', thicknessMm: 10 },
          { ...at, kind: 'foam' },
          { ...at, thicknessMm: 40 },
        ],
      },
    },
  });
  const { contactFraction, atThicknessMm } = setup.support;
  expect(scene.pads.map(({ foundationNPerMm3 }) => foundationNPerMm3 / contactFraction)).toEqual(
    [
      supportModulus('softwood', atThicknessMm),
      supportModulus('foam', 10),
      supportModulus('foam', undefined),
      supportModulus('softwood', 40),
    ].map((one) => expect.closeTo(one, 9) as number),
  );
  expect(scene.pads[0]).toMatchObject(at);
  // A bed of its own thickness is that of its own pads, not of others.
  const thin = sceneOf({
    setup: {
      support: { kind: 'softwood', thicknessMm: 9, pads: [at, { ...at, kind: 'foam' }] },
    },
  });
  expect(thin.scene.pads.map(({ foundationNPerMm3 }) => foundationNPerMm3)).toEqual([
    expect.closeTo(supportModulus('softwood', 9) * thin.setup.support.contactFraction, 9),
    expect.closeTo(supportModulus('foam', undefined) * thin.setup.support.contactFraction, 9),
  ]);
});

it('has a gap where a hole or a cut-out is drawn, and none for what only keeps off', () => {
  const circle = { kind: 'circle', xMm: 90, yMm: 80, diameterMm: 30 } as const;
  const box = { kind: 'rectangle', xMm: 20, yMm: 200, widthMm: 40, heightMm: 25 } as const;
  const { scene } = sceneOf({
    piece: {
      keepOff: [
        { id: 'a', kind: 'hole', shape: circle },
        { id: 'b', kind: 'cut-out', shape: box },
        { id: 'c', kind: 'pipe', shape: circle },
      ],
    } as unknown as Partial<Piece>,
  });
  expect(scene.gaps).toHaveLength(2);
  const [round, square] = scene.gaps;
  expect(round?.map(({ a }) => [a.xMm, a.yMm])).toEqual([
    [75, 80],
    [105, 80],
  ]);
  expect(round?.every(({ bulge }) => bulge === 1)).toBe(true);
  expect(square?.map(({ a, b }) => [a.xMm, a.yMm, b.xMm, b.yMm])).toEqual([
    [20, 200, 60, 200],
    [60, 200, 60, 225],
    [60, 225, 20, 225],
    [20, 225, 20, 200],
  ]);
});

it('has no gap where a line is drawn', () => {
  const { piece, hole, setup, headline } = posed({});
  const pointsMm: [number, number][] = [
    [20, 20],
    [90, 60],
  ];
  const line = { id: 'a', kind: 'cut-out', shape: { kind: 'line', pointsMm } } as const;
  const drawn: Piece = { ...piece, keepOff: [line] };
  const outcome = bendingSceneOf(drawn, hole, setup, headline);
  expect(outcome.kind === 'scene' && outcome.scene.gaps).toEqual([]);
});

it('declines what does not bend as a flat plate, and says why', () => {
  expect(why({})).toBe('scene');
  expect(why(wallOf(['clay-brick', 100]))).toBe('built-in');
  const vessel = { form: 'vessel', thicknessMm: 5 } as const;
  expect(
    why({ ...vessel, outline: { kind: 'cylinder', outerDiameterMm: 90, heightMm: 200 } }),
  ).toBe('curved');
  const layers = ['float-glass', 'float-glass'].map((material) => ({ material, thicknessMm: 3 }));
  expect(why({ layers })).toBe('layered');
  expect(why({ layers: layers.slice(0, 1).map((one) => ({ ...one, thicknessMm: 6 })) })).toBe(
    'scene',
  );
  // A pane with air behind it is one leaf.
  const { piece, hole, setup, headline } = posed({});
  const leaves = [...layers.slice(0, 1), { material: CAVITY, thicknessMm: 12 }];
  expect(bendingSceneOf({ ...piece, layers: leaves }, hole, setup, headline).kind).toBe('scene');
  expect(why({}, { face: 'side' })).toBe('curved');
  for (const outline of [
    { kind: 'circle', diameterMm: 400 },
    { kind: 'cylinder', outerDiameterMm: 400, heightMm: 400 },
  ] as const)
    expect(bendingSceneOf({ ...piece, outline }, hole, setup, headline)).toMatchObject(
      outline.kind === 'circle' ? { kind: 'scene' } : { why: 'curved' },
    );
  const square = { kind: 'rectangle', widthMm: 120, heightMm: 160 } as const;
  const thick = (thicknessMm: number) =>
    posed({
      piece: { form: 'slab', material: 'granite', outline: square, thicknessMm },
      hole: { xMm: 60, yMm: 60 },
    }).outcome.kind;
  expect(thick(THICKEST_PLATE * 120)).toBe('declined');
  expect(thick(THICKEST_PLATE * 120 - 0.1)).toBe('scene');
});
