/** Prints how long one plan takes, ms, over the demo's holes: `tsx scripts/bench/plans.mts`. */
import { readdirSync, readFileSync } from 'node:fs';
import { checkJobData } from '@nucleon/contract/readJobFile';
import type { JobFile } from '@nucleon/core/job/job';
import { makePlan } from '@nucleon/core/plan/makePlan';

const ROUNDS = 200;
const WARM_ROUNDS = 50;
const folder = new URL('../../demo/', import.meta.url);

const holes: { file: JobFile; holeId: string }[] = [];
for (const name of readdirSync(folder)) {
  const checked = checkJobData(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
  if (checked.kind === 'faulty') throw new Error(`demo/${name} is faulty`);
  for (const piece of checked.value.pieces)
    for (const hole of piece.holes) holes.push({ file: checked.value, holeId: hole.id });
}

const times: number[] = [];
for (let round = 0; round < ROUNDS + WARM_ROUNDS; round++) {
  for (const { file, holeId } of holes) {
    const began = performance.now();
    makePlan(file, holeId);
    if (round >= WARM_ROUNDS) times.push(performance.now() - began);
  }
}
times.sort((a, b) => a - b);
const at = (share: number): number => times[Math.floor(share * (times.length - 1))] ?? NaN;
console.log(JSON.stringify({ medianMs: at(0.5), p95Ms: at(0.95) }));
