import type { AuditAct, Role } from '@nucleon/core/data/people';

/** What a link to one job may read: things of that job, found by the first id of the path; and the kit plans need. */
export type Shared = 'job' | 'piece' | 'hole' | 'run' | 'kit' | 'news';

export interface Access {
  /** The least that may ask; `anyone` has not signed in yet. */
  readonly needs: Role | 'anyone';
  readonly act?: AuditAct;
  readonly shared?: Shared;
  /** Asked by the page itself, on and on: it keeps no device from locking. */
  readonly watches?: true;
}

const reads = (shared?: Shared): Access => ({ needs: 'viewer', ...(shared ? { shared } : {}) });
const writes = (act: AuditAct): Access => ({ needs: 'worker', act });
const owner = (act?: AuditAct): Access => ({ needs: 'owner', ...(act ? { act } : {}) });
/** These write down themselves what came of them. */
const ANYONE: Access = { needs: 'anyone' };
const SELF: Access = { needs: 'viewer' };

const kitPart = (path: string): Record<string, Access> => ({
  [`GET ${path}`]: reads('kit'),
  [`PUT ${path}/:id`]: writes('kit'),
  [`DELETE ${path}/:id`]: writes('delete'),
  [`POST ${path}/:id/restore`]: writes('restore'),
});
const binned = (path: string): Record<string, Access> => ({
  [`DELETE ${path}/:id`]: writes('delete'),
  [`POST ${path}/:id/restore`]: writes('restore'),
});

/** Every route of the API, and who may ask it. What does not stand here is refused. */
export const ROUTE_ACCESS: Readonly<Record<string, Access>> = {
  'GET /health': ANYONE,
  'GET /jobs': reads(),
  'GET /bench': reads(),
  'GET /jobs/:jobId': reads('job'),
  'PUT /jobs/:jobId': writes('job'),
  'PUT /jobs/:jobId/materials': writes('materials'),
  'PUT /jobs/:jobId/pieces/:pieceId': writes('piece'),
  'GET /pieces/:pieceId/layout': reads('piece'),
  'PUT /pieces/:pieceId/layout': writes('layout'),
  'GET /pieces/:pieceId/photos/:photoId': reads('piece'),
  'PUT /pieces/:pieceId/photos/:photoId': writes('piece'),
  'GET /holes/:holeId': reads('hole'),
  'GET /holes/:holeId/plan': reads('hole'),
  'GET /holes/:holeId/risk': reads('hole'),
  'GET /holes/:holeId/coverage': reads('hole'),
  'POST /holes/:holeId/coverage': writes('coverage'),
  'PUT /pieces/:pieceId/holes/:holeId': writes('hole'),
  'GET /bin': reads(),
  'GET /jobs/:jobId/bin': reads(),
  ...binned('/jobs'),
  ...binned('/pieces'),
  ...binned('/holes'),
  'GET /kit/parts': reads('kit'),
  ...kitPart('/kit/couplings'),
  ...kitPart('/kit/supports'),
  ...kitPart('/kit/guides'),
  ...kitPart('/kit/water'),
  ...kitPart('/bits'),
  ...kitPart('/machines'),
  'POST /bits/batch': writes('kit'),
  'GET /house': reads('kit'),
  'PUT /house': owner('house'),
  'GET /runs': reads(),
  'GET /runs/export': { needs: 'viewer', act: 'export' },
  'GET /runs/:runId': reads('run'),
  'POST /runs/:runId/events': writes('run'),
  'PUT /runs/:runId/photos/:photoId': writes('run-photo'),
  'GET /runs/:runId/photos/:photoId': reads('run'),
  'DELETE /runs/:runId/photos/:photoId': writes('delete'),
  'GET /learning': reads(),
  'PUT /learning/runs/:runId': writes('belief'),
  'POST /import': writes('import'),
  'GET /jobs/:jobId/export': { needs: 'viewer', act: 'export' },
  'GET /jobs/:jobId/archive': { needs: 'viewer', act: 'export' },

  'GET /session': ANYONE,
  'POST /session': ANYONE,
  'DELETE /session': ANYONE,
  'POST /session/unlock': ANYONE,
  'POST /session/lock': SELF,
  'PUT /session/pin': SELF,
  'PUT /session/password': SELF,
  'GET /session/passkeys': SELF,
  'POST /session/passkeys/options': SELF,
  'POST /session/passkeys': SELF,
  'DELETE /session/passkeys/:id': SELF,
  'POST /session/passkey/options': ANYONE,
  'POST /session/passkey': ANYONE,
  'POST /invitations/look': ANYONE,
  'POST /invitations/join': ANYONE,
  'POST /shares/open': ANYONE,
  'GET /reach': ANYONE,
  'GET /devices': SELF,
  'DELETE /devices/:id': SELF,
  'GET /people': owner(),
  'PUT /people/:id': owner(),
  'DELETE /people/:id': owner(),
  'POST /invitations': owner(),
  'DELETE /invitations/:id': owner(),
  'GET /jobs/:jobId/shares': owner(),
  'POST /jobs/:jobId/shares': owner(),
  'DELETE /shares/:id': owner(),
  'GET /audit': owner(),
  'GET /metrics': { needs: 'owner', watches: true },
  'GET /news': { needs: 'viewer', shared: 'news', watches: true },
};

