import type { Face } from '../data/operations';
import type { ResolvedOperation } from '../setup/operations/operation';
import { passesOf, wholeLayers, type CoreOut } from './planCores';
import type { CutPlan, HoleTask } from './planCut';

interface Cut {
  readonly face?: Face;
  readonly toMm: number;
  readonly ownMm?: number;
  readonly ends?: CutPlan['ends'];
  readonly solid?: boolean;
}
/** One of a bit that reaches `ownMm` by itself. */
const cutOf = ({
  face = 'near',
  toMm,
  ownMm = 500,
  ends = 'inside',
  solid = false,
}: Cut): CutPlan =>
  ({
    operation: { kind: 'cut', face, toMm },
    reach: { ownMm },
    ends,
    setup: { finishing: { geometry: { solid } } },
  }) as unknown as CutPlan;
const CORE: CoreOut = { atMm: 0, lengthMm: 45, why: 'barrel-full', diameterMm: 62, massKg: 0.3 };

type Step = CutPlan | 'turn' | { readonly face: Face; readonly atMm: number };
const out = (atMm: number, face: Face = 'near'): Step => ({ face, atMm });

/** The passes of what is done in order, in a wall 150 mm thick as entered and 8 mm more at its thickest. */
function passesIn(steps: readonly Step[], depth: 'through' | 'blind' = 'through') {
  const near = steps.flatMap((step) =>
    typeof step === 'object' && 'operation' in step && step.operation.face === 'near' ? [step] : [],
  );
  const operations = steps.map((step) => {
    if (step === 'turn')
      return { operation: { kind: 'hand', face: 'near' } as ResolvedOperation, core: null };
    if ('operation' in step) return { operation: step.operation, core: null };
    const operation = { kind: 'hand', face: step.face } as ResolvedOperation;
    return { operation, core: { ...CORE, atMm: step.atMm } };
  });
  const task = {
    hole: { depth: { kind: depth } },
    thickness: { thickestMm: 158 },
    piece: { thicknessMm: 150 },
  } as unknown as HoleTask;
  return passesOf(operations, near, task);
}

it('are one more than the cores that come out between the cuts from the near face', () => {
  const steps = [cutOf({ toMm: 45 }), out(45), cutOf({ toMm: 90 }), out(90)];
  const { count, coreBreaksAtMm, breaks } = passesIn(steps);
  // The last one is pushed out when the work is done.
  expect({ count, coreBreaksAtMm }).toEqual({ count: 2, coreBreaksAtMm: [45] });
  expect(breaks.map(({ massKg }) => massKg)).toEqual([0.3]);
  expect(passesIn([]).count).toBe(1);
});

it('leave out what comes out at the far face, or before that is cut', () => {
  const far = cutOf({ face: 'far', toMm: 70 });
  const turned = passesIn([cutOf({ toMm: 80 }), out(80), 'turn', far, out(70, 'far')]);
  expect(turned.count).toBe(1);
  const back = passesIn([far, out(70, 'far'), 'turn', cutOf({ toMm: 80 })]);
  expect(back.count).toBe(1);
});

describe('the reach', () => {
  const [first, second] = [cutOf({ toMm: 45 }), cutOf({ toMm: 90, ownMm: 100 })];
  const wall = (last: Omit<Cut, 'toMm'>): readonly Step[] => [
    first,
    out(45),
    second,
    out(90),
    cutOf({ toMm: 150, ownMm: 100, ...last }),
  ];

  it('is to the thickest place of a hole that opens the far face', () => {
    expect(passesIn(wall({ ends: 'face' })).extensionMm).toBe(58);
    expect(passesIn(wall({ ends: 'face' }), 'blind').extensionMm).toBe(50);
    expect(passesIn(wall({ ends: 'inside' })).extensionMm).toBe(50);
    expect(passesIn(wall({ ends: 'face', ownMm: 158 }))).toMatchObject({
      extensionMm: 0,
      extendAtMm: null,
    });
  });

  it('has the extension on at the last break before the bit ends, where a core comes out', () => {
    expect(passesIn(wall({ ends: 'face' })).extendAtMm).toBe(90);
    expect(passesIn(wall({ ends: 'face', ownMm: 60 })).extendAtMm).toBe(45);
    expect(passesIn(wall({ ends: 'face', solid: true }))).toMatchObject({
      extensionMm: 58,
      extendAtMm: null,
    });
  });

  it('is that of the last cut that is too short, to its own depth', () => {
    const steps = [
      cutOf({ toMm: 120, ownMm: 100 }),
      cutOf({ toMm: 150, ownMm: 200, ends: 'face' }),
    ];
    expect(passesIn(steps).extensionMm).toBe(20);
  });
});

describe('the leaves as they are cut', () => {
  const leaf = (fromMm: number, toMm: number) => ({ material: 'any', fromMm, toMm });
  const cut = (face: Face, ...layers: readonly (readonly [number, number, number | null])[]) =>
    ({
      operation: { face },
      layers: layers.map(([fromMm, toMm, rateMmPerS]) => ({
        layer: leaf(fromMm, toMm),
        pilotMm: 0,
        slowest: rateMmPerS === null ? null : { rateMmPerS },
        parts: [],
        rateMmPerS: rateMmPerS ?? Infinity,
      })),
    }) as unknown as CutPlan;
  const whole = (finishing: readonly CutPlan[], depthMm = 150) =>
    wholeLayers(
      {
        leaves: [leaf(0, 100), leaf(100, 150)],
        piece: { thicknessMm: 150 },
      } as unknown as HoleTask,
      finishing,
      depthMm,
    ).map(({ layer, slowest, rateMmPerS }) => ({
      span: [layer.fromMm, layer.toMm],
      slowest: (slowest as { readonly rateMmPerS: number } | null)?.rateMmPerS ?? null,
      rateMmPerS,
    }));

  it('stop at the hole’s depth', () => {
    const near = cut('near', [0, 100, 2], [100, 120, 1]);
    expect(whole([near], 120)).toEqual([
      { span: [0, 100], slowest: 2, rateMmPerS: 2 },
      { span: [100, 120], slowest: 1, rateMmPerS: 1 },
    ]);
    expect(whole([near], 100).map(({ span }) => span)).toEqual([[0, 100]]);
  });

  it('are seen from the near face, whatever face they are cut from', () => {
    // From behind the last 50 mm come first.
    expect(whole([cut('far', [0, 50, 3], [50, 150, 2])])).toEqual([
      { span: [0, 100], slowest: 2, rateMmPerS: 2 },
      { span: [100, 150], slowest: 3, rateMmPerS: 3 },
    ]);
  });

  it('take their length over their time where two cuts share one, and show the slower', () => {
    // 60 mm at 3 mm/s and 40 at 1: 100 mm in 60 s.
    const [first] = whole([cut('near', [0, 60, 3]), cut('far', [0, 50, 4], [50, 90, 1])]);
    expect(first).toEqual({ span: [0, 100], slowest: 1, rateMmPerS: 100 / 60 });
    const [other] = whole([cut('near', [0, 60, 1]), cut('far', [0, 50, 4], [50, 90, 3])]);
    expect(other?.slowest).toBe(1);
  });

  it('are open where nothing is cut', () => {
    expect(whole([cut('near', [0, 100, null], [100, 150, 2])])[0]).toEqual({
      span: [0, 100],
      slowest: null,
      rateMmPerS: Infinity,
    });
    expect(whole([])).toHaveLength(2);
  });
});
