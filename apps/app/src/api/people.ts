import type {
  AuditEntry,
  Device,
  Invitation,
  MadeCredential,
  Passkey,
  People,
  Reach,
  Session,
  Share,
  SignedCredential,
  WithToken,
} from '@nucleon/contract/people';
import type { Page } from '@nucleon/contract/wire';
import type { Role } from '@nucleon/core/data/people';
import type {
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { keys } from './keys';

/** Who asks. */
export const sessionQuery = queryOptions({
  queryKey: keys.session(),
  queryFn: ({ signal }) => fetchJson<Session>('/session', { signal }),
  staleTime: 60_000,
});

export const reachQuery = queryOptions({
  queryKey: keys.reach(),
  queryFn: ({ signal }) => fetchJson<Reach>('/reach', { signal }),
});

export const peopleQuery = queryOptions({
  queryKey: keys.people(),
  queryFn: ({ signal }) => fetchJson<People>('/people', { signal }),
});

export const devicesQuery = queryOptions({
  queryKey: keys.devices(),
  queryFn: async ({ signal }) =>
    (await fetchJson<{ items: readonly Device[] }>('/devices', { signal })).items,
});

export const passkeysQuery = queryOptions({
  queryKey: keys.passkeys(),
  queryFn: async ({ signal }) =>
    (await fetchJson<{ items: readonly Passkey[] }>('/session/passkeys', { signal })).items,
});

export const sharesQuery = (jobId: string) =>
  queryOptions({
    queryKey: keys.shares(jobId),
    queryFn: async ({ signal }) =>
      (await fetchJson<{ items: readonly Share[] }>(`/jobs/${jobId}/shares`, { signal })).items,
  });

export const auditQuery = (page: number) =>
  queryOptions({
    queryKey: keys.audit(page),
    queryFn: ({ signal }) =>
      fetchJson<Page<AuditEntry>>(`/audit?page=${page}&pageSize=50`, { signal }),
  });

const post = <T>(path: string, body: object = {}): Promise<T> =>
  fetchJson<T>(path, { method: 'POST', body });
const remove = (path: string): Promise<unknown> => fetchJson(path, { method: 'DELETE' });

export interface Joining {
  readonly name: string;
  readonly password: string;
  readonly device: string;
}
export const signIn = (as: Joining): Promise<unknown> => post('/session', as);
export const passkeySignInOptions = (): Promise<PublicKeyCredentialRequestOptionsJSON> =>
  post('/session/passkey/options');
export const signInWithPasskey = (body: {
  device: string;
  credential: SignedCredential;
}): Promise<{ name: string }> => post('/session/passkey', body);
export const passkeyOptions = (password: string): Promise<PublicKeyCredentialCreationOptionsJSON> =>
  post('/session/passkeys/options', { password });
export const addPasskey = (body: { name: string; credential: MadeCredential }): Promise<unknown> =>
  post('/session/passkeys', body);
export const removePasskey = (id: string): Promise<unknown> => remove(`/session/passkeys/${id}`);
export const signOut = (): Promise<unknown> => remove('/session');
export const unlock = (pin: string): Promise<unknown> => post('/session/unlock', { pin });
export const lock = (): Promise<unknown> => post('/session/lock');
export const setPin = (pin: string | undefined): Promise<unknown> =>
  fetchJson('/session/pin', { method: 'PUT', body: pin === undefined ? {} : { pin } });
export const changePassword = (body: { old: string; password: string }): Promise<unknown> =>
  fetchJson('/session/password', { method: 'PUT', body });

export const lookAtInvitation = (token: string): Promise<Pick<Invitation, 'role' | 'madeBy'>> =>
  post('/invitations/look', { token });
export const join = (token: string, as: Joining): Promise<unknown> =>
  post('/invitations/join', { token, ...as });
export const invite = (role: Role): Promise<WithToken<Invitation>> =>
  post('/invitations', { role });
export const endInvitation = (id: string): Promise<unknown> => remove(`/invitations/${id}`);
export const giveRole = ({ id, role }: { id: string; role: Role }): Promise<unknown> =>
  fetchJson(`/people/${id}`, { method: 'PUT', body: { role } });
export const takeOut = (id: string): Promise<unknown> => remove(`/people/${id}`);
export const endDevice = (id: string): Promise<unknown> => remove(`/devices/${id}`);

export const share = (jobId: string, days: number): Promise<WithToken<Share>> =>
  post(`/jobs/${jobId}/shares`, { days });
export const endShare = (id: string): Promise<unknown> => remove(`/shares/${id}`);
export const openShare = (token: string, device: string): Promise<{ jobId: string }> =>
  post('/shares/open', { token, device });
