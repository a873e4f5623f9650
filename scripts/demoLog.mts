/** Writes the made-up runs of the demo into its job files: `npx tsx scripts/demoLog.mts`. */
import { readFileSync, writeFileSync } from 'node:fs';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { resolveCase } from '@nucleon/core/setup/drillCase';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { atMoment, replayRun } from '@nucleon/core/run/replay';
import type { RunAct, RunEvent } from '@nucleon/core/documents/runEvent';
import type { RunResult } from '@nucleon/core/documents/runResult';
import { legOf, type RunState } from '@nucleon/core/run/runState';
import type { SignId } from '@nucleon/core/data/signs/signs';

interface Made {
  readonly file: string;
  readonly hole: string;
  readonly openedAt: string;
  /** The rim really goes so much faster than planned. */
  readonly rate: number;
  readonly signs: readonly {
    readonly atShare: number;
    readonly sign: SignId;
    readonly helped: 'yes' | 'no';
  }[];
  /** Where it ends: through, or before that at a share of the way. */
  readonly end: 'through' | { readonly atShare: number; readonly act: RunAct };
  readonly result?: RunResult;
}

const HOLE = (n: number): string =>
  `0192d0c0-0030-7000-8000-0000000000${String(n).padStart(2, '0')}`;

const RUNS: readonly Made[] = [
  {
    file: '1-dial-house',
    hole: HOLE(12),
    openedAt: '2026-05-02T09:20:00Z',
    rate: 1.15,
    signs: [{ atShare: 0.4, sign: 'plume', helped: 'yes' }],
    end: 'through',
    result: {
      verdict: 'fine',
      crack: 'none',
      entryChipMm: 0,
      exitChipMm: 0.3,
      entryDiameterMm: 22.1,
      partFit: 'fits',
      bitState: 'good',
      note: 'Bush goes in by hand. The press holds 23 N well.',
    },
  },
  {
    file: '1-dial-house',
    hole: HOLE(3),
    openedAt: '2026-05-02T14:05:00Z',
    rate: 0.6,
    signs: [
      { atShare: 0.3, sign: 'plume-fades', helped: 'no' },
      { atShare: 0.5, sign: 'screech', helped: 'yes' },
    ],
    end: 'through',
    result: {
      verdict: 'usable',
      crack: 'none',
      entryChipMm: 0.3,
      exitChipMm: 0.6,
      partFit: 'fits',
      bitState: 'tired',
      note: 'The point is going: the next bore wants a new one.',
    },
  },
  {
    file: '1-dial-house',
    hole: HOLE(13),
    openedAt: '2026-05-03T10:40:00Z',
    rate: 1.3,
    signs: [{ atShare: 0.8, sign: 'labours', helped: 'no' }],
    end: { atShare: 0.93, act: { kind: 'crack' } },
    result: {
      verdict: 'spoiled',
      crack: 'broken',
      exitChipMm: 3,
      note: 'Pushed too hard near the end; nothing firm behind it.',
    },
  },
  {
    file: '2-garden',
    hole: HOLE(5),
    openedAt: '2026-05-05T08:30:00Z',
    rate: 0.95,
    signs: [{ atShare: 0.6, sign: 'hollow', helped: 'yes' }],
    end: 'through',
    result: {
      verdict: 'fine',
      crack: 'none',
      entryChipMm: 0.3,
      exitChipMm: 1,
      partFit: 'fits',
      bitState: 'good',
    },
  },
  {
    file: '2-garden',
    hole: HOLE(6),
    openedAt: '2026-05-06T13:15:00Z',
    rate: 0.55,
    signs: [
      { atShare: 0.2, sign: 'murky', helped: 'yes' },
      { atShare: 0.5, sign: 'plume-fades', helped: 'no' },
    ],
    end: { atShare: 0.62, act: { kind: 'abort', why: 'Bit is done for' } },
  },
  {
    file: '2-garden',
    hole: HOLE(7),
    openedAt: '2026-05-07T16:50:00Z',
    rate: 0.9,
    signs: [{ atShare: 0.3, sign: 'plume', helped: 'yes' }],
    end: { atShare: 0.55, act: { kind: 'pause' } },
  },
];

const STEP_S = 2;
const read = (file: string): JobFile =>
  JSON.parse(readFileSync(new URL(`../demo/${file}.json`, import.meta.url), 'utf8')) as JobFile;

