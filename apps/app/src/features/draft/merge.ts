import { deepEqual as equal } from 'fast-equals';

/** A stored document, or one that is to be: its fields, and the version the server had when it was read. */
export interface Part {
  readonly version: number;
}
/** The documents that are edited together, each under its name. */
export type Parts = ReadonlyMap<string, Part>;

/** Where both sides changed the same thing differently. */
export interface Clash {
  readonly part: string;
  /** The field, from the document down; empty where one side deleted the whole. */
  readonly path: readonly string[];
  readonly mine: unknown;
  readonly theirs: unknown;
}
export type Winner = 'mine' | 'theirs';

export interface Merged {
  readonly parts: Parts;
  readonly clashes: readonly Clash[];
}

/** Fields the server keeps; never part of what was edited. */
const KEPT: ReadonlySet<string> = new Set(['version', 'updatedAt']);

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const ownFields = (part: object): Fields =>
  Object.fromEntries(
    Object.entries(part).filter(([key, value]) => !KEPT.has(key) && value !== undefined),
  );

/** Whether two documents say the same, whatever their versions. */
export const samePart = (a: Part | undefined, b: Part | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && equal(ownFields(a), ownFields(b)));

/**
 * Three-way merge of documents: what only one side changed is taken from that side, down to single fields; what
 * both changed differently is told, and goes as the winner has it.
 * @param base what both sides started from
 */
export function mergeParts(base: Parts, mine: Parts, theirs: Parts, winner: Winner): Merged {
  const clashes: Clash[] = [];
  const parts = new Map<string, Part>();
  for (const name of new Set([...mine.keys(), ...theirs.keys()])) {
    const merged = mergePart(
      { base: base.get(name), mine: mine.get(name), theirs: theirs.get(name) },
      winner,
      (path, own, other) => clashes.push({ part: name, path, mine: own, theirs: other }),
    );
    if (merged) parts.set(name, merged);
  }
  return { parts, clashes };
}

interface Sides<T> {
  readonly base: T;
  readonly mine: T;
  readonly theirs: T;
}
type Tell = (path: readonly string[], mine: unknown, theirs: unknown) => void;

function mergePart(
  { base, mine, theirs }: Sides<Part | undefined>,
  winner: Winner,
  tell: Tell,
): Part | undefined {
  if (samePart(mine, theirs)) return theirs;
  if (samePart(base, mine)) return theirs;
  if (samePart(base, theirs)) return mine && theirs ? { ...mine, ...keptOf(theirs) } : mine;
  if (!mine || !theirs) {
    tell([], mine, theirs);
    return winner === 'mine' ? mine : theirs;
  }
  const fields = mergeFields(
    { base: base ? ownFields(base) : {}, mine: ownFields(mine), theirs: ownFields(theirs) },
    winner,
    [],
    tell,
  );
  return { ...fields, ...keptOf(theirs) };
}

const keptOf = (part: Part): Part =>
  Object.fromEntries(Object.entries(part).filter(([key]) => KEPT.has(key))) as unknown as Part;

function mergeFields(
  { base, mine, theirs }: Sides<Fields>,
  winner: Winner,
  path: readonly string[],
  tell: Tell,
): Fields {
  const names = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
  const merged = [...names].map((name) => [
    name,
    mergeValue(
      { base: base[name], mine: mine[name], theirs: theirs[name] },
      winner,
      [...path, name],
      tell,
    ),
  ]);
  return Object.fromEntries(merged.filter(([, value]) => value !== undefined)) as Fields;
}

function mergeValue(
  sides: Sides<unknown>,
  winner: Winner,
  path: readonly string[],
  tell: Tell,
): unknown {
  const { base, mine, theirs } = sides;
  if (equal(mine, theirs) || equal(base, mine)) return theirs;
  if (equal(base, theirs)) return mine;
  const within = fieldsWithin(sides);
  if (within) return within.back(mergeFields(within.sides, winner, path, tell));
  tell(path, mine, theirs);
  return winner === 'mine' ? mine : theirs;
}

/** Objects of one kind, and lists whose entries have names of their own, are merged by what is in them. */
function fieldsWithin({ base, mine, theirs }: Sides<unknown>): {
  readonly sides: Sides<Fields>;
  readonly back: (f: Fields) => unknown;
} | null {
  if (isFields(mine) && isFields(theirs) && (base === undefined || isFields(base))) {
    const kinds = new Set([mine.kind, theirs.kind, ...(base ? [base.kind] : [])]);
    return kinds.size === 1
      ? { sides: { base: base ?? {}, mine, theirs }, back: (fields) => fields }
      : null;
  }
  const [was, own, other] = [named(base ?? []), named(mine), named(theirs)];
  return was && own && other
    ? { sides: { base: was, mine: own, theirs: other }, back: (fields) => Object.values(fields) }
    : null;
}

/** A list’s entries by their id, or by the gate they answer; null where some have neither. */
function named(value: unknown): Fields | null {
  if (!Array.isArray(value)) return null;
  const entries = value.map((one): readonly [unknown, unknown] => [
    isFields(one) ? (one.id ?? one.hazard) : undefined,
    one,
  ]);
  const names = new Set(entries.map(([name]) => name));
  return names.size === entries.length && entries.every(([name]) => typeof name === 'string')
    ? (Object.fromEntries(entries) as Fields)
    : null;
}
