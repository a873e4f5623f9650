import type { AuditAct, Role } from '@nucleon/core/data/people';
import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';
import { foreignId, idColumn, maybeText, text } from '../database/columns';

const time = (name: string): EntitySchemaColumnOptions => ({
  type: 'datetime',
  precision: 3,
  name,
});
const maybeTime = (name: string): EntitySchemaColumnOptions => ({ ...time(name), nullable: true });
const tokenHash: EntitySchemaColumnOptions = { type: 'char', length: 64, name: 'token_hash' };

/** Somebody who works in a workshop; one who has left keeps what was done. */
export interface PersonRow {
  readonly id: string;
  readonly workshopId: string;
  readonly name: string;
  readonly role: Role;
  readonly password: string | null;
  readonly joinedAt: Date;
  readonly leftAt: Date | null;
}
export const personEntity = new EntitySchema<PersonRow>({
  name: 'person',
  columns: {
    id: idColumn,
    workshopId: foreignId('workshop_id'),
    name: text('name', 80),
    role: { type: 'varchar', length: 10, name: 'role' },
    password: maybeText('password', 200),
    joinedAt: time('joined_at'),
    leftAt: maybeTime('left_at'),
  },
});

/** A browser that is signed in: as a person, or by a link to one job. */
export interface DeviceRow {
  readonly id: string;
  readonly workshopId: string;
  readonly personId: string | null;
  readonly shareId: string | null;
  readonly tokenHash: string;
  readonly name: string;
  /** Of one that stays signed in at the bench. */
  readonly pin: string | null;
  readonly since: Date;
  readonly seenAt: Date;
  /** Locked until its PIN is given. */
  readonly lockedAt: Date | null;
  readonly endedAt: Date | null;
}
export const deviceEntity = new EntitySchema<DeviceRow>({
  name: 'device',
  columns: {
    id: idColumn,
    workshopId: foreignId('workshop_id'),
    personId: maybeText('person_id', 80),
    shareId: maybeText('share_id', 80),
    tokenHash,
    name: text('name', 80),
    pin: maybeText('pin', 200),
    since: time('since'),
    seenAt: time('seen_at'),
    lockedAt: maybeTime('locked_at'),
    endedAt: maybeTime('ended_at'),
  },
});

/** A key that a person’s phone or computer holds, and opens with a finger, a face or its own PIN. */
export interface PasskeyRow {
  readonly id: string;
  readonly workshopId: string;
  readonly personId: string;
  readonly credentialHash: string;
  readonly credentialId: string;
  /** COSE, as the device gave it. */
  readonly publicKey: Buffer;
  /** How often it was used, where the device counts; text, since it may be larger than a number holds. */
  readonly counter: string | number;
  /** Apart by blanks. */
  readonly transports: string;
  /** The name it holds for. */
  readonly site: string;
  readonly name: string;
  readonly since: Date;
  readonly usedAt: Date | null;
}
export const passkeyEntity = new EntitySchema<PasskeyRow>({
  name: 'passkey',
  columns: {
    id: idColumn,
    workshopId: foreignId('workshop_id'),
    personId: foreignId('person_id'),
    credentialHash: { ...tokenHash, name: 'credential_hash' },
    credentialId: text('credential_id', 1400),
    publicKey: { type: 'varbinary', length: 2048, name: 'public_key' },
    counter: { type: 'bigint', unsigned: true, name: 'counter' },
    transports: text('transports', 200),
    site: text('site', 255),
    name: text('name', 80),
    since: time('since'),
    usedAt: maybeTime('used_at'),
  },
});

/** What a device was asked to sign, and answers once. */
export interface ChallengeRow {
  readonly hash: string;
  readonly personId: string | null;
  readonly until: Date;
}
export const challengeEntity = new EntitySchema<ChallengeRow>({
  name: 'challenge',
  columns: {
    hash: { ...tokenHash, name: 'hash', primary: true },
    personId: maybeText('person_id', 80),
    until: time('until'),
  },
});

export interface InvitationRow {
  readonly id: string;
  readonly workshopId: string;
  readonly tokenHash: string;
  readonly role: Role;
  readonly madeBy: string;
  readonly until: Date;
  readonly endedAt: Date | null;
}
export const invitationEntity = new EntitySchema<InvitationRow>({
  name: 'invitation',
  columns: {
    id: idColumn,
    workshopId: foreignId('workshop_id'),
    tokenHash,
    role: { type: 'varchar', length: 10, name: 'role' },
    madeBy: text('made_by', 80),
    until: time('until'),
    endedAt: maybeTime('ended_at'),
  },
});

export interface ShareRow {
  readonly id: string;
  readonly workshopId: string;
  readonly jobId: string;
  readonly tokenHash: string;
  readonly madeBy: string;
  readonly until: Date;
  readonly endedAt: Date | null;
}
export const shareEntity = new EntitySchema<ShareRow>({
  name: 'share',
  columns: {
    id: idColumn,
    workshopId: foreignId('workshop_id'),
    jobId: foreignId('job_id'),
    tokenHash,
    madeBy: text('made_by', 80),
    until: time('until'),
    endedAt: maybeTime('ended_at'),
  },
});

export interface AuditRow {
  readonly seq: string;
  readonly workshopId: string;
  readonly at: Date;
  readonly personId: string | null;
  readonly personName: string;
  readonly address: string;
  readonly act: AuditAct;
  readonly subject: string;
}
export const auditEntity = new EntitySchema<AuditRow>({
  name: 'audit',
  columns: {
    seq: { type: 'bigint', primary: true, generated: 'increment' },
    workshopId: foreignId('workshop_id'),
    at: time('at'),
    personId: maybeText('person_id', 80),
    personName: text('person_name', 80),
    address: text('address', 45),
    act: { type: 'varchar', length: 30, name: 'act' },
    subject: text('subject', 200),
  },
});

export const PEOPLE_ENTITIES = [
  personEntity,
  deviceEntity,
  passkeyEntity,
  challengeEntity,
  invitationEntity,
  shareEntity,
  auditEntity,
];
