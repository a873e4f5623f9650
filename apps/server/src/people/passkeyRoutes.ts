import {
  postPasskey,
  postPasskeyOptions,
  postPasskeySession,
  type Passkey,
} from '@nucleon/contract/people';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { IsNull } from 'typeorm';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import { faultyProblem, notFound, Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { personAsking } from './asking';
import { writeDown } from './audit';
import { challengesIn } from './challenges';
import { addDevice } from './devices';
import { passkeyEntity, personEntity, type PasskeyRow } from './peopleEntities';
import { hashOfToken, isPassword } from './secrets';
import { giveSession } from './sessionCookie';
import type { Tries } from './tries';
import { creationOptions, madeKey, requestOptions, signedBy, siteOf } from './webAuthn';

const checkOptions = validator(postPasskeyOptions);
const checkPasskey = validator(postPasskey);
const checkSession = validator(postPasskeySession);

const MAX_PASSKEYS = 20;

const NOT_KNOWN = faultyProblem([
  {
    pointer: '/credential',
    message: 'This passkey is not known here, or was taken off; sign in with the password.',
  },
]);
const NOT_MADE = faultyProblem([
  {
    pointer: '/credential',
    message: 'This passkey could not be checked, or took longer than five minutes; try again.',
  },
]);
const NOT_YOUR_PASSWORD = faultyProblem([
  { pointer: '/password', message: 'That is not your password.' },
]);

const shown = ({ id, name, site, since, usedAt }: PasskeyRow): Passkey => ({
  id,
  name,
  site,
  since: since.toISOString(),
  usedAt: usedAt?.toISOString() ?? null,
});

/** Keys that stand for one’s password: seen, added and taken off. */
export function passkeyRoutes({ source, now, newId }: ServerContext, tried: Tries): Router {
  const { remember, takes } = challengesIn(source, now);
  const router = Router();
  const ofPerson = (personId: string) =>
    source.manager.find(passkeyEntity, { where: { personId }, order: { since: 'ASC' } });

  router.get('/session/passkeys', async (_request, response) => {
    const own = await ofPerson(personAsking().personId);
    response.json({ items: own.map(shown) });
  });

  router.post('/session/passkeys/options', async (request, response) => {
    const site = siteOf(request);
    const { password } = checkedBody(request, checkOptions);
    const { personId, name } = personAsking();
    await tried(request, `person ${personId}`, async () => {
      const person = await source.manager.findOneByOrFail(personEntity, { id: personId });
      if (!(await isPassword(password, person.password))) throw NOT_YOUR_PASSWORD;
    });
    const own = await ofPerson(personId);
    if (own.length >= MAX_PASSKEYS)
      throw new Problem(
        'conflict',
        `You have ${own.length} passkeys; take one off before you add another.`,
      );
    const options = await creationOptions(site, { personId, name }, own);
    await remember(options.challenge, personId);
    response.json(options);
  });

  router.post('/session/passkeys', async (request, response) => {
    const site = siteOf(request);
    const { credential, name } = checkedBody(request, checkPasskey);
    const { personId, workshopId } = personAsking();
    const made = await madeKey(site, credential, takes(personId));
    if (!made) throw NOT_MADE;
    const id = newId();
    await transact(source, async (manager) => {
      await manager.insert(passkeyEntity, {
        ...{ id, workshopId, personId, name },
        credentialHash: hashOfToken(made.id),
        credentialId: made.id,
        publicKey: Buffer.from(made.publicKey),
        counter: made.counter,
        transports: credential.transports.join(' '),
        site: site.name,
        since: now(),
        usedAt: null,
      });
      await writeDown(manager, 'passkey', name);
    });
    response.status(201).json({ id });
  });

  router.delete('/session/passkeys/:id', async (request, response) => {
    const id = idParam(request, 'id');
    const { personId } = personAsking();
    await transact(source, async (manager) => {
      const own = await manager.findOneBy(passkeyEntity, { id, personId });
      if (!own) throw notFound('passkey', id);
      await manager.delete(passkeyEntity, { id });
      await writeDown(manager, 'passkey-ended', own.name);
    });
    response.status(204).end();
  });
  return router;
}

/** Signing in with such a key. */
export function passkeySignInRoutes(context: ServerContext, tried: Tries): Router {
  const { source, now } = context;
  const { remember, takes } = challengesIn(source, now);
  const router = Router();

  router.post('/session/passkey/options', async (request, response) => {
    const options = await requestOptions(siteOf(request));
    await remember(options.challenge, null);
    response.json(options);
  });

  router.post('/session/passkey', async (request, response) => {
    const site = siteOf(request);
    const { credential, device } = checkedBody(request, checkSession);
    const credentialHash = hashOfToken(credential.id);
    const found = await tried(request, `passkey ${credentialHash}`, async () => {
      const key = await source.manager.findOneBy(passkeyEntity, {
        ...{ credentialHash, site: site.name },
      });
      const person =
        key &&
        (await source.manager.findOneBy(personEntity, { id: key.personId, leftAt: IsNull() }));
      if (!key || !person) throw NOT_KNOWN;
      const counter = await signedBy(site, credential, key, takes(null));
      if (counter !== null) return { key, person, counter };
      const { workshopId, name } = person;
      const nobody = { workshopId, personId: null, name: '' };
      await writeDown(source.manager, 'sign-in-refused', name, nobody);
      throw NOT_KNOWN;
    });
    const { id: personId, workshopId, name } = found.person;
    const token = await transact(source, async (manager) => {
      const used = { counter: found.counter, usedAt: now() };
      await manager.update(passkeyEntity, { id: found.key.id }, used);
      await writeDown(manager, 'sign-in', device, { workshopId, personId, name });
      return addDevice(manager, context, device, { workshopId, personId });
    });
    giveSession(response, token);
    response.json({ name });
  });
  return router;
}
