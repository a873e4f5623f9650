import { purposeWords } from '@nucleon/core/words/screens/purpose';
import { commonWords } from '@nucleon/core/words/screens/common';
import { fitLines } from '@nucleon/core/words/purposes/fitLines';
import { formatLength, formatLengthShort } from '@nucleon/core/words/units/length';
import { Measured } from '../../drawing/Measured';
import { ScaleDrawing } from '../../drawing/ScaleDrawing';
import { Column, Panel, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Heading, Label, Numeral, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { BitRows } from './BitRows';
import type { PurposeDraft } from './usePurpose';

/** The hole that follows from the part: drawing, size and range, working, what it hides, what follows. */
export function FitView({ purpose }: { readonly purpose: PurposeDraft }) {
  const units = useUnits();
  const { outcome, bits } = purpose;
  if (outcome.kind === 'faulty') {
    const clashes = outcome.faults.filter((fault) => !fault.missing);
    return (
      <Column padding="$4" gap="$2" testID="fit-faulty">
        {clashes.length > 0 ? (
          clashes.map((fault) => (
            <Notice
              key={fault.message}
              level="stop"
              title={purposeWords.theseCannotBothBe}
              text={fault.message}
            />
          ))
        ) : (
          <Small>{outcome.faults.map((fault) => fault.message).join(' ')}</Small>
        )}
      </Column>
    );
  }
  const { fit, drawing } = outcome;
  const { diameter } = fit;
  return (
    <Column testID="fit">
      <Panel wet borderLeftWidth={0} borderRightWidth={0}>
        <Measured>
          {(width) => <ScaleDrawing drawing={drawing} width={width} maxHeight={260} />}
        </Measured>
      </Panel>
      <Column padding="$4" gap="$1">
        <Label>{commonWords.hole}</Label>
        <Numeral testID="fit-target">{formatLength(diameter.targetMm, units)}</Numeral>
        <Small testID="fit-range">
          {purposeWords.toWillDo(
            formatLengthShort(diameter.leastMm, units),
            formatLengthShort(diameter.mostMm, units),
            fit.reason.text,
          )}
        </Small>
      </Column>
      {fit.cautions.length > 0 ? (
        <Column paddingHorizontal="$4" gap="$2">
          {fit.cautions.map((caution) => (
            <Notice key={caution.code} level="caution" text={caution.message} />
          ))}
        </Column>
      ) : null}
      <Column padding="$4" gap="$2">
        {fitLines(fit, units).map(({ name, value }) => (
          <Line key={name} name={name} value={value} />
        ))}
      </Column>
      {bits ? <BitRows bits={bits} purpose={purpose} /> : null}
      <Column padding="$4" gap="$2" testID="fit-working">
        <Heading aria-level={2}>{purposeWords.howItComesAbout}</Heading>
        {fit.reason.inputs.map(({ name, value }) => (
          <Line key={name} name={name} value={value} quiet />
        ))}
        <Small>{fit.reason.source}</Small>
      </Column>
      <Column padding="$4" gap="$2">
        <Heading aria-level={2}>{purposeWords.whatFollows}</Heading>
        {fit.followUps.map((one) => (
          <Column key={one.title} gap={2}>
            <Strong>{one.title}</Strong>
            <Small>
              {one.when === 'before' ? purposeWords.beforeDrilling : ''}
              {one.detail}
            </Small>
          </Column>
        ))}
        <Small>{purposeWords.theseJoinStepsOf}</Small>
      </Column>
    </Column>
  );
}

function Line({
  name,
  value,
  quiet = false,
}: {
  readonly name: string;
  readonly value: string;
  readonly quiet?: boolean;
}) {
  return (
    <Row
      justifyContent="space-between"
      alignItems="flex-start"
      gap="$3"
      borderTopWidth={1}
      borderColor="$line"
      paddingTop="$2"
    >
      <Small flexShrink={1}>{name}</Small>
      {quiet ? (
        <Small color="$ink" flexShrink={1} textAlign="right">
          {value}
        </Small>
      ) : (
        <Strong flexShrink={1} textAlign="right">
          {value}
        </Strong>
      )}
    </Row>
  );
}
