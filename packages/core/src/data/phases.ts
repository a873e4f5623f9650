/** What a phase of the work is to a run. */
interface Phase {
  /** The rim is on the piece and the clock moves it. */
  readonly cutting?: true;
  /** The cut stands still here and goes on at the same depth. */
  readonly halt?: true;
  /** It waits for a hand. */
  readonly waits?: true;
  /** The cut is done. */
  readonly after?: true;
  /** Nothing more comes. */
  readonly over?: true;
}

/** The steps of a plan, in the order they come. */
const STEPS = {
  prepare: {},
  seat: { cutting: true },
  cut: { cutting: true },
  lift: { halt: true },
  'water-change': { halt: true, waits: true },
  'core-break': { halt: true, waits: true },
  'step-change': { waits: true },
  flip: { waits: true },
  'ease-off': { cutting: true },
  through: { after: true },
  withdraw: { after: true },
  'free-core': { after: true },
  cool: { waits: true },
  clean: { after: true },
  done: { after: true, over: true },
} as const satisfies Record<string, Phase>;

/** A run is in one of the plan's steps, or halted, or over before its time. */
const ALL = {
  ...STEPS,
  /** Metal in the way is broken out or cut off by hand. */
  chisel: { halt: true, waits: true },
  /** Through a reinforcing bar: a rate of its own. */
  bar: { cutting: true },
  paused: { waits: true },
  aborted: { waits: true, over: true },
  cracked: { waits: true, over: true },
} as const satisfies Record<string, Phase>;

export type StepKind = keyof typeof STEPS;
export const STEP_KINDS = Object.keys(STEPS) as readonly StepKind[];
export type RunPhase = keyof typeof ALL;
export const RUN_PHASES = Object.keys(ALL) as readonly RunPhase[];

export const PHASES: Readonly<Record<RunPhase, Phase>> = ALL;
