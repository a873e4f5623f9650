import { Type } from '@sinclair/typebox';
import { runEventSchema, type RunEvent } from './runEvent';
import { id, list, object, someOf } from '../data/schema/schema';

/** A run as it travels in files: its id and everything that happened, in any order. */
export const loggedRunSchema = object({ runId: id, events: someOf(runEventSchema, 10_000) });
export interface LoggedRun {
  readonly runId: string;
  readonly events: readonly RunEvent[];
}

/** The open log, version 1. */
export const logFileSchema = object({
  format: Type.Literal('nucleon-log', { description: '"nucleon-log"' }),
  version: Type.Literal(1, { description: 'the number 1' }),
  runs: list(loggedRunSchema, 10_000),
});