/** A run as it would have been kept, the clock stepped until it is over. */
function runOf(made: Made, index: number, file: JobFile): { runId: string; events: RunEvent[] } {
  const found = resolveCase(file, made.hole);
  if (found.kind === 'faulty') throw new Error(`${made.hole}: ${JSON.stringify(found.faults)}`);
  const { piece, hole } = found.drillCase;
  const outcome = makePlan(found.drillCase);
  if (outcome.kind === 'faulty') throw new Error(`${made.hole}: ${JSON.stringify(outcome.faults)}`);
  const { reasons: _reasons, ...plan } = outcome.plan;
  const tag = (n: number): string =>
    `0192d0c0-0050-7000-8000-${String(index + 1).padStart(4, '0')}${String(n).padStart(8, '0')}`;
  const opened = Date.parse(made.openedAt);
  const events: RunEvent[] = [];
  let nowS = 0;
  const stamp = (seconds: number) => ({
    at: new Date(opened + seconds * 1000).toISOString(),
    tickMs: seconds * 1000,
    session: tag(0),
  });
  const add = (act: RunAct): RunEvent => {
    const event = {
      id: tag(events.length + 1),
      n: events.length + 1,
      device: 'bench',
      ...stamp(nowS),
      act,
    };
    events.push(event);
    return event;
  };
  const state = (): RunState => {
    const replayed = replayRun(events);
    if (!replayed) throw new Error('not opened');
    return atMoment(replayed, stamp(nowS));
  };
  add({
    kind: 'open',
    plan,
    ready: ['protection', 'packing', 'rotation', 'water', 'light', 'mark'],
    subject: {
      jobId: file.job.id,
      jobName: file.job.name,
      pieceId: piece.id,
      pieceName: piece.name,
      holeId: hole.id,
      holeName: hole.label ?? 'Hole',
      material: piece.layers?.[0]?.material ?? piece.material,
      thicknessMm: piece.thicknessMm,
      diameterMm: hole.diameterMm,
    },
  });
  nowS = 20;
  add({ kind: 'start' });
  const ahead = [...made.signs];
  const endShare = made.end === 'through' ? 1 : made.end.atShare;
  // The true depth: the plan's own pace times how fast it really goes.
  let trueMm = 0;
  let asked: { of: string; atS: number; answer: 'yes' | 'no' } | null = null;
  for (let left = 20_000; left > 0; left--) {
    const before = state();
    const { fromMm: top, depthMm: end } = legOf(before);
    const gone = lengthOf(before.legs.slice(0, before.leg));
    const whole = lengthOf(before.legs);
    nowS += STEP_S;
    const after = state();
    if (['water-change', 'core-break', 'cool'].includes(after.phase)) {
      nowS += 60;
      add({ kind: 'next' });
      continue;
    }
    if (after.phase === 'flip' || after.leg !== before.leg) {
      nowS += 90;
      if (after.phase === 'flip') add({ kind: 'next' });
      trueMm = legOf(state()).fromMm;
      continue;
    }
    if (after.phase === 'paused') {
      nowS += 20;
      add({ kind: 'resume' });
      continue;
    }
    const planned = after.depthMm - before.depthMm;
    trueMm = Math.min(
      end,
      trueMm +
        (planned > 0
          ? planned * made.rate
          : STEP_S * made.rate * plan.rateMmPerS * (after.phase === 'lift' ? 0 : 1)),
    );
    if (asked && nowS - asked.atS >= 25) {
      add({ kind: 'helped', of: asked.of, answer: asked.answer });
      asked = null;
    }
    const [next] = ahead;
    const share = (gone + trueMm - top) / whole;
    if (next && share >= next.atShare) {
      const event = add({ kind: 'sign', sign: next.sign });
      asked =
        next.sign === 'plume' || next.sign === 'hollow'
          ? null
          : { of: event.id, atS: nowS, answer: next.helped };
      ahead.shift();
    }
    // A rim that is further than calculated is set where it is, and the last face is the end.
    if (share >= endShare - 1e-9) break;
    if (trueMm >= end - 1e-9) {
      add({ kind: 'measure', depthMm: end, by: 'rule' });
      if (legOf(after).givesWay) add({ kind: 'through' });
      while (state().leg === before.leg) {
        nowS += 60;
        add({ kind: 'next' });
      }
      trueMm = legOf(state()).fromMm;
    }
  }
  // Where it stopped short is measured: the clock alone would have it deeper.
  if (made.end !== 'through')
    add({ kind: 'measure', depthMm: Math.round(trueMm * 10) / 10, by: 'rule' });
  add(made.end === 'through' ? { kind: 'through' } : made.end.act);
  for (let i = 0; i < 8 && !['done', 'cracked', 'aborted', 'paused'].includes(state().phase); i++) {
    nowS += 12;
    add({ kind: 'next' });
  }
  if (made.result) {
    nowS += 240;
    add({ kind: 'result', result: made.result });
  }
  return { runId: `0192d0c0-0040-7000-8000-${String(index + 1).padStart(12, '0')}`, events };
}

/** Depth of cuts one after the other, mm. */
function lengthOf(legs: RunState['legs']): number {
  return legs.reduce((sum, { fromMm, depthMm }) => sum + depthMm - fromMm, 0);
}

for (const name of [...new Set(RUNS.map(({ file }) => file))]) {
  const { log: _old, ...file } = read(name);
  const log = RUNS.flatMap((made, index) => (made.file === name ? [runOf(made, index, file)] : []));
  writeFileSync(
    new URL(`../demo/${name}.json`, import.meta.url),
    `${JSON.stringify({ ...file, log }, null, 2)}\n`,
  );
}
