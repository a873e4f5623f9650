import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readJobFile } from '@nucleon/contract/readJobFile';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { KIT_PART_SORTS } from '@nucleon/core/documents/kit';
import type { DataSource } from 'typeorm';
import { isDuplicateKey } from '../database/databaseErrors';
import { lockKit, noteKitChange } from '../database/locks';
import { workshopNow } from '../database/workshop';
import { KINDS, type DocumentKind, type Documents } from '../documents/documentKinds';
import { jobDetail } from '../jobs/jobDetail';
import { findByIds, findOne, replace } from '../documents/repository';
import { documentOf, headerOf } from '../documents/shown';
import { importJob } from './importJob';
import { importLog } from './importLog';
import type { ImportTools } from './importTools';

export const DEMO_MODES = ['load', 'reset', 'none'] as const;
export type DemoMode = (typeof DEMO_MODES)[number];

/**
 * load: into a database that has never had a job. reset: what the demo brought stands as it was; nothing is taken
 * away, so own jobs, pieces, holes, runs and pictures stay, those in the demo's jobs too.
 */
export async function loadDemo(
  source: DataSource,
  mode: DemoMode,
  folder: string,
  newId: () => string,
  now: () => Date,
): Promise<void> {
  if (mode === 'none') return;
  if (mode === 'load' && (await source.manager.count(KINDS.job.entity)) > 0) return;
  const files = await demoFiles(folder);
  const loading = source.transaction(async (manager) => {
    await lockKit(manager);
    // The first file is to stand at the top of the list, which shows the last touched first.
    for (const [index, file] of [...files].reverse().entries()) {
      const tools = { manager, newId, now: new Date(now().getTime() + index) };
      const isHere = await manager.existsBy(KINDS.job.entity, { id: file.job.id });
      if (isHere) await resetDemo(file, tools);
      else await importJob(file, tools);
    }
  });
  await loading.catch((error: unknown) => {
    // Another server of the same cluster was loading it at the same moment: its rows are there.
    if (!isDuplicateKey(error)) throw error;
  });
  for (const { job } of files) await jobDetail(source, job.id);
}

async function demoFiles(folder: string): Promise<JobFile[]> {
  const names = (await readdir(folder)).filter((name) => name.endsWith('.json')).sort();
  return Promise.all(
    names.map(async (name) => {
      const read = readJobFile(await readFile(join(folder, name), 'utf8'));
      if (read.kind === 'faulty') throw new Error(`demo/${name}: ${JSON.stringify(read.faults)}`);
      return read.value;
    }),
  );
}

/** Job, pieces, holes, kit and runs of one file as they were; what was added to them is left. */
async function resetDemo(file: JobFile, tools: ImportTools): Promise<void> {
  const { job, pieces, kit = {} } = file;
  const inWorkshop = (id: string): Place => ({ id, parentId: workshopNow() });
  const standing = await findOne(tools.manager, 'job', { id: job.id });
  const header = { ...standing?.document, job: headerOf(job) };
  await putBack(tools, 'job', [{ ...inWorkshop(job.id), document: header }]);
  await putBack(
    tools,
    'piece',
    pieces.map((piece, at) => ({
      id: piece.id,
      parentId: job.id,
      position: at + 1,
      document: documentOf('piece', piece),
    })),
  );
  await putBack(
    tools,
    'hole',
    pieces.flatMap((piece) =>
      piece.holes.map((hole, at) => ({
        id: hole.id,
        parentId: piece.id,
        position: at + 1,
        document: documentOf('hole', hole),
      })),
    ),
  );
  const own = (kind: Exclude<DocumentKind, 'job'>, things: readonly { id: string }[]) =>
    putBack(
      tools,
      kind,
      things.map((thing) => ({ ...inWorkshop(thing.id), document: documentOf(kind, thing) })),
    );
  await own('bit', kit.bits ?? []);
  await own('machine', kit.machines ?? []);
  for (const sort of KIT_PART_SORTS) await own(sort, kit[sort] ?? []);
  await noteKitChange(tools.manager);
  await importLog(file.log, { ...tools, renamed: (id) => id });
}

interface Place {
  readonly id: string;
  readonly parentId: string;
  readonly position?: number;
}

async function putBack<K extends DocumentKind>(
  { manager, now }: ImportTools,
  kind: K,
  things: readonly (Place & { readonly document: Documents[K] })[],
): Promise<void> {
  const rows = await findByIds(
    manager,
    kind,
    things.map(({ id }) => id),
  );
  const versions = new Map(rows.map(({ id, version }) => [id, version]));
  await replace(
    manager,
    kind,
    things.map((thing) => ({
      ...thing,
      fileId: null,
      deletedAt: null,
      // Whoever has the old one open is told that it changed.
      version: versions.get(thing.id) ?? 0,
    })),
    now,
  );
}
