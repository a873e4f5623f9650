import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readJobFile } from '@nucleon/contract/readJobFile';
import type { JobFile } from '@nucleon/core/job/job';
import { In, type DataSource, type EntityManager, type EntitySchema } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import type { VersionedRow } from '../database/columns';
import { isDuplicateKey } from '../database/databaseErrors';
import type { Content } from '../database/putVersioned';
import { holeEntity } from '../holes/holeEntity';
import { jobEntity } from '../jobs/jobEntity';
import { bitEntity } from '../kit/bitEntity';
import { KIT_PART_SORTS } from '@nucleon/contract/kitSchema';
import { bitContent, machineContent, partContent } from '../kit/kitMapping';
import { kitPartEntity } from '../kit/kitPartEntity';
import { machineEntity } from '../kit/machineEntity';
import { pieceEntity } from '../pieces/pieceEntity';
import { runEntity, runEventEntity, runPhotoEntity } from '../runs/runEntities';
import { forgetPlansWithKit } from '../plans/storePlans';
import { importJob } from './importJob';

export const DEMO_MODES = ['load', 'reset', 'none'] as const;
export type DemoMode = (typeof DEMO_MODES)[number];

/** load: into a database that has never had a job. reset: demo jobs and kit as they were, own ones left. */
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
    if (mode === 'reset') for (const file of files) await removeDemo(manager, file);
    // The first file is to stand at the top of the list, which shows the last touched first.
    for (const [index, file] of [...files].reverse().entries()) {
      await importJob(file, { manager, newId, now: new Date(now().getTime() + index) });
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

async function removeDemo(manager: EntityManager, file: JobFile): Promise<void> {
  const runIds = file.log?.map(({ runId }) => runId) ?? [];
  if (runIds.length > 0) {
    await manager.delete(runEventEntity, { runId: In(runIds) });
    await manager.delete(runPhotoEntity, { runId: In(runIds) });
    await manager.delete(runEntity, { id: In(runIds) });
  }
  const pieces = await manager.findBy(pieceEntity, { jobId: file.job.id });
  const pieceIds = pieces.map((piece) => piece.id);
  if (pieceIds.length > 0) await manager.delete(holeEntity, { pieceId: In(pieceIds) });
  await manager.delete(pieceEntity, { jobId: file.job.id });
  await manager.delete(jobEntity, { id: file.job.id });
  // Kit keeps its ids: other jobs may use it.
  for (const bit of file.kit?.bits ?? [])
    await putBack(manager, bitEntity, bit.id, bitContent(bit));
  for (const machine of file.kit?.machines ?? []) {
    await putBack(manager, machineEntity, machine.id, machineContent(machine));
  }
  for (const sort of KIT_PART_SORTS) {
    for (const part of file.kit?.[sort] ?? [])
      await putBack(manager, kitPartEntity, part.id, partContent(sort)(part));
  }
}

async function putBack<Row extends VersionedRow>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  id: string,
  content: Content<Row>,
): Promise<void> {
  await manager
    .createQueryBuilder()
    .update(entity)
    .set({ ...content, deletedAt: null } as unknown as QueryDeepPartialEntity<Row>)
    .where('id = :id', { id })
    .execute();
  await forgetPlansWithKit(manager, id);
}
