/** Prints how long a plan, its risk, window, ranking and comparison take, ms, over the demo's holes: `tsx scripts/bench/plans.mts`. */
import { readdirSync, readFileSync } from 'node:fs';
import { checkJobData } from '@nucleon/contract/readJobFile';
import { casesOf, type DrillCase } from '@nucleon/core/setup/drillCase';
import { compareMethods } from '@nucleon/core/advice/choice/compareMethods';
import { rankSetups } from '@nucleon/core/advice/choice/rankSetups';
import { workingWindow } from '@nucleon/core/advice/choice/workingWindow';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { contextOf } from '@nucleon/core/plan/contextOf';
import { rememberingBend } from '@nucleon/core/physics/plate/bender';
import { riskModelOf } from '@nucleon/core/advice/risk/riskModelOf';
import { assessRisk } from '@nucleon/core/physics/strength/assessRisk';
import { METRIC } from '@nucleon/core/data/unitSystem';

const folder = new URL('../../demo/', import.meta.url);

const holes: DrillCase[] = [];
for (const name of readdirSync(folder)) {
  const checked = checkJobData(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
  if (checked.kind === 'faulty') throw new Error(`demo/${name} is faulty`);
  holes.push(...casesOf(checked.value));
}

/** Median and 95th percentile, ms, of a piece of work over every hole, after warming up. */
function timed(
  rounds: number,
  work: (drillCase: DrillCase) => void,
): { medianMs: number; p95Ms: number } {
  const times: number[] = [];
  const warmRounds = Math.ceil(rounds / 4);
  for (let round = 0; round < rounds + warmRounds; round++) {
    for (const hole of holes) {
      const began = performance.now();
      work(hole);
      if (round >= warmRounds) times.push(performance.now() - began);
    }
  }
  times.sort((a, b) => a - b);
  const at = (share: number): number => times[Math.floor(share * (times.length - 1))] ?? NaN;
  return { medianMs: at(0.5), p95Ms: at(0.95) };
}

const contexts = new Map(
  holes.map((drillCase) => {
    const worked = contextOf(drillCase);
    if (worked.kind === 'faulty') throw new Error(`hole ${drillCase.hole.id} is faulty`);
    return [drillCase.hole.id, worked.context];
  }),
);
const contextFor = (holeId: string) => {
  const context = contexts.get(holeId);
  if (!context) throw new Error(`no context of ${holeId}`);
  return context;
};

console.log(
  JSON.stringify({
    plan: timed(200, (drillCase) => makePlan(drillCase)),
    bend: timed(2, (drillCase) => makePlan(drillCase, METRIC, rememberingBend())),
    risk: timed(8, ({ hole }) => assessRisk(riskModelOf(contextFor(hole.id)))),
    window: timed(8, ({ hole }) => workingWindow(contextFor(hole.id), 120)),
    rank: timed(8, (drillCase) => rankSetups(drillCase)),
    compare: timed(8, (drillCase) => compareMethods(drillCase)),
  }),
);
