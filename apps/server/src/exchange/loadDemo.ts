import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readJobFile } from '@nucleon/contract/readJobFile';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { DataSource, EntitySchema } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import type { VersionedRow } from '../database/columns';
import { isDuplicateKey } from '../database/databaseErrors';
import type { Content } from '../database/putVersioned';
import { lockKit } from '../database/locks';
import { holeEntity } from '../holes/holeEntity';
import { holeContent } from '../holes/holeMapping';
import { jobEntity } from '../jobs/jobEntity';
import { jobContent } from '../jobs/jobMapping';
import { bitEntity } from '../kit/bitEntity';
import { KIT_PART_SORTS } from '@nucleon/core/documents/kit';
import { bitContent, machineContent, partContent } from '../kit/kitMapping';
import { kitPartEntity } from '../kit/kitPartEntity';
import { machineEntity } from '../kit/machineEntity';
import { pieceEntity } from '../pieces/pieceEntity';
import { pieceContent } from '../pieces/pieceMapping';
import { forgetAllPlans } from '../plans/storePlans';
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
  if (mode === 'load' && (await source.manager.count(jobEntity)) > 0) return;
  const files = await demoFiles(folder);
  const loading = source.transaction(async (manager) => {
    await lockKit(manager, 'write');
    // The first file is to stand at the top of the list, which shows the last touched first.
    for (const [index, file] of [...files].reverse().entries()) {
      const tools = { manager, newId, now: new Date(now().getTime() + index) };
      const isHere = await manager.existsBy(jobEntity, { id: file.job.id });
      if (isHere) await resetDemo(file, tools);
      else await importJob(file, tools);
    }
  });
  await loading.catch((error: unknown) => {
    // Another server of the same cluster was loading it at the same moment: its rows are there.
    if (!isDuplicateKey(error)) throw error;
  });
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
  const { manager } = tools;
  const jobId = file.job.id;
  const standing = await manager.findOneBy(jobEntity, { id: jobId });
  await putBack(tools, jobEntity, jobId, jobContent(file.job, standing));
  for (const [at, piece] of file.pieces.entries()) {
    await putBack(tools, pieceEntity, piece.id, pieceContent(piece, jobId, at + 1));
    for (const [place, hole] of piece.holes.entries())
      await putBack(tools, holeEntity, hole.id, holeContent(hole, piece.id, place + 1));
  }
  for (const bit of file.kit?.bits ?? []) await putBack(tools, bitEntity, bit.id, bitContent(bit));
  for (const machine of file.kit?.machines ?? [])
    await putBack(tools, machineEntity, machine.id, machineContent(machine));
  for (const sort of KIT_PART_SORTS)
    for (const part of file.kit?.[sort] ?? [])
      await putBack(tools, kitPartEntity, part.id, partContent(sort)(part));
  await forgetAllPlans(manager);
  await importLog(file.log, { ...tools, renamed: (id) => id });
}

async function putBack<Row extends VersionedRow>(
  { manager, now }: ImportTools,
  entity: EntitySchema<Row>,
  id: string,
  content: Content<Row>,
): Promise<void> {
  const row = await manager
    .createQueryBuilder(entity, 'row')
    .where('row.id = :id', { id })
    .getOne();
  const next = {
    fileId: null,
    ...content,
    id,
    // Whoever has the old one open is told that it changed.
    version: (row?.version ?? 0) + 1,
    updatedAt: now,
    deletedAt: null,
  } as unknown as QueryDeepPartialEntity<Row>;
  await manager.getRepository(entity).upsert(next, ['id']);
}
