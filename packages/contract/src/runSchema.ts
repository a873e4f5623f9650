import { COOLANT_IDS } from '@nucleon/core/coolants/coolants';
import { HOLDS } from '@nucleon/core/job/choices';
import { BIT_STATES } from '@nucleon/core/job/kit';
import { MACHINE_KIND_IDS } from '@nucleon/core/machines/machineKinds';
import { MATERIAL_CLASSES } from '@nucleon/core/materials/material';
import { MOMENT_KINDS, STEP_KINDS } from '@nucleon/core/plan/plan';
import { HELP_ANSWERS } from '@nucleon/core/run/runEvent';
import { CRACK_SIGHTS, PART_FITS, VERDICTS } from '@nucleon/core/run/runResult';
import { SIGN_IDS } from '@nucleon/core/signs/signs';
import { LIMITS } from './limits';
import { MOST_EVENTS } from './runLimits';
import {
  id,
  kinds,
  list,
  number,
  object,
  oneOf,
  text,
  time,
  yesNo,
  type JsonSchema,
} from './schemaParts';

const any = { least: -1e9, most: 1e9, unit: '' } as const;
const seconds = number({ least: 0, most: 1e8, unit: 's' });
/** A bald bit takes as good as for ever, and the spread of that says so. */
const plannedS = number({ least: 0, most: 1e300, unit: 's' });
const depth = number({ least: 0, most: 5000, unit: 'mm' });
const figure = number(any);
const orNull = (schema: JsonSchema): JsonSchema => ({
  anyOf: [schema, { type: 'null' }],
  description: `${String(schema.description)}, or null`,
});
const line = text(2000);
/** Plans of before listed every depth in words: runs that wait on a device with one are taken too. */
const paragraph = text(500_000);
/** A lift each half millimetre of the thickest piece, and room. */
const MOST_DEPTHS = 10_500;

const stage = object({
  kind: oneOf(['seat', 'main', 'exit']),
  side: { enum: [1, 2], description: '1 or 2' },
  fromMm: depth,
  toMm: depth,
  forceN: figure,
  rpm: figure,
  timeS: orNull(plannedS),
});

/** What a run's own copy of a plan must hold to be followed; the rest of the plan travels with it. */
const plan = object({
  holeId: id,
  pieceId: id,
  modelVersion: text(40),
  dataVersion: text(40),
  setup: object({
    bitId: orNull(id),
    bitName: text(200),
    bitFamily: text(60),
    bitDiameterMm: number(LIMITS.diameterMm),
    rimWidthMm: figure,
    solid: yesNo,
    sharpness: figure,
    usableDepthMm: figure,
    machineName: text(200),
    machineKind: oneOf(MACHINE_KIND_IDS),
    supportKind: text(60),
    supportName: text(200),
    supportThicknessMm: figure,
    hold: oneOf(HOLDS),
  }),
  depthMm: number(LIMITS.thicknessMm),
  depthPerSideMm: number(LIMITS.thicknessMm),
  feedForceN: figure,
  rpm: figure,
  forceWindowN: object({ glaze: figure, low: figure, high: figure }),
  drillTimeS: orNull(object({ p10: plannedS, p50: plannedS, p90: plannedS })),
  tempRiseK: figure,
  totalStressMpa: figure,
  stressLimitMpa: figure,
  exitForceN: orNull(figure),
  exitChipMm: orNull(object({ p50: figure, p90: figure })),
  easeOffAtMm: orNull(depth),
  lifts: list(depth, MOST_DEPTHS),
  coreBreaksAtMm: list(depth, 1000),
  timeline: list(
    object({
      kind: oneOf(MOMENT_KINDS),
      side: { enum: [1, 2], description: '1 or 2' },
      depthMm: depth,
      haltS: seconds,
      title: line,
      detail: line,
    }),
    MOST_DEPTHS,
  ),
  stages: { ...list(stage, 500), minItems: 1 },
  pilots: list(
    object({
      bitName: text(200),
      diameterMm: number(LIMITS.diameterMm),
      rimWidthMm: figure,
      solid: yesNo,
      rpm: figure,
      forceN: figure,
      timeS: orNull(plannedS),
    }),
    20,
  ),
  clock: object({ sd: figure, liftS: seconds, seatCentreS: seconds, bitSwapS: seconds }),
  layers: list(
    object({ name: text(200), class: orNull(oneOf(MATERIAL_CLASSES)), fromMm: depth, toMm: depth }),
    100,
  ),
  water: object({
    method: oneOf(COOLANT_IDS),
    name: text(200),
    coverMm: orNull(figure),
    fillL: orNull(figure),
    changeAtDepthMm: list(depth, MOST_DEPTHS),
  }),
  bitLife: object({ lifeDepthMm: figure, sharpnessAfter: figure }),
  steps: list(
    object(
      { kind: oneOf(STEP_KINDS), title: line, detail: paragraph },
      { depthsMm: list(depth, MOST_DEPTHS) },
    ),
    2000,
  ),
});

const subject = object({
  jobId: id,
  jobName: text(200),
  pieceId: id,
  pieceName: text(200),
  holeId: id,
  holeName: text(200),
  material: text(80),
  thicknessMm: number(LIMITS.thicknessMm),
  diameterMm: number(LIMITS.diameterMm),
});

const chip = number({ least: 0, most: 1000, unit: 'mm' });
const off = number({ least: -1000, most: 1000, unit: 'mm' });

export const resultSchema = object(
  { verdict: oneOf(VERDICTS), crack: oneOf(CRACK_SIGHTS) },
  {
    entryDiameterMm: number(LIMITS.diameterMm),
    exitDiameterMm: number(LIMITS.diameterMm),
    offXMm: off,
    offYMm: off,
    leanMm: off,
    entryChipMm: chip,
    exitChipMm: chip,
    partFit: oneOf(PART_FITS),
    bitState: oneOf(BIT_STATES),
    photoIds: list(id, 12),
    note: text(2000),
  },
);

const act = kinds({
  open: [{ plan, subject, ready: list(text(80), 100) }],
  start: [{}],
  pause: [{}],
  resume: [{}],
  measure: [{ depthMm: depth, by: oneOf(['rule', 'eye']) }],
  next: [{}],
  through: [{}],
  sign: [{ sign: oneOf(SIGN_IDS) }],
  helped: [{ of: id, answer: oneOf(HELP_ANSWERS) }],
  crack: [{}],
  abort: [{ why: text(500) }],
  undo: [{ of: id }],
  drive: [{}],
  result: [{ result: resultSchema }],
});

export const runEventSchema = object({
  id,
  n: {
    type: 'integer',
    minimum: 1,
    maximum: 1_000_000,
    description: 'a whole number from 1 to 1000000',
  },
  at: time,
  tickMs: number({ least: 0, most: 1e12, unit: 'ms' }),
  session: id,
  device: id,
  act,
});

/** A run as it travels in files: its id and everything that happened, in any order. */
export const runFileSchema = object({
  runId: id,
  events: { ...list(runEventSchema, 10_000), minItems: 1 },
});

export const POST_EVENTS_SCHEMA: JsonSchema = {
  $id: 'urn:nucleon:run-events',
  ...object({ events: { ...list(runEventSchema, MOST_EVENTS), minItems: 1 } }),
};

export const RUN_LOG_SCHEMA: JsonSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:nucleon:log:1',
  title: 'nucleon-log version 1',
  ...object({
    format: { const: 'nucleon-log', description: '"nucleon-log"' },
    version: { const: 1, description: 'the number 1' },
    runs: list(runFileSchema, 10_000),
  }),
};
