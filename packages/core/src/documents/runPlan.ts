import { Type, type TSchema } from '@sinclair/typebox';
import { COOLANT_IDS } from '../data/coolants';
import { MACHINE_KIND_IDS } from '../data/machines/machineKinds';
import { MOMENT_KINDS, type BarePlan } from './plan';
import { STEP_KINDS } from '../data/phases';
import { FACES, HELPS, OPERATION_KIND_IDS } from '../data/operations';
import { HOLDS, MATERIAL_CLASSES } from '../data/choices';
import { LIMITS } from '../data/schema/limits';
import { id, list, number, object, oneOf, someOf, text, time, yesNo } from '../data/schema/schema';

const seconds = number({ min: 0, max: 1e8, unit: 's' });
/** A bald bit takes as good as for ever, and the spread of that says so. */
const plannedS = number({ min: 0, max: 1e300, unit: 's' });
const depth = number({ min: 0, max: 5000, unit: 'mm' });
const figure = number({ min: -1e9, max: 1e9, unit: '' });
const orNull = (schema: TSchema) =>
  Type.Union([schema, Type.Null()], { description: `${String(schema.description)}, or null` });
const line = text(2000);
/** Plans of before listed every depth in words: runs that wait on a device with one are taken too. */
const paragraph = text(500_000);
/** A lift each half millimetre of the thickest piece, and room. */
const MAX_DEPTHS = 10_500;
const side = Type.Union([Type.Literal(1), Type.Literal(2)], { description: '1 or 2' });

const stage = object({
  kind: oneOf(['seat', 'main', 'exit']),
  side,
  fromMm: depth,
  toMm: depth,
  forceN: figure,
  rpm: figure,
  timeS: orNull(plannedS),
});

const plannedOperation = object(
  {
    id,
    does: oneOf(OPERATION_KIND_IDS),
    face: oneOf(FACES),
    fromMm: depth,
    toMm: depth,
    bitId: orNull(id),
    bitName: orNull(text(200)),
    bitDiameterMm: orNull(number(LIMITS.diameterMm)),
    rimWidthMm: orNull(figure),
    solid: Type.Union([yesNo, Type.Null()], { description: 'true or false, or null' }),
    usableDepthMm: orNull(figure),
    lifeDepthMm: orNull(figure),
    waterKind: orNull(oneOf(COOLANT_IDS)),
    hold: orNull(oneOf(HOLDS)),
    helper: orNull(oneOf(HELPS)),
    liftsAtMm: list(depth, MAX_DEPTHS),
    waterChangesAtMm: list(depth, MAX_DEPTHS),
    waterOffAtMm: orNull(depth),
    ends: orNull(oneOf(['face', 'meets', 'cavity', 'inside'])),
    stages: list(stage, 500),
    seatCentreS: seconds,
    haltS: seconds,
    steps: list(
      object(
        { kind: oneOf(STEP_KINDS), title: line, detail: paragraph },
        { fromDepthMm: depth, depthsMm: list(depth, MAX_DEPTHS) },
      ),
      2000,
    ),
  },
  {
    boreDepthMm: orNull(figure),
    bar: orNull(
      object({ rpm: figure, feedForceN: figure, rateMmPerS: figure, lifeDepthMm: figure }),
    ),
  },
);

const spread = object({ p10: plannedS, p50: plannedS, p90: plannedS });
const fromLog = object({
  hash: text(80),
  at: time,
  holes: figure,
  alike: figure,
  times: number({ min: 1e-6, max: 1e6, unit: '' }),
  hazardSd: orNull(figure),
  asNew: object({
    drillTimeS: orNull(spread),
    exitChipMm: orNull(object({ p50: figure, p90: figure })),
    crackProbability: number({ min: 0, max: 1, unit: '' }),
  }),
});

const followed = object(
  {
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
    drillTimeS: orNull(spread),
    tempRiseK: figure,
    totalStressMpa: figure,
    stressLimitMpa: figure,
    exitForceN: orNull(figure),
    exitChipMm: orNull(object({ p50: figure, p90: figure })),
    easeOffAtMm: orNull(depth),
    lifts: list(depth, MAX_DEPTHS),
    coreBreaksAtMm: list(depth, 1000),
    timeline: list(
      object({
        kind: oneOf(MOMENT_KINDS),
        side,
        depthMm: depth,
        haltS: seconds,
        title: line,
        detail: line,
      }),
      MAX_DEPTHS,
    ),
    stages: someOf(stage, 500),
    pilots: list(
      object(
        {
          bitName: text(200),
          diameterMm: number(LIMITS.diameterMm),
          rimWidthMm: figure,
          solid: yesNo,
          rpm: figure,
          forceN: figure,
          timeS: orNull(plannedS),
        },
        { bitId: orNull(id), lifeDepthMm: figure },
      ),
      20,
    ),
    clock: object(
      { sd: figure, liftS: seconds, seatCentreS: seconds, bitSwapS: seconds },
      { restShare: figure },
    ),
    layers: list(
      object({
        name: text(200),
        class: orNull(oneOf(MATERIAL_CLASSES)),
        fromMm: depth,
        toMm: depth,
      }),
      100,
    ),
    water: object({
      method: oneOf(COOLANT_IDS),
      name: text(200),
      coverMm: orNull(figure),
      fillL: orNull(figure),
      changeAtDepthMm: list(depth, MAX_DEPTHS),
    }),
    bitLife: object(
      { lifeDepthMm: figure, sharpnessAfter: figure },
      { lifeP10Mm: figure, lifeP90Mm: figure },
    ),
    steps: list(
      object(
        { kind: oneOf(STEP_KINDS), title: line, detail: paragraph },
        { depthsMm: list(depth, MAX_DEPTHS) },
      ),
      2000,
    ),
  },
  { operations: list(plannedOperation, 1000), fromLog: orNull(fromLog) },
);

/** The plan a run follows, as it stood when the run was opened. */
export type RunPlan = BarePlan;
/** What a run’s own copy must hold to be followed; the rest of the plan travels with it. */
export const runPlanSchema = Type.Unsafe<RunPlan>(followed);
