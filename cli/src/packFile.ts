import { fontsOnDisk, noTypeFor } from './fontsOnDisk';
import { writeFile } from 'node:fs/promises';
import { casesOf } from '@nucleon/core/setup/drillCase';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import { writeJobPack } from '@nucleon/files/jobPack';
import { PAPERS, type PaperId } from '@nucleon/files/tiles';
import type { Console } from './console';
import { loadOrSay } from './loadJobFile';

interface PackChoice {
  readonly hole?: string | undefined;
  readonly paper?: string | undefined;
  readonly units: UnitSystem;
  readonly now: Date;
}

/** A job on paper: packing list, a card a hole, templates; or one hole’s card. 0 done, 1 bad input. */
export async function packFile(
  from: string,
  to: string,
  { hole, paper = 'a4', units, now }: PackChoice,
  console: Console,
): Promise<number> {
  const job = await loadOrSay(from, console);
  if (!job) return 1;
  if (!Object.hasOwn(PAPERS, paper)) {
    console.err(`“${paper}” is not a paper; use ${Object.keys(PAPERS).join(' or ')}.`);
    return 1;
  }
  const all = casesOf(job);
  const named =
    hole === undefined
      ? undefined
      : all.find(({ hole: { id, label } }) => id === hole || label === hole);
  if (hole !== undefined && !named) {
    console.err(
      `There is no hole “${hole}”; the file has ${all.map(({ hole: { id, label } }) => label ?? id).join(', ')}.`,
    );
    return 1;
  }
  const onPaper = { jobName: job.job.name, cases: named ? [named] : all };
  const fonts = await fontsOnDisk(JSON.stringify(onPaper));
  const cardsOnly = named !== undefined;
  const pack = await writeJobPack(onPaper, {
    paper: paper as PaperId,
    units,
    now,
    cardsOnly,
    fonts,
  });
  if (pack.kind !== 'written') {
    console.err(pack.kind === 'refused' ? pack.message : 'Cancelled.');
    return 1;
  }
  await writeFile(to, pack.bytes);
  if (pack.missing !== '') console.err(noTypeFor(pack.missing));
  console.out(`${to}: ${pack.pages} page${pack.pages === 1 ? '' : 's'}.`);
  return 0;
}
