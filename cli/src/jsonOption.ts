import type { Fault } from '@nucleon/core/documents/fault';

const LONGEST_JSON = 100_000;

export type GivenJson =
  | { readonly kind: 'given'; readonly value: Readonly<Record<string, unknown>> }
  | { readonly kind: 'faulty'; readonly fault: Fault };

/** The object behind `--json`, or what keeps it from being one. */
export function jsonOption(text: string): GivenJson {
  const faulty = (message: string): GivenJson => ({
    kind: 'faulty',
    fault: { pointer: '', message },
  });
  if (text.length > LONGEST_JSON)
    return faulty(`--json has ${text.length} characters; at most ${LONGEST_JSON} are read.`);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return faulty(
      `--json is not JSON: ${error instanceof Error ? error.message : String(error)}. Give an object such as '{"outerDiameterMm": 40}'.`,
    );
  }
  return typeof value === 'object' && value !== null && !Array.isArray(value)
    ? { kind: 'given', value: value as Record<string, unknown> }
    : faulty('--json must be an object in braces.');
}
