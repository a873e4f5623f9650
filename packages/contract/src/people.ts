import {
  PASSWORD_LENGTH,
  PIN_DIGITS,
  ROLES,
  SHARE_DAYS,
  type AuditAct,
  type Role,
} from '@nucleon/core/data/people';
import {
  list,
  matching,
  object,
  oneOf,
  secret,
  text,
  wholeNumber,
} from '@nucleon/core/data/schema/schema';

/*
 * Who works in a workshop, on which devices, and what was done: the bodies of requests, and what is answered.
 */

const personName = matching(
  '^\\S(.{0,78}\\S)?$',
  'a name of 1 to 80 characters, no blank at its ends',
);
const password = secret(
  `^[\\s\\S]{${PASSWORD_LENGTH.min},${PASSWORD_LENGTH.max}}$`,
  `a password of ${PASSWORD_LENGTH.min} to ${PASSWORD_LENGTH.max} characters`,
);
const pin = secret(
  `^[0-9]{${PIN_DIGITS.min},${PIN_DIGITS.max}}$`,
  `${PIN_DIGITS.min} to ${PIN_DIGITS.max} digits`,
);
/** The secret of a link: 32 random bytes in base64url. */
const token = secret('^[A-Za-z0-9_-]{43}$', 'the 43 characters after # in the link');
const deviceName = text(80);
/** What was given, right or wrong: it is compared, not judged. */
const given = secret(
  `^[\\s\\S]{0,${PASSWORD_LENGTH.max}}$`,
  `text of at most ${PASSWORD_LENGTH.max} characters`,
);

export const postSession = object({ name: text(80), password: given, device: deviceName });
export const postToken = object({ token });
export const postJoin = object({ token, name: personName, password, device: deviceName });
export const postInvitation = object({ role: oneOf(ROLES) });
export const putPerson = object({ role: oneOf(ROLES) });
export const putPassword = object({ old: given, password });
export const putPin = object({}, { pin });
export const postUnlock = object({ pin: given });
export const postShare = object({ days: wholeNumber(SHARE_DAYS.min, SHARE_DAYS.max) });
export const postShareOpened = object({ token, device: deviceName });

/** Bytes in base64url, as a device signs them (Web Authentication Level 3, 5.1: JSON of its responses). */
const bytes = (most: number) =>
  secret(`^[A-Za-z0-9_-]{1,${most}}$`, `base64url of at most ${most} characters`);
const credentialId = bytes(1400);
const clientDataJSON = bytes(2000);
/** How a device is reached: internal, hybrid, usb, … */
const transport = matching('^[a-z-]{1,20}$', 'a transport such as internal or usb');
export const postPasskeyOptions = object({ password: given });
export const postPasskey = object({
  name: deviceName,
  credential: object({
    id: credentialId,
    transports: list(transport, 8),
    clientDataJSON,
    attestationObject: bytes(20_000),
  }),
});
export const postPasskeySession = object({
  device: deviceName,
  credential: object(
    { id: credentialId, clientDataJSON, authenticatorData: bytes(4000), signature: bytes(4000) },
    { userHandle: bytes(200) },
  ),
});

/** What a device answers when it has made a key. */
export interface MadeCredential {
  readonly id: string;
  readonly transports: readonly string[];
  readonly clientDataJSON: string;
  readonly attestationObject: string;
}
/** What it answers when it has signed with one. */
export interface SignedCredential {
  readonly id: string;
  readonly clientDataJSON: string;
  readonly authenticatorData: string;
  readonly signature: string;
  readonly userHandle?: string;
}

/** A key of one’s own that stands for the password. */
export interface Passkey {
  readonly id: string;
  readonly name: string;
  /** The name it holds for. */
  readonly site: string;
  readonly since: string;
  readonly usedAt: string | null;
}

/** Who asks: nobody has to say on the workshop's own computer. */
export type Session =
  | { readonly kind: 'local' }
  /** @param first nobody has joined yet: the owner's link is where the server was started. */
  | { readonly kind: 'nobody'; readonly first: boolean }
  | {
      readonly kind: 'person';
      readonly personId: string;
      readonly deviceId: string;
      readonly name: string;
      readonly role: Role;
      /** Stays signed in at the bench; its PIN opens it after a while. */
      readonly bench: boolean;
      readonly locked: boolean;
    }
  | { readonly kind: 'share'; readonly jobId: string; readonly until: string };

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly joinedAt: string;
  readonly leftAt: string | null;
}

export interface Device {
  readonly id: string;
  readonly personId: string | null;
  readonly personName: string;
  readonly name: string;
  readonly bench: boolean;
  readonly since: string;
  readonly seenAt: string;
  /** The one that asks. */
  readonly own: boolean;
}

/** An invitation or share by what is told of it later: its secret is told once. */
export interface Invitation {
  readonly id: string;
  readonly role: Role;
  readonly madeBy: string;
  readonly until: string;
}
export interface Share {
  readonly id: string;
  readonly jobId: string;
  readonly madeBy: string;
  readonly until: string;
}
export type WithToken<T> = T & { readonly token: string };

export interface People {
  readonly people: readonly Person[];
  readonly invitations: readonly Invitation[];
}

/** One line of what was done. */
export interface AuditEntry {
  readonly seq: number;
  readonly at: string;
  readonly personName: string;
  /** Where it was asked from. */
  readonly address: string;
  readonly act: AuditAct;
  /** Of what: a name or an id. */
  readonly subject: string;
}

/** Where this server is reached from other devices. */
export interface Reach {
  /** Whether others may come in: without it the server serves its own machine alone. */
  readonly open: boolean;
  /** Over HTTPS, the likeliest first. */
  readonly addresses: readonly string[];
  /** Where a phone is led through trusting it; none where a proxy has a certificate of its own. */
  readonly trustAddress: string | null;
  /** SHA-256 of the authority's certificate, in pairs. */
  readonly fingerprint: string | null;
}
