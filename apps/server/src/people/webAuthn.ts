import type { MadeCredential, SignedCredential } from '@nucleon/contract/people';
import type {
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
  WebAuthnCredential,
} from '@simplewebauthn/server';
import type { Request } from 'express';
import { isIP } from 'node:net';
import { Problem } from '../http/problem';
import { CHALLENGE_MS } from './challenges';
import type { PasskeyRow } from './peopleEntities';

/*
 * W3C Web Authentication Level 3: a device makes a pair of keys for a person at a name, keeps the private one, and signs what
 * this server asks. Checked by a library, which is read in when the first passkey is asked for.
 */
const library = () => import('@simplewebauthn/server');

const SHOWN_NAME = 'Nucleon';

/** Where a passkey holds, and the address its page has. */
export interface Site {
  readonly name: string;
  readonly origin: string;
}

/** @throws Problem where the page was opened at a bare address: browsers want a name (5.1.3, effective domain) */
export function siteOf(request: Request): Site {
  const authority = (request.headers.host ?? '').toLowerCase();
  const name = authority.replace(/:\d+$/, '');
  if (isIP(name.replace(/[[\]]/g, '')) !== 0)
    throw new Problem(
      'not-found',
      `A passkey belongs to a name, and “${name}” is an address; open Nucleon at this computer’s name, or use the password.`,
    );
  return { name, origin: `https://${authority}` };
}

/** What a device is asked so that it makes a key: one that stands for name and password. */
export async function creationOptions(
  site: Site,
  person: { readonly personId: string; readonly name: string },
  own: readonly PasskeyRow[],
): Promise<PublicKeyCredentialCreationOptionsJSON> {
  const { generateRegistrationOptions } = await library();
  return generateRegistrationOptions({
    rpName: SHOWN_NAME,
    rpID: site.name,
    userName: person.name,
    userDisplayName: person.name,
    userID: new TextEncoder().encode(person.personId),
    timeout: CHALLENGE_MS,
    excludeCredentials: own
      .filter((one) => one.site === site.name)
      .map(({ credentialId }) => ({ id: credentialId })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  });
}

/** What a device is asked so that it signs in: of nobody in particular, it offers the keys it has for this name. */
export async function requestOptions(site: Site): Promise<PublicKeyCredentialRequestOptionsJSON> {
  const { generateAuthenticationOptions } = await library();
  return generateAuthenticationOptions({
    rpID: site.name,
    timeout: CHALLENGE_MS,
    userVerification: 'required',
  });
}

type Takes = (challenge: string) => Promise<boolean>;

const publicKeyOf = (id: string) =>
  ({ id, rawId: id, type: 'public-key', clientExtensionResults: {} }) as const;

/** @returns the new key; null where what came is none, or was not asked for */
export async function madeKey(
  site: Site,
  { id, clientDataJSON, attestationObject }: MadeCredential,
  expectedChallenge: Takes,
): Promise<WebAuthnCredential | null> {
  const { verifyRegistrationResponse } = await library();
  const verified = await verifyRegistrationResponse({
    response: { ...publicKeyOf(id), response: { clientDataJSON, attestationObject } },
    expectedChallenge,
    expectedOrigin: site.origin,
    expectedRPID: site.name,
    requireUserVerification: true,
  }).catch(() => null);
  return verified?.verified ? verified.registrationInfo.credential : null;
}

/** @returns how often the key was used by now; null where the signature is not its own, or of what was not asked */
export async function signedBy(
  site: Site,
  { id, ...response }: SignedCredential,
  key: PasskeyRow,
  expectedChallenge: Takes,
): Promise<number | null> {
  const { verifyAuthenticationResponse } = await library();
  const verified = await verifyAuthenticationResponse({
    response: { ...publicKeyOf(id), response },
    expectedChallenge,
    expectedOrigin: site.origin,
    expectedRPID: site.name,
    credential: {
      id,
      publicKey: new Uint8Array(key.publicKey),
      counter: Number(key.counter),
    },
    requireUserVerification: true,
  }).catch(() => null);
  return verified?.verified ? verified.authenticationInfo.newCounter : null;
}
