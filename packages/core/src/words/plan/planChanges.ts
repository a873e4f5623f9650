import { oddsInWords } from '../odds';
import { formatDuration, formatForce, formatRpm } from '../units/formatQuantity';
import { formatLengthAbout } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import type { Plan } from '../../documents/plan';

/** What a plan comes to, as far as a later model may tell another story of the same hole. */
type Told = Pick<
  Plan,
  'drillTimeS' | 'feedForceN' | 'rpm' | 'crackProbability' | 'exitChipMm' | 'modelVersion'
>;

const FIGURES = {
  time: ({ drillTimeS }: Told) => drillTimeS?.p50 ?? null,
  force: ({ feedForceN }: Told) => feedForceN,
  speed: ({ rpm }: Told) => rpm,
  crack: ({ crackProbability }: Told) => crackProbability,
  chip: ({ exitChipMm }: Told) => exitChipMm?.p50 ?? null,
} as const satisfies Record<string, (plan: Told) => number | null>;
export type ChangedFigure = keyof typeof FIGURES;
const FIGURE_IDS = Object.keys(FIGURES) as readonly ChangedFigure[];

/** One figure that a later model or later data moved; SI-mm. */
export interface PlanChange {
  readonly figure: ChangedFigure;
  readonly was: number;
  readonly is: number;
}

export interface PlanChanges {
  readonly fromModel: string;
  readonly changes: readonly PlanChange[];
}

/** Less than this share is no change worth a word. */
const WORTH_TELLING = 0.1;

/** What of a stored plan a later model tells otherwise. */
export const planChanges = (was: Told, is: Told): PlanChanges => ({
  fromModel: was.modelVersion,
  changes: FIGURE_IDS.flatMap((figure) => {
    const [before, after] = [FIGURES[figure](was), FIGURES[figure](is)];
    return before !== null &&
      after !== null &&
      Math.abs(after - before) > WORTH_TELLING * Math.max(before, after)
      ? [{ figure, was: before, is: after }]
      : [];
  }),
});

const SAID: Readonly<Record<ChangedFigure, (value: number, units: UnitSystem) => string>> = {
  time: (s) => formatDuration(s),
  force: (N, units) => formatForce(N, units),
  speed: (rpm) => formatRpm(rpm),
  crack: (odds) => oddsInWords(odds),
  chip: (mm, units) => formatLengthAbout(mm, units),
};
const NAMES: Readonly<Record<ChangedFigure, string>> = {
  time: 'time',
  force: 'force',
  speed: 'speed',
  crack: 'cracks',
  chip: 'exit chips',
};

/** `Recalculated: time 2.5 min, was 3.1 min`; null where nothing moved that is worth a word. */
export function planChangesText({ changes }: PlanChanges, units: UnitSystem): string | null {
  const lines = changes
    .map(({ figure, was, is }) => ({
      name: NAMES[figure],
      was: SAID[figure](was, units),
      is: SAID[figure](is, units),
    }))
    .filter((line) => line.was !== line.is)
    .map((line) => `${line.name} ${line.is}, was ${line.was}`);
  return lines.length === 0 ? null : `Recalculated by a later model: ${lines.join('; ')}.`;
}
