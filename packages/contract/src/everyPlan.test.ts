import { BIT_FAMILY_IDS } from '@nucleon/core/data/bits/bitFamilies';
import { COOLANT_IDS } from '@nucleon/core/data/coolants';
import type { Bit } from '@nucleon/core/documents/kit';
import type { Setup } from '@nucleon/core/documents/setup';
import { MATERIAL_IDS } from '@nucleon/core/data/materials/materials';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import { postEvents } from './bodies';
import { validator } from './validator';

const check = validator(postEvents);
/** The server takes so much at a time. */
const BODY_LIMIT_BYTES = 1024 * 1024;

interface Case {
  readonly material: string;
  readonly thicknessMm: number;
  readonly diameterMm: number;
  readonly setup?: Setup;
  readonly bits?: readonly Bit[];
}

/** The opening of a run of this hole, as the bench sends it; null where there is no plan to follow. */
function opening({ material, thicknessMm, diameterMm, setup, bits = [] }: Case): object | null {
  const sideMm = 4 * Math.max(diameterMm, 150);
  const hole = { id: 'h', xMm: sideMm / 2, yMm: sideMm / 2, diameterMm };
  const outcome = makePlan({
    job: {},
    piece: {
      id: 'p',
      name: 'P',
      form: 'slab',
      material,
      thicknessMm,
      outline: { kind: 'rectangle', widthMm: sideMm, heightMm: sideMm },
    },
    hole: { ...hole, depth: { kind: 'through' }, ...(setup ? { setup } : {}) },
    kit: { bits, machines: [] },
    materials: [],
    habits: {},
  });
  if (outcome.kind === 'faulty') return null;
  const { reasons: _reasons, ...plan } = outcome.plan;
  const subject = { jobId: 'j', jobName: 'J', pieceId: 'p', pieceName: 'P' };
  const event: RunEvent = {
    id: 'e',
    n: 1,
    at: '2026-05-04T10:00:00Z',
    tickMs: 0,
    session: 's',
    device: 'd',
    act: {
      kind: 'open',
      plan,
      ready: [],
      subject: { ...subject, holeId: 'h', holeName: 'H', material, thicknessMm, diameterMm },
    },
  };
  return { events: [event] };
}

const refusal = (body: object): string | null => {
  const text = JSON.stringify(body);
  if (Buffer.byteLength(text) > BODY_LIMIT_BYTES) return `${text.length} bytes`;
  const checked = check(JSON.parse(text));
  return checked.kind === 'valid' ? null : JSON.stringify(checked.faults[0]);
};

it('takes the opening of a run for whatever the planner makes of a piece and a hole', () => {
  const refused: unknown[] = [];
  let opened = 0;
  // Each material with each thickness and each diameter, and each thickness with each diameter.
  for (const [at, material] of MATERIAL_IDS.entries())
    for (const [nth, thicknessMm] of [0.01, 2, 6, 12, 40, 100, 200, 5000].entries()) {
      const diametersMm = [0.01, 3, 12, 40, 68, 152, 1000];
      const diameterMm = diametersMm[(at + nth) % diametersMm.length] ?? 12;
      const body = opening({ material, thicknessMm, diameterMm });
      if (!body) continue;
      opened++;
      const why = refusal(body);
      if (why) refused.push([material, thicknessMm, diameterMm, why]);
    }
  expect(refused).toEqual([]);
  expect(opened).toBeGreaterThan(0.7 * MATERIAL_IDS.length * 8);
});

it('takes the largest plan each way of wetting and each kind of bit can give', () => {
  const refused: unknown[] = [];
  // Two faces and a bald bit give the most of everything.
  const setup = { bit: 'b', sides: 'two' } as const;
  for (const [at, kind] of COOLANT_IDS.entries())
    for (const [nth, family] of BIT_FAMILY_IDS.entries()) {
      // Each with the other’s first, and each with a few of the other.
      if (at > 0 && nth > 0 && (at + nth) % 6 !== 0) continue;
      const bit = {
        id: 'b',
        name: 'B',
        family,
        diameterMm: 40,
        usableDepthMm: 0.01,
        sharpness: 0.001,
      };
      const body = opening({
        material: 'granite',
        thicknessMm: 5000,
        diameterMm: 40,
        setup: {
          ...setup,
          water: { kind, trayLengthMm: 0.01, trayWidthMm: 0.01, coverMm: 0.001 },
        },
        bits: [bit],
      });
      const why = body && refusal(body);
      if (why) refused.push([kind, family, why]);
    }
  expect(refused).toEqual([]);
});
