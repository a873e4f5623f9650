import { randomUUID } from 'node:crypto';
import type { APIRequestContext } from '@playwright/test';

interface StoredPlan {
  readonly reasons?: unknown;
  readonly setup: { readonly bitId: string | null };
  readonly stages: readonly { readonly timeS: number | null }[];
  readonly drillTimeS: { readonly p50: number } | null;
}

export interface LoggedAs {
  readonly material: string;
  readonly thicknessMm: number;
  readonly diameterMm: number;
  /** So many runs, the first so many days ago, a day apart. */
  readonly runs: number;
  readonly daysAgo: number;
  /** Times as long as planned; each run a little more or less. */
  readonly times: number;
  /** Each so-many-th cracks half-way. */
  readonly cracksEach: number;
}

const DAY_MS = 24 * 3600 * 1000;

/** Runs of a hole as devices would have sent them, made up: for a workshop that has drilled before. */
export async function madeUpLog(
  request: APIRequestContext,
  address: string,
  holeId: string,
  { material, thicknessMm, diameterMm, runs, daysAgo, times, cracksEach }: LoggedAs,
): Promise<void> {
  const api = `${address}/api/v1`;
  const { reasons: _reasons, ...plan } = (await (
    await request.get(`${api}/holes/${holeId}/plan`)
  ).json()) as StoredPlan;
  for (let i = 0; i < runs; i++) {
    const runId = randomUUID();
    const beganMs = Date.now() - (daysAgo - i) * DAY_MS;
    const about = times * Math.exp(0.15 * Math.sin(7 * i));
    const cutS = plan.stages.reduce((sum, { timeS }) => sum + (timeS ?? 0), 0) * about;
    const cracks = i % cracksEach === cracksEach - 1;
    const acts: readonly (readonly [number, Record<string, unknown>])[] = [
      [0, { kind: 'open', plan, ready: [], subject: subjectOf() }],
      [5, { kind: 'start' }],
      ...(cracks
        ? ([[5 + cutS / 2, { kind: 'crack' }]] as const)
        : ([
            [5 + cutS, { kind: 'through' }],
            ...[1, 2, 3, 4].map((s) => [5 + cutS + s, { kind: 'next' }] as const),
          ] as const)),
    ];
    const answer = await request.post(`${api}/runs/${runId}/events`, {
      data: {
        events: acts.map(([s, act], n) => ({
          id: randomUUID(),
          n: n + 1,
          at: new Date(beganMs + s * 1000).toISOString(),
          tickMs: s * 1000,
          session: 's',
          device: 'made-up',
          act,
        })),
      },
    });
    if (!answer.ok()) throw new Error(await answer.text());
  }

  function subjectOf() {
    return {
      jobId: 'made-up',
      jobName: 'Of before',
      pieceId: 'made-up',
      pieceName: 'Old pieces',
      holeId,
      holeName: 'Old hole',
      material,
      thicknessMm,
      diameterMm,
    };
  }
}
