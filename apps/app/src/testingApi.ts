import { act } from '@testing-library/react';
import type {
  HoleDetail,
  JobDetail,
  StoredBit,
  StoredHole,
  StoredMachine,
  StoredParts,
  StoredPiece,
} from '@nucleon/contract/wire';
import type { Planner } from './workers/planner';
import { TASKS } from './workers/tasks';

/** What one request was answered with, for a test to look back on. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: Record<string, unknown> | undefined;
}

const at = { version: 1, updatedAt: '2026-05-02T09:00:00.000Z' };

export const PIECE: StoredPiece = {
  ...at,
  id: 'p1',
  jobId: 'j1',
  name: 'Glass dial',
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  glassTreatment: 'annealed',
  outline: { kind: 'circle', diameterMm: 420 },
};
export const HOLE: StoredHole = {
  ...at,
  id: 'h1',
  pieceId: 'p1',
  label: 'Arbor',
  xMm: 210,
  yMm: 210,
  diameterMm: 22,
  depth: { kind: 'through' },
  setup: {
    bit: 'b1',
    machine: 'm1',
    hold: 'press',
    start: 'seat',
    water: { kind: 'still-bath' },
    support: { kind: 'plywood' },
  },
};
export const BITS: readonly StoredBit[] = [
  { ...at, id: 'b1', name: 'Cup saw 22', family: 'plated-cup-saw', diameterMm: 22 },
  { ...at, id: 'b2', name: 'Tube 6', family: 'plated-tube', diameterMm: 6 },
];
export const MACHINES: readonly StoredMachine[] = [
  { ...at, id: 'm1', name: 'Bench press', kind: 'bench-drill-press' },
];
export const NO_PARTS: StoredParts = { couplings: [], supports: [], guides: [], water: [] };
export const DETAIL: HoleDetail = {
  job: { ...at, id: 'j1', name: 'Clock court', customMaterials: [] },
  piece: PIECE,
  hole: HOLE,
};
export const JOB: JobDetail = {
  ...at,
  id: 'j1',
  name: 'Clock court',
  notes: 'By the gate.',
  customMaterials: [],
  pieces: [
    {
      ...PIECE,
      holes: [
        {
          ...HOLE,
          headline: {
            rpm: 750,
            feedForceN: 23,
            drillTimeS: { p10: 150, p50: 215, p90: 300 },
            bitName: 'Cup saw 22',
            bitDiameterMm: 22,
            stops: [],
            toConfirm: 1,
            settled: 0,
            warningCount: 0,
          },
          faults: [],
          lastRun: null,
        },
      ],
    },
  ],
};

type Answer = (sent: Sent) => { readonly status: number; readonly body: unknown } | undefined;

const page = (items: readonly unknown[]) => ({
  items,
  page: 1,
  pageSize: 200,
  total: items.length,
});

/** What the piece and its holes are once a layout is written. */
function writtenLayout(body: Sent['body']) {
  const sent = (body?.['holes'] ?? []) as readonly StoredHole[];
  return {
    job: DETAIL.job,
    piece: PIECE,
    holes: [HOLE].map((hole) => {
      const changed = sent.find(({ id }) => id === hole.id);
      return changed ? { ...hole, ...changed, version: hole.version + 1 } : hole;
    }),
  };
}

/** What a sound server says of the job above; a PUT comes back with the next version. */
function soundAnswer({ method, path, body }: Sent): { status: number; body: unknown } {
  if (method === 'PUT' && path.endsWith('/layout'))
    return { status: 200, body: writtenLayout(body) };
  if (method === 'PUT')
    return {
      status: 200,
      body: {
        ...body,
        ...at,
        id: path.split('/').at(-1),
        jobId: 'j1',
        pieceId: 'p1',
        version: Number(body?.version) + 1,
      },
    };
  if (method !== 'GET') return { status: 204, body: null };
  const known: Record<string, unknown> = {
    '/holes/h1': DETAIL,
    '/jobs/j1': JOB,
    '/bits': page(BITS),
    '/machines': page(MACHINES),
    '/house': { version: 0 },
    '/learning': { experience: null, report: null, doubted: [], learnedAt: null, isBehind: false },
    '/kit/parts': NO_PARTS,
    '/pieces/p1/layout': writtenLayout(undefined),
    '/jobs/j1/export': { format: 'nucleon-job' },
  };
  const found = known[path.split('?')[0] ?? ''];
  return found
    ? { status: 200, body: found }
    : {
        status: 404,
        body: { code: 'not-found', detail: `There is nothing at ${path}.`, status: 404 },
      };
}

/** Stands in for the network: sound answers unless the test has its own for a request. */
export function fakeApi(own: Answer = () => undefined): Sent[] {
  const log: Sent[] = [];
  globalThis.fetch = ((url: string, init: { method?: string; body?: unknown } = {}) => {
    const sent: Sent = {
      method: init.method ?? 'GET',
      path: url.replace('/api/v1', ''),
      body:
        typeof init.body === 'string'
          ? (JSON.parse(init.body) as Record<string, unknown>)
          : undefined,
    };
    log.push(sent);
    const { status, body } = own(sent) ?? soundAnswer(sent);
    if (status === 0) return Promise.reject(new TypeError('network'));
    return Promise.resolve({ status, ok: status < 400, json: () => Promise.resolve(body) });
  }) as unknown as typeof fetch;
  return log;
}

/**
 * Works things out in the test's own thread, answering in a later turn as a worker would. The plan's
 * bending is left to the core's own tests and the journeys: transpiled for a phone it takes seconds.
 */
export const ownThreadPlanner: Planner = {
  ask: (task, input, answered) => {
    let wanted = true;
    const name = task === 'bentPlan' ? 'plan' : task;
    const run = TASKS[name] as (asked: typeof input) => ReturnType<(typeof TASKS)[typeof task]>;
    void Promise.resolve().then(() => {
      act(() => {
        if (wanted) answered(run(input));
      });
    });
    return () => {
      wanted = false;
    };
  },
  close: () => undefined,
};
