/** What one operation is to a hole. */
interface OperationKind {
  readonly name: string;
  /** A bit goes down: it has a tool, a range of depth, a force, a speed and a rate. */
  readonly cuts?: true;
  /** Work of hands between two cuts. */
  readonly between?: true;
  /** Goes on from the other face. */
  readonly turns?: true;
}

/** Everything a hole is made of, in the order it usually comes. */
const ALL = {
  mark: { name: 'Mark' },
  pilot: { name: 'Pilot', cuts: true },
  core: { name: 'Core', cuts: true },
  bore: { name: 'Bore', cuts: true },
  enlarge: { name: 'Enlarge', cuts: true },
  'break-out': { name: 'Break out the core', between: true },
  chisel: { name: 'Chisel clear', between: true },
  'turn-over': { name: 'Turn it over', between: true, turns: true },
  'go-round': { name: 'Go round to the other side', between: true, turns: true },
  counterbore: { name: 'Counterbore', cuts: true },
  'ease-edge': { name: 'Ease the edge' },
  clean: { name: 'Rinse and look' },
} as const satisfies Record<string, OperationKind>;

export type OperationKindId = keyof typeof ALL;
/** Those done by hand. */
export type HandKindId = {
  [Id in OperationKindId]: (typeof ALL)[Id] extends { readonly cuts: true } ? never : Id;
}[OperationKindId];
export const OPERATION_KIND_IDS = Object.keys(ALL) as readonly OperationKindId[];
export const OPERATION_KINDS: Readonly<Record<OperationKindId, OperationKind>> = ALL;

export const isByHand = (id: OperationKindId): id is HandKindId => !OPERATION_KINDS[id].cuts;

/** The face a bit goes in from; depths of an operation are counted from its own. */
export const FACES = ['near', 'far'] as const;
export type Face = (typeof FACES)[number];

/** What a second person does while the first one drills. */
export const HELPS = ['water', 'vacuum', 'light', 'depth-mark', 'steady'] as const;
export type Help = (typeof HELPS)[number];
