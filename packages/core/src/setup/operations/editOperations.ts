import { OPERATION_KINDS, type OperationKindId } from '../../data/operations';
import type { Operation } from '../../documents/operation';
import type { PlannedOperation } from '../../documents/plan';

/** A planned operation as a person would list it: what the planner fills in by itself is left out. */
export function asListed(one: PlannedOperation): Operation {
  const { id, does, face, fromMm, toMm, bitId, bitDiameterMm, helper } = one;
  return {
    id,
    does,
    face,
    fromMm,
    toMm,
    ...(bitId === null ? {} : { bitId }),
    ...(bitId === null && bitDiameterMm !== null ? { diameterMm: bitDiameterMm } : {}),
    ...(helper === null ? {} : { helper }),
  };
}

/** What a person may choose for one operation, or leave to the planner. */
type Choice = Exclude<keyof Operation, 'id' | 'does'>;

/** The operation with one choice made, or left to the planner again. */
export function chosen<K extends Choice>(
  one: Operation,
  choice: K,
  value: Operation[K] | undefined,
): Operation {
  const kept = Object.fromEntries(Object.entries(one).filter(([key]) => key !== choice));
  return { ...kept, ...(value === undefined ? {} : { [choice]: value }) } as Operation;
}

/** The list with one operation at another place; places beyond its ends are its ends. */
export function moved(
  operations: readonly Operation[],
  id: string,
  places: number,
): readonly Operation[] {
  const from = operations.findIndex((one) => one.id === id);
  const one = operations[from];
  if (!one) return operations;
  const rest = operations.filter((other) => other !== one);
  const to = Math.min(Math.max(from + places, 0), rest.length);
  return [...rest.slice(0, to), one, ...rest.slice(to)];
}

export const without = (operations: readonly Operation[], id: string): readonly Operation[] =>
  operations.filter((one) => one.id !== id);

export const changed = (
  operations: readonly Operation[],
  id: string,
  change: (one: Operation) => Operation,
): readonly Operation[] => operations.map((one) => (one.id === id ? change(one) : one));

/**
 * The list with a new operation after another, or at its end: on the same face, a cut from where that one stops.
 */
export function added(
  operations: readonly Operation[],
  does: OperationKindId,
  afterId: string | null,
): { readonly operations: readonly Operation[]; readonly id: string } {
  const id = freeId(operations, does);
  const at = operations.findIndex((one) => one.id === afterId);
  const place = at === -1 ? operations.length : at + 1;
  const before = operations[place - 1];
  const face = before?.face ?? 'near';
  const start = before?.toMm ?? 0;
  const one: Operation = OPERATION_KINDS[does].cuts
    ? { id, does, face }
    : { id, does, face, fromMm: start, toMm: start };
  return { operations: [...operations.slice(0, place), one, ...operations.slice(place)], id };
}

function freeId(operations: readonly Operation[], does: OperationKindId): string {
  const taken = new Set(operations.map(({ id }) => id));
  for (let n = 1; ; n++) {
    const id = n === 1 ? does : `${does}-${n}`;
    if (!taken.has(id)) return id;
  }
}
