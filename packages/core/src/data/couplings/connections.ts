/** The ways a bit, an adapter and a machine are joined. Threads by their standard designation. */
export interface ConnectionKind {
  readonly name: string;
  /** Held by its size: a chuck or collet closes on it. */
  readonly sized: boolean;
  readonly note: string;
}

// prettier-ignore
export const CONNECTIONS = {
  round: { name: 'Round shank', sized: true, note: 'Tighten the chuck at all three holes; a shank that is short in the jaws runs out.' },
  hex: { name: 'Six-sided shank', sized: true, note: 'Does not slip, but often runs out: spin it and look.' },
  'hammer-slot': { name: 'Slotted hammer shank', sized: false, note: 'Hammer off. It has play by design: use it for coarse masonry only.' },
  'thread-m14': { name: 'Thread M14', sized: false, note: 'A soft ring or a drop of oil on the shoulder, or it will not come apart.' },
  'thread-m16': { name: 'Thread M16', sized: false, note: 'A soft ring or a drop of oil on the shoulder, or it will not come apart.' },
  'thread-5-8': { name: 'Thread 5/8-11 UNC', sized: false, note: 'A soft ring or a drop of oil on the shoulder, or it will not come apart.' },
  'thread-g-half': { name: 'Pipe thread G 1/2', sized: false, note: 'A soft ring on the shoulder keeps the water in and lets it come apart.' },
  'thread-1-1-4': { name: 'Thread 1 1/4-7 UNC', sized: false, note: 'A copper or soft ring on the shoulder; two spanners to part it.' },
} as const satisfies Record<string, ConnectionKind>;

/** Its name within a sentence: `thread M14`, `pipe thread G 1/2`. */
export const connectionInLine = (kind: ConnectionId): string => {
  const { name } = CONNECTIONS[kind];
  return `${name[0]?.toLowerCase() ?? ''}${name.slice(1)}`;
};

export type ConnectionId = keyof typeof CONNECTIONS;
export const CONNECTION_IDS = Object.keys(CONNECTIONS) as readonly ConnectionId[];