/** Things of a workshop that a path names. */
export type PathKind = 'job' | 'piece' | 'hole' | 'run' | 'bit' | 'machine' | 'part';
const PATH_KINDS: readonly (readonly [RegExp, PathKind])[] = [
  [/^\/jobs\/:id|:jobId$/, 'job'],
  [/^\/pieces\/:id|:pieceId$/, 'piece'],
  [/^\/holes\/:id|:holeId$/, 'hole'],
  [/:runId$/, 'run'],
  [/^\/bits\/:id/, 'bit'],
  [/^\/machines\/:id/, 'machine'],
  [/^\/kit\/\w+\/:id/, 'part'],
];
/** What the parameter at the end of this much of a path names; null of what stands in no workshop’s tables alone. */
const kindAt = (upTo: string): PathKind | null =>
  PATH_KINDS.find(([form]) => form.test(upTo))?.[1] ?? null;

interface Route extends Access {
  readonly method: string;
  readonly path: RegExp;
  readonly kinds: readonly (PathKind | null)[];
}
const ROUTES: readonly Route[] = Object.entries(ROUTE_ACCESS).map(([route, access]) => {
  const [method = '', path = ''] = route.split(' ');
  const kinds = [...path.matchAll(/:\w+/g)].map(({ 0: name, index }) =>
    kindAt(path.slice(0, index + name.length)),
  );
  return {
    ...access,
    kinds,
    method,
    path: new RegExp(`^${path.replace(/:\w+/g, '([^/]+)')}/?$`, 'i'),
  };
});

export interface Asked extends Access {
  /** The first id of the path. */
  readonly id: string;
  /** The last one: of a hole in its piece the hole. Of a picture, what it is of. */
  readonly subject: string;
  /** All that the path names. */
  readonly things: readonly { readonly kind: PathKind; readonly id: string }[];
}

/** As the router reads it: in large letters and small, with a slash at its end or without. @param path under /api/v1; null of what is no route. HEAD is read as GET. */
export function accessOf(method: string, path: string): Asked | null {
  const asked = method === 'HEAD' ? 'GET' : method;
  for (const { path: form, method: of, kinds, ...access } of ROUTES) {
    if (of !== asked) continue;
    const match = form.exec(path);
    if (!match) continue;
    const ids = match.slice(1).map(decodeURIComponent);
    const id = ids[0] ?? '';
    const things = ids.flatMap((one, place) => {
      const kind = kinds[place];
      return kind ? [{ kind, id: one }] : [];
    });
    return { ...access, id, things, subject: path.includes('/photos/') ? id : (ids.at(-1) ?? '') };
  }
  return null;
}
