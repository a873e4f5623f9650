import { putSchema } from '@nucleon/contract/jobFileSchema';
import { bitFields, KIT_PART_FIELDS, machineFields } from '@nucleon/contract/kitSchema';
import { KIT_PART_SORTS, type KitPartSort } from '@nucleon/core/documents/kit';
import { validator, type Validated } from '@nucleon/contract/validator';
import { id, list, object } from '@nucleon/contract/schemaParts';
import type { NewBits, Page, Put, StoredBit, StoredMachine } from '@nucleon/contract/wire';
import { checkJob } from '@nucleon/core/job/checkJob';
import type { Kit } from '@nucleon/core/documents/kit';
import { Router } from 'express';
import { In, IsNull, type EntityManager, type EntitySchema } from 'typeorm';
import type { VersionedRow } from '../database/columns';
import { newRow, putVersioned, type Content } from '../database/putVersioned';
import { likeId } from '../database/likeId';
import { lockKit } from '../database/locks';
import { addBin } from '../database/softDelete';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import { containing, pageQuery } from '../http/paging';
import { faultyProblem } from '../http/problem';
import { forgetAllPlans, forgetPlansWithKit } from '../plans/storePlans';
import type { ServerContext } from '../serverContext';
import { bitEntity, type BitRow } from './bitEntity';
import { bitContent, machineContent, partContent, storedBit, storedMachine, storedPart, type KitPart } from './kitMapping';
import { kitPartEntity } from './kitPartEntity';
import { machineEntity } from './machineEntity';

/** One kind of kit: where it lives and how it is read and shown. */
interface KitResource<Row extends VersionedRow, Body extends { version: number }, Stored> {
  readonly path: string;
  readonly entity: EntitySchema<Row>;
  readonly orderBy: string;
  /** Rows of a shared table that belong to it. */
  readonly only?: Partial<Row>;
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

/** Couplings, supports, guides and ways of wetting: one table, told apart by sort. */
const partResource = (sort: KitPartSort) => ({
  path: `/kit/${sort}`,
  entity: kitPartEntity,
  orderBy: 'row.name',
  only: { sort },
  check: validator<Omit<KitPart, 'id'> & { readonly version: number }>(
    putSchema(KIT_PART_FIELDS[sort], sort),
  ),
  content: partContent(sort),
  show: storedPart,
  asKit: (id: string, body: object): Kit => ({ [sort]: [{ ...body, id }] }),
});

const PART_RESOURCES = KIT_PART_SORTS.map(partResource);

export function kitRoutes(context: ServerContext): Router {
  const router = Router();
  router.get('/kit/parts', async (_request, response) => {
    const rows = await context.source.manager.find(kitPartEntity, {
      where: { deletedAt: IsNull() },
      order: { name: 'ASC', id: 'ASC' },
    });
    const answer = Object.fromEntries(
      KIT_PART_SORTS.map((sort) => [sort, rows.filter((row) => row.sort === sort).map(storedPart)]),
    );
    response.json(answer);
  });
  for (const resource of PART_RESOURCES) addResource(router, context, resource);
  addBatch(router, context);
  addResource(router, context, bits);
  addResource(router, context, machines);
  return router;
}

function addResource<Row extends VersionedRow, Body extends { version: number }, Stored>(
  router: Router,
  context: ServerContext,
  resource: KitResource<Row, Body, Stored>,
): void {
  const { source, now } = context;
  const { path, entity, show } = resource;
  router.get(path, async (request, response) => {
    const { page, pageSize, search } = pageQuery(request.query);
    const found = source.manager.createQueryBuilder(entity, 'row').where('row.deletedAt IS NULL');
    for (const [column, value] of Object.entries<unknown>(resource.only ?? {}))
      found.andWhere(`row.${column} = :${column}`, { [column]: value });
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
      await lockKit(manager, 'write');
      const put = { id, version: body.version, content: resource.content(body), now: now() };
      const written = await putVersioned(manager, entity, put, show);
      if (written.changed) await forgetPlansWithKit(manager, id);
      return written.row;
    });
    response.json(show(row));
  });
  addBin(router, context, path, entity, async (manager, id) => {
    await lockKit(manager, 'write');
    await forgetPlansWithKit(manager, id);
  });
}

const checkBatch = validator<NewBits>({
  $id: 'urn:nucleon:new-bits',
  ...object({ bits: list(object({ id, ...bitFields.required }, bitFields.optional), 2000) }),
});

/** So many rows go to the database at a time. */
const AT_ONCE = 500;

/** Bits that are new, all together; those that are here already must be the same. */
async function putBits(
  manager: EntityManager,
  several: NewBits['bits'],
  now: Date,
): Promise<readonly BitRow[]> {
  const rows: BitRow[] = [];
  for (let from = 0; from < several.length; from += AT_ONCE) {
    const some = several.slice(from, from + AT_ONCE);
    const ids = some.map(({ id }) => id);
    const here = new Set(
      (await manager.find(bitEntity, { select: { id: true }, where: { id: In(ids) } })).map(
        ({ id }) => likeId(id),
      ),
    );
    const fresh = some
      .filter(({ id }) => !here.has(likeId(id)))
      .map(({ id, ...body }) => newRow<BitRow>({ id, version: 0, content: bitContent(body), now }));
    if (fresh.length > 0) await manager.insert(bitEntity, fresh as never);
    rows.push(...fresh);
    for (const { id, ...body } of some) {
      if (!here.has(likeId(id))) continue;
      const put = { id, version: 0, content: bitContent(body), now };
      rows.push((await putVersioned(manager, bitEntity, put, storedBit)).row);
    }
  }
  const order = new Map(several.map(({ id }, at) => [id, at]));
  return rows.sort((a, b) => (order.get(a.id) ?? 0) - (order.get(b.id) ?? 0));
}

/** Several new bits in one transaction; sending them again changes nothing. */
function addBatch(router: Router, { source, now }: ServerContext): void {
  router.post('/bits/batch', async (request, response) => {
    const { bits: several } = checkedBody(request, checkBatch);
    refuseNonsense({ bits: several });
    const rows = await transact(source, async (manager) => {
      const written = await putBits(manager, several, now());
      // Last: whoever plans a hole meanwhile does not wait for two thousand bits.
      await lockKit(manager, 'write');
      await forgetAllPlans(manager);
      return written;
    });
    response.json({ items: rows.map(storedBit) });
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
