import express, { type RequestHandler } from 'express';
import { faultyProblem, Problem } from './problem';
import { scanJson, type JsonBounds, type JsonScan } from './scanJson';

/** Deepest is a run's plan in a job file's log, at some 14; what is stored stands under MariaDB's own limit. */
const DEPTH = 24;
/** The longest lists of the contract, with room: those over it are refused by name, not counted out. */
const ENTRIES = 12_000;

export interface BodyLimit {
  readonly bytes: number;
  /** Values in all, each a number, text, list or object. */
  readonly values: number;
}

const BEYOND: Record<keyof JsonBounds, (bounds: JsonBounds) => string> = {
  depth: ({ depth }) =>
    `What was sent has lists or objects more than ${depth} deep inside each other; nothing here is deeper.`,
  entries: ({ entries }) => `A list in what was sent has more than ${entries} entries; send less.`,
  values: ({ values }) => `What was sent holds more than ${values} values; send less at a time.`,
};

function refusal(scan: JsonScan, bounds: JsonBounds): Problem | null {
  if (scan.kind === 'within') return null;
  if (scan.kind === 'beyond') {
    const message = BEYOND[scan.what](bounds);
    return scan.what === 'values'
      ? new Problem('too-large', message)
      : faultyProblem([{ pointer: '', message }]);
  }
  const message = `A text holds ${scan.escape}, half of a character; send whole characters.`;
  return faultyProblem([{ pointer: '', message }]);
}

/** What JSON text says, within its cost: what is beyond it is refused before anything is made of it. @throws Problem */
export function readJson(bytes: Buffer, values: number): unknown {
  const bounds: JsonBounds = { depth: DEPTH, entries: ENTRIES, values };
  const refused = refusal(scanJson(bytes, bounds), bounds);
  if (refused) throw refused;
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)) as unknown;
  } catch {
    throw new Problem('bad-json', 'The body is not JSON in UTF-8.');
  }
}

/** Reads a JSON body within its cost. */
export function jsonBody({ bytes, values }: BodyLimit): RequestHandler[] {
  const parse: RequestHandler = (request, _response, next) => {
    const body: unknown = request.body;
    if (Buffer.isBuffer(body)) request.body = readJson(body, values);
    next();
  };
  return [express.raw({ limit: bytes, type: 'application/json' }), parse];
}
