import { createHash, generateKeyPairSync, sign, type KeyObject } from 'node:crypto';
import type { MadeCredential, Passkey, Session, SignedCredential } from '@nucleon/contract/people';
import type { ProblemBody } from '@nucleon/contract/wire';
import { isoCBOR } from '@simplewebauthn/server/helpers';
import type request from 'supertest';
import { cookieOf, openPeopleServer, PASSWORD, type PeopleServer } from './peopleFixtures';
import { challengeEntity } from './peopleEntities';

/** Named by its address, a test’s server is not one that passkeys hold for. */
const HOST = 'drill.localhost';
const sha256 = (data: string | Buffer): Buffer => createHash('sha256').update(data).digest();

let server: PeopleServer;
let owner: string;
beforeAll(async () => {
  server = await openPeopleServer({ isOwn: () => true });
  owner = await server.join('Ida', 'owner');
});
afterAll(async () => {
  await server.close();
});

const ask = (
  method: 'get' | 'post' | 'delete',
  path: string,
  cookie?: string,
  body?: object,
  host = HOST,
): request.Test => server.ask(method, path, cookie, body).set('Host', host);

/** A device that keeps keys, as a phone does: ES256, its user looked at each time (Web Authentication Level 3, 6.1). */
class Authenticator {
  private counter = 0;
  private constructor(
    private readonly id: Buffer,
    private readonly privateKey: KeyObject,
    private readonly x: Buffer,
    private readonly y: Buffer,
  ) {}

