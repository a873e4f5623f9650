import type { Hole } from '../documents/hole';

type Rename = (id: string) => string;

/** Ids of the bits and machines a hole names, in its setup and its operations. */
export function namedKit({
  setup = {},
  operations = [],
}: Pick<Hole, 'setup' | 'operations'>): ReadonlySet<string> {
  const { bit, bits = [], machine } = setup;
  const listed = operations.flatMap(({ bitId, machineId }) => [bitId, machineId]);
  return new Set([bit, ...bits, machine, ...listed].filter((id) => id !== undefined));
}

/** The hole with its bits and machines called by other ids. */
export function renameKit(hole: Hole, bitId: Rename, machineId: Rename): Hole {
  const { setup, operations } = hole;
  return {
    ...hole,
    ...(setup
      ? {
          setup: {
            ...setup,
            ...(setup.bit === undefined ? {} : { bit: bitId(setup.bit) }),
            ...(setup.bits === undefined ? {} : { bits: setup.bits.map(bitId) }),
            ...(setup.machine === undefined ? {} : { machine: machineId(setup.machine) }),
          },
        }
      : {}),
    ...(operations
      ? {
          operations: operations.map((one) => ({
            ...one,
            ...(one.bitId === undefined ? {} : { bitId: bitId(one.bitId) }),
            ...(one.machineId === undefined ? {} : { machineId: machineId(one.machineId) }),
          })),
        }
      : {}),
  };
}
