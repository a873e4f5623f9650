import type { LoggedHole } from '@nucleon/core/run/learning/loggedHole';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import type { BitUse, RunRecord } from '@nucleon/core/run/runRecord';
import { EntitySchema } from 'typeorm';
import { foreignId, idColumn, int, json, maybeJson, maybeText, text } from '../database/columns';

export interface RunRow {
  id: string;
  workshopId: string;
  /** null where this server never knew the hole. */
  holeId: string | null;
  /** null until the event that opens the run has arrived. */
  record: RunRecord | null;
  jobId: string | null;
  pieceId: string | null;
  bitId: string | null;
  material: string | null;
  outcome: string | null;
  /** What a search looks through. */
  words: string;
  openedAt: Date | null;
  /** What its bits’ histories have been fed from this run so far; rows of old hold one bit’s. */
  counted: readonly BitUse[] | BitUse | null;
  /** As it is learned from; null until it is over. */
  logged: LoggedHole | null;
  /** Whether a person left it out, or put it back; null where nobody chose. */
  leftOut: boolean | null;
  updatedAt: Date;
}

export const runEntity = new EntitySchema<RunRow>({
  name: 'run',
  columns: {
    id: idColumn,
    workshopId: foreignId('workshop_id'),
    holeId: maybeText('hole_id', 80),
    record: maybeJson('record'),
    jobId: maybeText('job_id', 80),
    pieceId: maybeText('piece_id', 80),
    bitId: maybeText('bit_id', 80),
    material: maybeText('material', 80),
    outcome: maybeText('outcome', 20),
    words: text('words', 1000),
    openedAt: { type: 'datetime', precision: 3, name: 'opened_at', nullable: true },
    counted: maybeJson('counted'),
    logged: maybeJson('logged'),
    leftOut: { type: 'boolean', name: 'left_out', nullable: true },
    updatedAt: { type: 'datetime', precision: 3, name: 'updated_at' },
  },
});

export interface RunEventRow {
  /** In the order they were stored here: what others ask on from. */
  seq: string;
  id: string;
  runId: string;
  n: number;
  kind: RunEvent['act']['kind'];
  body: RunEvent;
  receivedAt: Date;
}

export const runEventEntity = new EntitySchema<RunEventRow>({
  name: 'run_event',
  columns: {
    seq: { type: 'bigint', primary: true, generated: 'increment' },
    id: text('id', 80),
    runId: foreignId('run_id'),
    n: int('n'),
    kind: text('kind', 20),
    body: json('body'),
    receivedAt: { type: 'datetime', precision: 3, name: 'received_at' },
  },
});

export interface RunPhotoRow {
  id: string;
  runId: string;
  mime: string;
  widthPx: number;
  heightPx: number;
  bytes: Buffer;
  takenInAt: Date;
}

export const runPhotoEntity = new EntitySchema<RunPhotoRow>({
  name: 'run_photo',
  columns: {
    id: idColumn,
    runId: foreignId('run_id'),
    mime: text('mime', 40),
    widthPx: int('width_px'),
    heightPx: int('height_px'),
    bytes: { type: 'mediumblob' },
    takenInAt: { type: 'datetime', precision: 3, name: 'taken_in_at' },
  },
});
