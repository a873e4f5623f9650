import { readFile } from 'node:fs/promises';
import { bitAged, bitChange, HAZARD_SD } from '@nucleon/core/run/learning/bitChange';
import { experienceOf, oddsBand } from '@nucleon/core/run/learning/experience';
import { learn, type Learned } from '@nucleon/core/run/learning/learn';
import { agedHoles, levelsOf, onlyHand } from '@nucleon/core/run/learning/learningReport';
import { lifetimes, lifetimesOf } from '@nucleon/core/run/learning/lifetimes';
import { loggedRun, type LoggedHole } from '@nucleon/core/run/learning/loggedHole';
import type { Bit } from '@nucleon/core/documents/kit';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { MODEL_VERSION } from '@nucleon/core/documents/plan';
import { contextOf } from '@nucleon/core/plan/contextOf';
import { planNumbers } from '@nucleon/core/plan/planNumbers';
import { casesOf, type DrillCase } from '@nucleon/core/setup/drillCase';
import { readLoggedHoles } from '@nucleon/files/loggedHolesCsv';
import type { Console } from './console';
import { loadOrSay } from './loadJobFile';
import { NUCLEON_VERSION } from './version';

interface LearnChoice {
  readonly runs?: string | undefined;
  readonly person?: string | undefined;
  readonly asJson: boolean;
  readonly now: Date;
}

/** Prints what the log of a job file, and of a list beside it, tells of its holes and bits. 0 done, 1 bad input. */
export async function learnFile(
  path: string,
  { runs, person, asJson, now }: LearnChoice,
  console: Console,
): Promise<number> {
  const job = await loadOrSay(path, console);
  if (!job) return 1;
  const listed = runs === undefined ? [] : await listedHoles(runs, job, console);
  if (listed === null) return 1;
  const holes = [...holesOfLog(job), ...listed];
  const learned = learn(holes, now);
  const hand = person ?? onlyHand(holes);
  const bits = job.kit?.bits ?? [];
  const cases = casesOf(job).map((one) => withAgedBits(one, holes));
  const aged = bits.map((bit) => ({ ...bit, holesCut: holesCutBy(bit, holes) }));
  const lifetime = lifetimes(lifetimesOf(learned.believed, bits));
  const experience = experienceOf(learned, { bits: aged, person: hand });
  const predictions = cases.flatMap((one) => predictionOf({ ...one, experience }, hand) ?? []);
  const report = {
    nucleon: NUCLEON_VERSION,
    model: MODEL_VERSION,
    runs: learned.runs,
    used: learned.used,
    doubted: learned.doubted.map(({ id, doubts }) => ({ id, doubts })),
    levels: levelsOf(learned, bits),
    predictions,
    bits: bits.flatMap((bit) => {
      const drilled = predictions.find(({ bitId }) => bitId === bit.id);
      const drillCase = cases.find(({ hole }) => hole.id === drilled?.holeId);
      const change = drillCase
        ? bitChange(drillCase, bit, { learned, person: hand, lifetime })
        : null;
      return change
        ? [{ bitId: bit.id, name: bit.name, holesCut: holesCutBy(bit, holes), ...change }]
        : [];
    }),
    calibration: learned.calibration,
  };
  console.out(asJson ? JSON.stringify(report, null, 2) : inLines(report));
  return 0;
}

const holesOfLog = ({ log = [], kit }: JobFile): readonly LoggedHole[] =>
  agedHoles(
    log.flatMap(({ runId, events }) => loggedRun(runId, events) ?? []),
    kit?.bits ?? [],
  );

async function listedHoles(
  path: string,
  job: JobFile,
  console: Console,
): Promise<readonly LoggedHole[] | null> {
  let text: string;
  try {
    text = await readFile(path, 'utf8');
  } catch {
    console.err(`Cannot read “${path}”: there is no such file, or it may not be read.`);
    return null;
  }
  const list = readLoggedHoles(text, job.kit ?? {});
  if (list.kind === 'refused') {
    console.err(list.message);
    return null;
  }
  for (const { line, why } of list.unread) console.err(`${path}, line ${line}: ${why}`);
  return list.holes;
}

/** Its bits as old as the log has made them: a list tells of holes that the kit does not count. */
function withAgedBits(drillCase: DrillCase, holes: readonly LoggedHole[]): DrillCase {
  const { kit, piece } = drillCase;
  const aged = (bit: Bit): Bit => {
    const cut = holesCutBy(bit, holes);
    return cut > (bit.holesCut ?? 0) ? bitAged(bit, cut, piece.thicknessMm) : bit;
  };
  return { ...drillCase, kit: { ...kit, bits: (kit.bits ?? []).map(aged) } };
}

const holesCutBy = (bit: Bit, holes: readonly LoggedHole[]): number => {
  const after = holes.filter((one) => one.bit === bit.id).map(({ holesBefore }) => holesBefore + 1);
  return Math.max(bit.holesCut ?? 0, ...after);
};

/** @param drillCase with what the log tells */
function predictionOf(drillCase: DrillCase, hand: string | null) {
  const worked = contextOf(drillCase);
  if (worked.kind === 'faulty') return null;
  const plan = planNumbers(worked.context);
  return {
    holeId: drillCase.hole.id,
    bitId: plan.setup.bitId,
    person: hand,
    timeS: plan.drillTimeS,
    priorTimeS: plan.fromLog?.asNew.drillTimeS ?? plan.drillTimeS,
    exitChipMm: plan.exitChipMm,
    crackProbability: oddsBand(plan.crackProbability, plan.fromLog?.hazardSd ?? HAZARD_SD),
  };
}

function inLines({
  runs,
  used,
  predictions,
  bits,
  calibration,
}: {
  readonly runs: number;
  readonly used: number;
  readonly predictions: readonly NonNullable<ReturnType<typeof predictionOf>>[];
  readonly bits: readonly {
    readonly name: string;
    readonly changeAt: { readonly p10: number; readonly p50: number; readonly p90: number };
  }[];
  readonly calibration: Learned['calibration'];
}): string {
  const minutes = (s: number | undefined): string => (s === undefined ? '–' : (s / 60).toFixed(1));
  return [
    `${used} of ${runs} holes are used.`,
    ...predictions.map(
      ({ holeId, timeS, priorTimeS, crackProbability }) =>
        `${holeId}: ${minutes(timeS?.p50)} min (${minutes(timeS?.p10)} to ${minutes(timeS?.p90)}), planned ${minutes(priorTimeS?.p50)}; cracks ${(100 * crackProbability.p50).toFixed(1)} %.`,
    ),
    ...bits.map(
      ({ name, changeAt }) =>
        `${name}: change after ${changeAt.p50} (${changeAt.p10} to ${changeAt.p90}).`,
    ),
    calibration.timeBand80 === null
      ? `${calibration.n} timed holes are too few to say how well it knows.`
      : `${(100 * calibration.timeBand80).toFixed(0)} % of ${calibration.n} timed holes fell inside their band of 80 %.`,
  ].join('\n');
}