  static make(): Authenticator {
    const { privateKey, publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' });
    const { x = '', y = '' } = publicKey.export({ format: 'jwk' });
    const bytes = (text: string): Buffer => Buffer.from(text, 'base64url');
    return new Authenticator(sha256(x), privateKey, bytes(x), bytes(y));
  }

  private clientData(type: string, challenge: string, host: string): Buffer {
    return Buffer.from(JSON.stringify({ type, challenge, origin: `https://${host}` }));
  }
  /** rpIdHash, flags (present, verified), counter. */
  private head(host: string, flags: number): Buffer {
    const counter = Buffer.alloc(4);
    counter.writeUInt32BE(++this.counter);
    return Buffer.concat([sha256(host), Buffer.from([flags]), counter]);
  }

  creates(challenge: string, host = HOST): MadeCredential {
    const length = Buffer.alloc(2);
    length.writeUInt16BE(this.id.length);
    // COSE key: kty EC2, alg ES256, crv P-256, x, y (RFC 9053, 7.1.1).
    const key = isoCBOR.encode(
      new Map<number, number | Uint8Array>([
        [1, 2],
        [3, -7],
        [-1, 1],
        [-2, new Uint8Array(this.x)],
        [-3, new Uint8Array(this.y)],
      ]),
    );
    const authData = Buffer.concat([this.head(host, 0x45), Buffer.alloc(16), length, this.id, key]);
    const attestation = isoCBOR.encode(
      new Map<string, unknown>([
        ['fmt', 'none'],
        ['attStmt', new Map()],
        ['authData', new Uint8Array(authData)],
      ]) as Parameters<typeof isoCBOR.encode>[0],
    );
    return {
      id: this.id.toString('base64url'),
      transports: ['internal'],
      clientDataJSON: this.clientData('webauthn.create', challenge, host).toString('base64url'),
      attestationObject: Buffer.from(attestation).toString('base64url'),
    };
  }

  signs(challenge: string, { host = HOST, flags = 0x05 } = {}): SignedCredential {
    const client = this.clientData('webauthn.get', challenge, host);
    const head = this.head(host, flags);
    return {
      id: this.id.toString('base64url'),
      clientDataJSON: client.toString('base64url'),
      authenticatorData: head.toString('base64url'),
      signature: sign('sha256', Buffer.concat([head, sha256(client)]), this.privateKey).toString(
        'base64url',
      ),
    };
  }
}

const challengeFor = async (path: string, cookie?: string, body: object = {}) =>
  ((await ask('post', path, cookie, body).expect(200)).body as { challenge: string }).challenge;
const add = async (device: Authenticator, cookie: string, name = 'Phone'): Promise<string> => {
  const asked = { password: PASSWORD };
  const credential = device.creates(await challengeFor('/session/passkeys/options', cookie, asked));
  const added = await ask('post', '/session/passkeys', cookie, { name, credential }).expect(201);
  return (added.body as { id: string }).id;
};
const toSign = () => challengeFor('/session/passkey/options');
const signIn = (credential: SignedCredential) =>
  ask('post', '/session/passkey', undefined, { device: 'Phone', credential });
const ownKeys = async (cookie: string) =>
  ((await ask('get', '/session/passkeys', cookie).expect(200)).body as { items: Passkey[] }).items;

it('signs in with a key that was added with the password, and counts its use', async () => {
  const phone = Authenticator.make();
  const id = await add(phone, owner);
  expect(await ownKeys(owner)).toMatchObject([{ id, name: 'Phone', site: HOST, usedAt: null }]);
  const entered = await signIn(phone.signs(await toSign())).expect(200);
  expect(entered.body).toEqual({ name: 'Ida' });
  const cookie = cookieOf(entered);
  const session = (await ask('get', '/session', cookie)).body as Session;
  expect(session).toMatchObject({ kind: 'person', name: 'Ida', role: 'owner' });
  expect((await ownKeys(cookie))[0]?.usedAt).toBe(server.clock.now.toISOString());
  await ask('delete', `/session/passkeys/${id}`, owner).expect(204);
  const refused = await signIn(phone.signs(await toSign())).expect(422);
  expect((refused.body as ProblemBody).detail).toContain('is not known here, or was taken off');
});

it('takes each challenge once, from whom it was given to, and for five minutes', async () => {
  const phone = Authenticator.make();
  await add(phone, owner);
  const challenge = await toSign();
  await signIn(phone.signs(challenge)).expect(200);
  await signIn(phone.signs(challenge)).expect(422);
  await signIn(phone.signs('bm90IGFza2Vk')).expect(422);
  const late = await toSign();
  server.clock.now = new Date(server.clock.now.getTime() + 5 * 60_000);
  await signIn(phone.signs(late)).expect(422);
  // What runs out is not kept.
  await toSign();
  expect(await server.source.manager.count(challengeEntity)).toBe(1);

  const bo = await server.join('Bo', 'worker');
  const forIda = await challengeFor('/session/passkeys/options', owner, { password: PASSWORD });
  const credential = Authenticator.make().creates(forIda);
  await ask('post', '/session/passkeys', bo, { name: 'Stolen', credential }).expect(422);
  expect(await ownKeys(bo)).toEqual([]);
});

it('wants the user looked at, the right name, and the right key', async () => {
  const phone = Authenticator.make();
  await add(phone, owner);
  const present = 0x01;
  await signIn(phone.signs(await toSign(), { flags: present })).expect(422);
  await signIn(phone.signs(await toSign(), { host: 'other.localhost' })).expect(422);
  const forged = { ...Authenticator.make().signs(await toSign()), id: phone.signs('x').id };
  await signIn(forged).expect(422);
  await signIn(phone.signs(await toSign())).expect(200);
});

it('adds none without the password, at a bare address, or for somebody who has left', async () => {
  await ask('post', '/session/passkeys/options', owner, { password: 'wrong' }).expect(422);
  const bare = await ask('post', '/session/passkey/options', undefined, {}, '192.168.1.5:4180');
  expect(bare.status).toBe(404);
  expect((bare.body as ProblemBody).detail).toContain('“192.168.1.5” is an address');
  const phone = Authenticator.make();
  const pia = await server.join('Pia', 'worker');
  const id = await add(phone, pia);
  // Nobody takes another’s off.
  await ask('delete', `/session/passkeys/${id}`, owner).expect(404);
  const { personId } = (await ask('get', '/session', pia)).body as { personId: string };
  await ask('delete', `/people/${personId}`, owner).expect(204);
  await signIn(phone.signs(await toSign())).expect(422);
});
