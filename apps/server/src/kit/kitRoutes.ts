import { newBits, putBit, putMachine, putPart } from '@nucleon/contract/bodies';
import { validator, type Validated } from '@nucleon/contract/validator';
import type { Page } from '@nucleon/contract/wire';
import { KIT_PART_SORTS, type Kit, type KitPartSort } from '@nucleon/core/documents/kit';
import { Router } from 'express';
import { IsNull, Like, type FindOptionsWhere } from 'typeorm';
import { setDeleted } from '../bin/setDeleted';
import { lockKit, noteKitChange } from '../database/locks';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { refuseClashes } from '../documents/checkAlone';
import { isPartSort, KINDS, type DocumentRow, type StoredRow } from '../documents/documentKinds';
import { find, findOne, put, putAll } from '../documents/repository';
import { documentOf, shown, SHOWN } from '../documents/shown';
import { checkedBody, idParam } from '../http/body';
import { containing, pageQuery } from '../http/paging';
import { notFound } from '../http/problem';
import { forAsker } from '../people/forAsker';
import type { ServerContext } from '../serverContext';

type KitKind = 'bit' | 'machine' | KitPartSort;

interface KitResource {
  readonly path: string;
  readonly orderBy: string;
  readonly check: (data: unknown) => Validated<{ readonly version: number }>;
  /** Its list in a kit. */
  readonly list: keyof Kit;
}

const part = (sort: KitPartSort): KitResource => ({
  path: `/kit/${sort}`,
  orderBy: 'name',
  check: validator(putPart[sort]),
  list: sort,
});

const RESOURCES: { readonly [K in KitKind]: KitResource } = {
  bit: { path: '/bits', orderBy: 'diameterMm', check: validator(putBit), list: 'bits' },
  machine: { path: '/machines', orderBy: 'name', check: validator(putMachine), list: 'machines' },
  couplings: part('couplings'),
  supports: part('supports'),
  guides: part('guides'),
  water: part('water'),
};

const ownClash = /^\/kit\/\w+\/0/;
const checkNewBits = validator(newBits);

/** Rows of this kind, of a table that others share. */
const only = (kind: KitKind): FindOptionsWhere<StoredRow> =>
  isPartSort(kind) ? { sort: kind } : {};

/** What is owned: bits, machines and all that goes with them. */
export function kitRoutes(context: ServerContext): Router {
  const { source, now, learning } = context;
  const router = Router();
  router.get('/kit/parts', async (_request, response) => {
    const where = { parentId: workshopNow(), deletedAt: IsNull() };
    const rows = await find(source.manager, 'couplings', where, { name: 'ASC', id: 'ASC' });
    response.json(
      Object.fromEntries(
        KIT_PART_SORTS.map((sort) => [
          sort,
          rows
            .filter((row) => (row as StoredRow).sort === sort)
            .map((row) => forAsker(SHOWN.couplings(row))),
        ]),
      ),
    );
  });
  // Several new bits in one transaction; sending them again changes nothing.
  router.post('/bits/batch', async (request, response) => {
    const { bits } = checkedBody(request, checkNewBits);
    refuseClashes({ kit: { bits } }, ownClash);
    const written = await transact(source, async (manager) => {
      await lockKit(manager);
      const puts = bits.map((bit) => ({
        id: bit.id,
        parentId: workshopNow(),
        version: 0,
        document: documentOf('bit', bit),
      }));
      const all = await putAll(manager, 'bit', puts, now());
      if (all.some(({ changed }) => changed)) await noteKitChange(manager);
      return all;
    });
    learning.changed();
    response.json({ items: written.map(({ row }) => SHOWN.bit(row)) });
  });
  for (const kind of Object.keys(RESOURCES) as KitKind[]) addResource(router, context, kind);
  return router;
}

function addResource(
  router: Router,
  { source, now, learning }: ServerContext,
  kind: KitKind,
): void {
  const { path, orderBy, check, list } = RESOURCES[kind];
  // How old a bit is, and whether it is in use, is part of what the log tells of it.
  const changed = (): void => {
    if (kind === 'bit') learning.changed();
  };
  router.get(path, async (request, response) => {
    const { page, pageSize, search } = pageQuery(request.query);
    const [rows, total] = await source.manager.findAndCount(KINDS[kind].entity, {
      where: {
        parentId: workshopNow(),
        deletedAt: IsNull(),
        ...only(kind),
        ...(search ? { name: Like(containing(search)) } : {}),
      },
      order: { [orderBy]: 'ASC', id: 'ASC' },
      skip: (page - 1) * pageSize,
      take: pageSize,
    });
    const items = rows.map((row) => forAsker(shown(kind, row as DocumentRow<typeof kind>)));
    const answer: Page<object> = { items, page, pageSize, total };
    response.json(answer);
  });
  router.put(`${path}/:id`, async (request, response) => {
    const id = idParam(request, 'id');
    const { version, ...body } = checkedBody(request, check);
    const document = documentOf(kind, body);
    refuseClashes({ kit: { [list]: [{ ...document, id }] } }, ownClash);
    const { row } = await transact(source, async (manager) => {
      await lockKit(manager);
      const one = { id, parentId: workshopNow(), version, document };
      const written = await put(manager, kind, one, now());
      if (written.changed) await noteKitChange(manager);
      return written;
    });
    changed();
    response.json(shown(kind, row));
  });
  const set = async (id: string, at: Date | null): Promise<void> => {
    await transact(source, async (manager) => {
      await lockKit(manager);
      if (!(await findOne(manager, kind, { id }))) throw notFound(KINDS[kind].called, id);
      if ((await setDeleted(manager, kind, [id], at)) > 0) await noteKitChange(manager);
    });
    changed();
  };
  router.delete(`${path}/:id`, async (request, response) => {
    await set(idParam(request, 'id'), now());
    response.status(204).end();
  });
  router.post(`${path}/:id/restore`, async (request, response) => {
    await set(idParam(request, 'id'), null);
    response.status(204).end();
  });
}
