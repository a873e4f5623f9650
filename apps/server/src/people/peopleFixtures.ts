import type { Invitation, WithToken } from '@nucleon/contract/people';
import type { Role } from '@nucleon/core/data/people';
import request from 'supertest';
import type { Doors } from '../http/doors';
import { openTestServer, type TestServer } from '../testServer';
import { THE_WORKSHOP_ID } from '../database/workshop';
import { inWorkshop } from './asking';
import { invite } from './links';
import { v7 as newId } from 'uuid';

export const PASSWORD = 'diamond and water';

/** As beyond the loopback, without TLS: a test asks the app itself. */
const DOORS: Doors = {
  signsIn: true,
  behindProxy: false,
  isOwn: (authority) => authority.startsWith('127.0.0.1'),
  reach: () => ({ open: true, addresses: [], trustAddress: null, fingerprint: null }),
};

/** A server where people sign in, on a clock of the test’s own. */
export interface PeopleServer extends TestServer {
  readonly clock: { now: Date };
  /** Asks as whoever this cookie is; nobody without one. */
  readonly ask: (method: Method, path: string, cookie?: string, body?: object) => request.Test;
  /** Lets somebody join. @returns their cookie */
  readonly join: (name: string, role: Role, workshopId?: string) => Promise<string>;
}
export type Method = 'get' | 'put' | 'post' | 'delete';

/** The session a browser would keep. */
export function cookieOf({ headers }: request.Response): string {
  const [given = ''] = (headers['set-cookie'] ?? []) as unknown as string[];
  return given.split(';')[0] ?? '';
}

export async function openPeopleServer(doors: Partial<Doors> = {}): Promise<PeopleServer> {
  const clock = { now: new Date('2026-11-29T08:00:00Z') };
  const server = await openTestServer({ doors: { ...DOORS, ...doors }, now: () => clock.now });
  const ask: PeopleServer['ask'] = (method, path, cookie, body) => {
    const asked = request(server.app)[method](`/api/v1${path}`);
    if (cookie !== undefined) asked.set('Cookie', cookie);
    return body === undefined ? asked : asked.send(body);
  };
  return {
    ...server,
    clock,
    ask,
    join: async (name, role, workshopId = THE_WORKSHOP_ID) => {
      const tools = { now: () => clock.now, newId: () => newId() };
      const { token }: WithToken<Invitation> = await inWorkshop(workshopId, clock.now, () =>
        invite(server.source.manager, tools, role, ''),
      );
      const body = { token, name, password: PASSWORD, device: `${name}’s phone` };
      return cookieOf(await ask('post', '/invitations/join', undefined, body).expect(204));
    },
  };
}
