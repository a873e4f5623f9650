import { peopleWords } from '@nucleon/core/words/screens/people';
import type { MadeCredential, SignedCredential } from '@nucleon/contract/people';
import type {
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';

/** Read in when somebody asks for a passkey. */
const library = () => import('@simplewebauthn/browser');

/** The browser’s own words are for developers, and differ. */
const refused =
  (sentence: string) =>
  (cause: unknown): never => {
    throw new Error(sentence, { cause });
  };

const IS_ADDRESS = /^(\d+(\.\d+){3}|\[.*\])$/;

/** The address among these that passkeys hold for: one of a name, as the network of a workshop finds it. */
export const namedAddress = (addresses: readonly string[]): string | undefined =>
  addresses.find((address) => {
    const { hostname } = new URL(address);
    return hostname.includes('.') && !IS_ADDRESS.test(hostname);
  });

/** Whether this browser keeps keys for this page: one that was opened at a name, not at an address of numbers. */
export const keepsPasskeys = (): boolean =>
  'PublicKeyCredential' in globalThis &&
  globalThis.isSecureContext &&
  !IS_ADDRESS.test(location.hostname);

/** Lets the device make a key. @throws where its user does not want to */
export async function makeKey(
  optionsJSON: PublicKeyCredentialCreationOptionsJSON,
): Promise<MadeCredential> {
  const { startRegistration } = await library();
  const { id, response } = await startRegistration({ optionsJSON }).catch(
    refused(peopleWords.passkeyNotMade),
  );
  const { clientDataJSON, attestationObject, transports = [] } = response;
  return { id, transports, clientDataJSON, attestationObject };
}

/** Lets the device sign with a key of its own. @throws where it has none, or its user does not want to */
export async function signWithKey(
  optionsJSON: PublicKeyCredentialRequestOptionsJSON,
): Promise<SignedCredential> {
  const { startAuthentication } = await library();
  const { id, response } = await startAuthentication({ optionsJSON }).catch(
    refused(peopleWords.noPasskeyGiven),
  );
  const { clientDataJSON, authenticatorData, signature, userHandle } = response;
  return {
    ...{ id, clientDataJSON, authenticatorData, signature },
    ...(userHandle === undefined ? {} : { userHandle }),
  };
}
