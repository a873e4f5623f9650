import { heldWords } from '@nucleon/core/words/screens/held';
import { commonWords } from '@nucleon/core/words/screens/common';
import type { DescribedSupport } from '@nucleon/core/words/advice/supportsInWords';
import { STABILITY_WORDS } from '@nucleon/core/words/advice/stabilityWords';
import { sinkingInWords } from '@nucleon/core/words/plan/sinkingWords';
import { oddsInWords } from '@nucleon/core/words/odds';
import { formatPressure } from '@nucleon/core/words/units/formatQuantity';
import { formatLengthAbout } from '@nucleon/core/words/units/length';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Heading, Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

/** So many before the rest is asked for. */
const FIRST = 4;

interface SupportRowsProps {
  readonly ranked: readonly DescribedSupport[];
  readonly barred: readonly { readonly name: string; readonly why: string }[];
  readonly onUse: (one: DescribedSupport) => void;
}

/** Everything it could lie on, best first. */
export function SupportRows({ ranked, barred, onUse }: SupportRowsProps) {
  const units = useUnits();
  const [all, setAll] = useState(false);
  const shown = all ? ranked : ranked.filter(({ current }, index) => index < FIRST || current);
  return (
    <Column gap="$1" testID="supports">
      <Heading aria-level={2}>{heldWords.whatToLayIt}</Heading>
      <Small>{heldWords.byWhatHoleIs}</Small>
      {shown.map((one) => {
        const { kind, name, outcome, bending, stressMpa, stability, needs, have, current } = one;
        const figures: readonly (readonly [string, string])[] = [
          [heldWords.stress, formatPressure(stressMpa, units)],
          [heldWords.cracks, oddsInWords(outcome.crackProbability)],
          [heldWords.exitChip, outcome.chipMm ? formatLengthAbout(outcome.chipMm.p50, units) : '–'],
          ...(bending.kind === 'bent'
            ? [[heldWords.sinks, sinkingInWords(bending.deflectionMm, units)] as const]
            : []),
        ];
        return (
          <Column
            key={kind}
            gap="$2"
            paddingVertical="$3"
            borderTopWidth={1}
            borderColor="$line"
            testID={`support-${kind}`}
          >
            <Row justifyContent="space-between" gap="$3" alignItems="flex-start">
              <Column flex={1}>
                <Strong>
                  {ranked.indexOf(one) + 1}. {name}
                  {have ? ` · ${have}` : ''}
                </Strong>
                <Small>
                  {stability ? `${STABILITY_WORDS[stability]}. ` : ''}
                  {one.why}
                </Small>
              </Column>
              {current ? (
                <Strong color="$fine">{commonWords.inPlan}</Strong>
              ) : (
                <Button
                  label={heldWords.use}
                  hint={heldWords.layItOn(name.toLowerCase())}
                  onPress={() => {
                    onUse(one);
                  }}
                  testID={`use-support-${kind}`}
                />
              )}
            </Row>
            <Row flexWrap="wrap" rowGap="$2">
              {figures.map(([label, value]) => (
                <Column key={label} width="25%" minWidth={80} paddingRight="$2">
                  <Label fontSize="$1" lineHeight="$1">
                    {label}
                  </Label>
                  <Strong fontSize="$2">{value}</Strong>
                </Column>
              ))}
            </Row>
            {needs.length > 0 ? <Small>{heldWords.wants(needs.join('; '))}</Small> : null}
          </Column>
        );
      })}
      {shown.length < ranked.length ? (
        <Row>
          <Button
            label={heldWords.theOther(ranked.length - shown.length)}
            onPress={() => {
              setAll(true);
            }}
            testID="all-supports"
          />
        </Row>
      ) : null}
      {barred.map(({ name, why }) => (
        <Small key={name} paddingVertical="$2">
          {name}: {why}
        </Small>
      ))}
    </Column>
  );
}
