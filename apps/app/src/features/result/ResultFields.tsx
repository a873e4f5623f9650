import { resultWords } from '@nucleon/core/words/screens/result';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { stateWords } from '@nucleon/core/words/bitWords';
import {
  BIT_STATES,
  CRACK_SIGHTS,
  FORCES_FELT,
  PART_FITS,
  VERDICTS,
} from '@nucleon/core/data/choices';
import {
  CRACK_WORDS,
  FORCE_WORDS,
  PART_FIT_WORDS,
  VERDICT_WORDS,
} from '@nucleon/core/words/run/resultWords';
import { Chips } from '../../ui/Chips';
import { Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Heading, Small } from '../../ui/text';
import type { LiveRun } from '../run/useRun';
import { ChipSizes } from './ChipSizes';
import type { useResultDraft } from './useResultDraft';

type LengthKey = 'entryDiameterMm' | 'exitDiameterMm' | 'offXMm' | 'offYMm' | 'leanMm';

interface ResultFieldsProps extends Pick<
  ReturnType<typeof useResultDraft>,
  'result' | 'change' | 'forget'
> {
  readonly plan: LiveRun['state']['plan'];
}

const chipsOf = <T extends string>(values: readonly T[], words: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, label: words[value] }));

/** What is seen at once: the hole, cracks, chips, the part, the bit. */
export function Findings({ result, change, plan }: Omit<ResultFieldsProps, 'forget'>) {
  return (
    <>
      <Chips
        label={resultWords.theHoleIs}
        chips={chipsOf(VERDICTS, VERDICT_WORDS)}
        value={result.verdict}
        onChange={(verdict) => {
          change({ verdict });
        }}
        testID="verdict"
      />
      <Chips
        label={resultWords.aCrack}
        chips={chipsOf(CRACK_SIGHTS, CRACK_WORDS)}
        value={result.crack}
        onChange={(crack) => {
          change({ crack });
        }}
        testID="crack"
      />
      <ChipSizes
        label={resultWords.widestChipWhereIt}
        valueMm={result.entryChipMm}
        onChange={(entryChipMm) => {
          change({ entryChipMm });
        }}
        testID="entry-chip"
      />
      {plan.exitForceN !== null ? (
        <ChipSizes
          label={resultWords.widestChipWhereItCame}
          valueMm={result.exitChipMm}
          onChange={(exitChipMm) => {
            change({ exitChipMm });
          }}
          testID="exit-chip"
        />
      ) : null}
      <Chips
        label={resultWords.pressed}
        chips={chipsOf(FORCES_FELT, FORCE_WORDS)}
        value={result.force}
        onChange={(force) => {
          change({ force });
        }}
        testID="force-felt"
      />
      <Chips
        label={resultWords.thePart}
        chips={chipsOf(PART_FITS, PART_FIT_WORDS)}
        value={result.partFit}
        onChange={(partFit) => {
          change({ partFit });
        }}
        testID="part-fit"
      />
      <Chips
        label={resultWords.afterIt(plan.setup.bitName)}
        chips={BIT_STATES.filter((value) => value !== 'new').map((value) => ({
          value,
          label: stateWords(value),
        }))}
        value={result.bitState}
        onChange={(bitState) => {
          change({ bitState });
        }}
        testID="bit-after"
      />
    </>
  );
}

/** What a rule or calliper says, all of it optional. */
export function Measurements({ result, change, forget, plan }: ResultFieldsProps) {
  const opensFar = plan.exitForceN !== null;
  const length = (key: LengthKey, label: string, anySign = false) => (
    <LengthBox
      inRow
      label={label}
      valueMm={result[key] ?? null}
      anySign={anySign}
      maxMm={LIMITS.diameterMm.max}
      onChangeMm={(mm) => {
        change({ [key]: mm });
      }}
      onClear={() => {
        forget(key);
      }}
      testID={`result-${key}`}
    />
  );
  return (
    <>
      <Heading aria-level={2}>{resultWords.measured}</Heading>
      <Small>{resultWords.allOfItMay}</Small>
      <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
        {length('entryDiameterMm', resultWords.acrossGoingIn)}
        {opensFar ? length('exitDiameterMm', resultWords.acrossComingOut) : null}
      </Row>
      <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
        {length('offXMm', resultWords.offToRight, true)}
        {length('offYMm', resultWords.offUpwards, true)}
        {opensFar ? length('leanMm', resultWords.exitOffEntry) : null}
      </Row>
    </>
  );
}
