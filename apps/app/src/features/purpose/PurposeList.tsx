import type { Route } from '../../routes';
import { purposeWords } from '@nucleon/core/words/screens/purpose';
import { sayIn } from '@nucleon/core/words/purposes/fitInWords';
import type { StoredBit } from '@nucleon/contract/wire';
import { PURPOSE_KINDS, PURPOSES, type PurposeKind } from '@nucleon/core/layout/purposes/purposes';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import ArrowLeftRight from 'lucide-react-native/icons/arrow-left-right';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Panel } from '../../ui/layout';
import { RowLink } from '../../ui/RowLink';
import { Heading, Small, Strong } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { useUnits } from '../display/displayStore';

interface PurposeListProps {
  readonly bits: readonly StoredBit[];
  readonly hrefOf: (kind: PurposeKind) => Route;
}

/** Every purpose, or turned round: what the bit one has would serve. */
export function PurposeList({ bits, hrefOf }: PurposeListProps) {
  const units = useUnits();
  const [search, setSearch] = useState('');
  const [bitId, setBitId] = useState<string | undefined>(undefined);
  const [reversed, setReversed] = useState(false);
  const bit = bits.find((one) => one.id === bitId);
  const holeMm = bit ? bit.diameterMm + (bit.runOutMm ?? 0) : null;
  const wanted = search.trim().toLowerCase();
  const rows = PURPOSE_KINDS.flatMap((kind) => {
    const { title, about, reverse } = PURPOSES[kind];
    const line = holeMm === null ? about : reverse(holeMm, sayIn(units));
    const matches = `${title} ${about}`.toLowerCase().includes(wanted);
    return line !== null && matches ? [{ kind, title, line }] : [];
  });
  return (
    <Column padding="$4" gap="$4">
      <TextBox
        label={purposeWords.search}
        value={search}
        onChangeText={setSearch}
        placeholder={purposeWords.pipeRingPost}
      />
      {bits.length > 0 && !reversed ? (
        <Button
          label={purposeWords.startFromBitYou}
          icon={ArrowLeftRight}
          onPress={() => {
            setReversed(true);
          }}
          testID="reverse"
        />
      ) : null}
      {reversed ? (
        <Chips
          label={purposeWords.yourBits}
          chips={[
            { value: '', label: purposeWords.any },
            ...bits.map((one) => ({
              value: one.id,
              label: `${one.name} · ${formatLengthShort(one.diameterMm, units)}`,
            })),
          ]}
          value={bitId ?? ''}
          onChange={(id) => {
            setBitId(id === '' ? undefined : id);
          }}
          testID="reverse-bit"
        />
      ) : null}
      <Heading aria-level={2}>
        {bit && holeMm !== null
          ? purposeWords.whatTakes(formatLengthShort(holeMm, units))
          : purposeWords.whatGoesInIt}
      </Heading>
      <Panel wet testID="purposes">
        {rows.map(({ kind, title, line }) => (
          <RowLink key={kind} to={hrefOf(kind)} testID={`choose-${kind}`}>
            <Strong textAlign="left">{title}</Strong>
            <Small textAlign="left">{line}</Small>
          </RowLink>
        ))}
        {rows.length === 0 ? <Small padding="$4">{purposeWords.nothingOfThatName}</Small> : null}
      </Panel>
    </Column>
  );
}
