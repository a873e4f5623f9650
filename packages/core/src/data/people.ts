/** What a person may do, the least first: each may do what those before it may. */
export const ROLES = ['viewer', 'worker', 'owner'] as const;
export type Role = (typeof ROLES)[number];

export const mayActAs = (has: Role, needs: Role): boolean =>
  ROLES.indexOf(has) >= ROLES.indexOf(needs);

/** What is written down of what people did: never changed afterwards. */
export const AUDIT_ACTS = [
  'sign-in',
  'sign-in-refused',
  'sign-out',
  'join',
  'invite',
  'invitation-ended',
  'role',
  'person-left',
  'password',
  'passkey',
  'passkey-ended',
  'device-ended',
  'bench-pin',
  'unlock-refused',
  'share',
  'share-opened',
  'share-ended',
  'job',
  'materials',
  'piece',
  'hole',
  'layout',
  'coverage',
  'kit',
  'house',
  'run',
  'run-photo',
  'belief',
  'import',
  'export',
  'delete',
  'restore',
] as const;
export type AuditAct = (typeof AUDIT_ACTS)[number];

/** A PIN of a bench device: digits alone, so that it is given with wet gloves. */
export const PIN_DIGITS = { min: 4, max: 8 } as const;
/** Length counts for more than odd characters do (NIST SP 800-63B, 3.1.1.2). */
export const PASSWORD_LENGTH = { min: 10, max: 200 } as const;
/** So long a link to one job may last. */
export const SHARE_DAYS = { min: 1, max: 90 } as const;
