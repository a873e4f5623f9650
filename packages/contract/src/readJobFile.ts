import { checkJob } from '@nucleon/core/setup/checkJob';
import { faultsInWords } from '@nucleon/core/words/faults';
import type { Fault } from '@nucleon/core/documents/fault';
import { jobFileSchema, type JobFile } from '@nucleon/core/documents/jobFile';
import { parse, printParseErrorCode, type ParseError } from 'jsonc-parser';
import { validator, type Validated } from './validator';

const NEWEST_VERSION = 1;
const validateShape = validator<typeof jobFileSchema, JobFile>(jobFileSchema);

const faulty = (...faults: Fault[]): Validated<JobFile> => ({ kind: 'faulty', faults });

/** Reads a job file's text: JSON, format, version, shape, then sense. Every fault of the first stage that has any. */
export function readJobFile(text: string): Validated<JobFile> {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return faulty(syntaxFault(text));
  }
  return checkJobData(data);
}

/** The same for data already parsed. */
export function checkJobData(data: unknown): Validated<JobFile> {
  const header = formatFault(data);
  if (header) return faulty(header);
  const shaped = validateShape(data);
  if (shaped.kind === 'faulty') return shaped;
  const faults = faultsInWords(checkJob(shaped.value)).filter(
    ({ pointer }) => !isMarked(shaped.value, pointer),
  );
  return faults.length > 0 ? faulty(...faults) : shaped;
}

/**
 * Whether a fault stands in a piece or hole that carries `faults`: it was found when the file was saved, the
 * person was told, and the job must open all the same.
 */
function isMarked({ pieces }: JobFile, pointer: string): boolean {
  const [, top, piece, list, hole] = pointer.split('/');
  if (top !== 'pieces') return false;
  const within = pieces[Number(piece)];
  const things = [within, list === 'holes' ? within?.holes[Number(hole)] : undefined];
  return things.some((thing) => thing !== undefined && 'faults' in thing);
}

function formatFault(data: unknown): Fault | null {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return { pointer: '', message: 'A job file is an object in braces with format "nucleon-job".' };
  }
  const { format, version } = data as { format?: unknown; version?: unknown };
  if (format !== 'nucleon-job') {
    return {
      pointer: '/format',
      message: `format is ${format === undefined ? 'missing' : JSON.stringify(format)}; a job file says "nucleon-job".`,
    };
  }
  if (typeof version === 'number' && version > NEWEST_VERSION) {
    return {
      pointer: '/version',
      message: `This file is version ${version}; this Nucleon reads up to version ${NEWEST_VERSION}. Update Nucleon to open it.`,
    };
  }
  return null;
}

/** Where the text stops being JSON, by line and column. */
function syntaxFault(text: string): Fault {
  if (text.trim() === '') return { pointer: '', message: 'The file is empty; a job file is JSON.' };
  const errors: ParseError[] = [];
  parse(text, errors, { disallowComments: true, allowTrailingComma: false });
  const [first] = errors;
  const before = text.slice(0, first?.offset ?? 0).split('\n');
  const place = `line ${before.length}, column ${(before.at(-1)?.length ?? 0) + 1}`;
  const found =
    text.slice(first?.offset ?? 0, (first?.offset ?? 0) + 12).split(/[\s,}\]]/)[0] ?? '';
  const numbers = /^[-+]?(NaN|Infinity)/.test(found)
    ? ' JSON numbers cannot be NaN or Infinity.'
    : '';
  const what = first ? printParseErrorCode(first.error) : 'InvalidSymbol';
  return {
    pointer: '',
    message: `Not JSON at ${place}${found ? ` (“${found}”)` : ''}: ${readable(what)}.${numbers}`,
  };
}

const readable = (code: string): string => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
