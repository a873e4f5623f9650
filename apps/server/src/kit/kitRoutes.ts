import { bitFields, machineFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator, type Validated } from '@nucleon/contract/validator';
import type { Page, Put, StoredBit, StoredMachine } from '@nucleon/contract/wire';
import { checkJob } from '@nucleon/core/job/checkJob';
import type { Kit } from '@nucleon/core/job/job';
import { Router } from 'express';
import type { EntitySchema } from 'typeorm';
import type { VersionedRow } from '../database/columns';
import { putVersioned, type Content } from '../database/putVersioned';
import { setDeleted } from '../database/softDelete';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import { containing, pageQuery } from '../http/paging';
import { faultyProblem } from '../http/problem';
import { forgetPlansWithKit } from '../plans/storePlans';
import type { ServerContext } from '../serverContext';
import { bitEntity } from './bitEntity';
import { bitContent, machineContent, storedBit, storedMachine } from './kitMapping';
import { machineEntity } from './machineEntity';

/** One kind of kit: where it lives and how it is read and shown. */
interface KitResource<Row extends VersionedRow, Body extends { version: number }, Stored> {
  readonly path: string;
  readonly entity: EntitySchema<Row>;
  readonly orderBy: string;
  readonly check: (data: unknown) => Validated<Body>;
  readonly content: (body: Body) => Content<Row>;
  readonly show: (row: Row) => Stored;
  readonly asKit: (id: string, body: Body) => Kit;
}

const bits = {
  path: '/bits',
  entity: bitEntity,
  orderBy: 'row.diameterMm',
  check: validator<Put<StoredBit>>(putSchema(bitFields, 'bit')),
  content: bitContent,
  show: storedBit,
  asKit: (id: string, body: Put<StoredBit>): Kit => ({ bits: [{ ...body, id }] }),
};

const machines = {
  path: '/machines',
  entity: machineEntity,
  orderBy: 'row.name',
  check: validator<Put<StoredMachine>>(putSchema(machineFields, 'machine')),
  content: machineContent,
  show: storedMachine,
  asKit: (id: string, body: Put<StoredMachine>): Kit => ({ machines: [{ ...body, id }] }),
};

export function kitRoutes(context: ServerContext): Router {
  const router = Router();
  addResource(router, context, bits);
  addResource(router, context, machines);
  return router;
}

function addResource<Row extends VersionedRow, Body extends { version: number }, Stored>(
  router: Router,
  { source, now }: ServerContext,
  resource: KitResource<Row, Body, Stored>,
): void {
  const { path, entity, show } = resource;
  router.get(path, async (request, response) => {
    const { page, pageSize, search } = pageQuery(request.query);
    const found = source.manager.createQueryBuilder(entity, 'row').where('row.deletedAt IS NULL');
    if (search) found.andWhere('row.name LIKE :like', { like: containing(search) });
    const [rows, total] = await found
      .orderBy(resource.orderBy, 'ASC')
      .addOrderBy('row.id', 'ASC')
      .offset((page - 1) * pageSize)
      .limit(pageSize)
      .getManyAndCount();
    const answer: Page<Stored> = { items: rows.map(show), page, pageSize, total };
    response.json(answer);
  });
  router.put(`${path}/:id`, async (request, response) => {
    const id = idParam(request, 'id');
    const body = checkedBody(request, resource.check);
    refuseNonsense(resource.asKit(id, body));
    const row = await transact(source, async (manager) => {
      const put = { id, version: body.version, content: resource.content(body), now: now() };
      const written = await putVersioned(manager, entity, put, show);
      if (written.changed) await forgetPlansWithKit(manager, id);
      return written.row;
    });
    response.json(show(row));
  });
  const setGone =
    (at: () => Date | null) =>
    async (id: string): Promise<void> =>
      transact(source, async (manager) => {
        await setDeleted(manager, entity, id, at());
        await forgetPlansWithKit(manager, id);
      });
  router.delete(`${path}/:id`, async (request, response) => {
    await setGone(now)(idParam(request, 'id'));
    response.status(204).end();
  });
  router.post(`${path}/:id/restore`, async (request, response) => {
    await setGone(() => null)(idParam(request, 'id'));
    response.status(204).end();
  });
}

/** What a schema cannot see in a bit or machine: a rim wider than its radius, speeds turned round. */
function refuseNonsense(kit: Kit): void {
  const faults = checkJob({
    format: 'nucleon-job',
    version: 1,
    job: { id: 'kit', name: 'kit' },
    pieces: [],
    kit,
  });
  if (faults.length > 0)
    throw faultyProblem(
      faults.map((fault) => ({ ...fault, pointer: fault.pointer.replace(/^\/kit\/\w+\/0/, '') })),
    );
}
