import type { StoredBit } from '@nucleon/contract/wire';
import type { BitsCsvOutcome } from '@nucleon/files/bitsCsv';
import FileDown from 'lucide-react-native/icons/file-down';
import FileUp from 'lucide-react-native/icons/file-up';
import { useState } from 'react';
import { addBits } from '../../api/kit';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { pickFile } from '../../ui/pickFile';
import { saveFile } from '../../ui/saveFile';
import { Small, Strong } from '../../ui/text';
import { askFiles, blobOf } from '../../workers/files';

type ReadBits = Extract<BitsCsvOutcome, { kind: 'read' }>;

/** The bits as a spreadsheet has them: out, and in row by row, good ones kept beside bad ones. */
export function CsvButtons({ bits }: { readonly bits: readonly StoredBit[] }) {
  const [read, setRead] = useState<ReadBits | null>(null);
  const [said, setSaid] = useState('');
  const open = async (): Promise<void> => {
    const file = await pickFile('.csv,text/csv');
    if (!file) return;
    setRead(null);
    setSaid(`Reading “${file.name}”…`);
    const bytes = new Uint8Array(await file.arrayBuffer());
    const owned = bits.map(({ name, family, diameterMm }) => ({ name, family, diameterMm }));
    const outcome = await askFiles('readBits', { bytes, name: file.name, owned }).done;
    setSaid(outcome.kind === 'refused' ? outcome.message : '');
    if (outcome.kind === 'read') setRead(outcome);
  };
  const save = async (): Promise<void> => {
    const reply = await askFiles('writeBits', { bits }).done;
    if (reply.kind === 'written') saveFile('bits.csv', blobOf(reply));
    else setSaid(reply.message);
  };
  const good = read?.rows.flatMap(({ outcome }) => (outcome.kind === 'good' ? [outcome.bit] : []));
  const take = useWrite(addBits, {
    done: ({ items }) => {
      setSaid(`${items.length} ${items.length === 1 ? 'bit' : 'bits'} added.`);
      setRead(null);
    },
  });
  return (
    <Column gap="$3">
      <Row gap="$2" flexWrap="wrap">
        <Button
          label="Bits from a CSV"
          icon={FileUp}
          onPress={() => void open()}
          testID="csv-open"
        />
        <Button label="Save as CSV" icon={FileDown} onPress={() => void save()} testID="csv-save" />
      </Row>
      <Small role="status" aria-live="polite" testID="csv-said">
        {take.trouble ? `${take.trouble} None was added.` : said}
      </Small>
      {read ? (
        <Panel wet padding="$4" gap="$3" testID="csv-report">
          <Strong>{reportLine(read)}</Strong>
          {read.left.length > 0 ? (
            <Small>Columns that mean nothing here were left: {read.left.join(', ')}.</Small>
          ) : null}
          {read.rows.map(({ line, outcome }) => (
            <Row key={line} gap="$3" alignItems="flex-start">
              <Small width={56}>Row {line}</Small>
              <Small flex={1} color={outcome.kind === 'refused' ? '$stop' : '$ink'}>
                {outcome.kind === 'good'
                  ? `${outcome.bit.name}: good`
                  : outcome.kind === 'owned'
                    ? `${outcome.name}: you have it already, left`
                    : outcome.why.join(' ')}
              </Small>
            </Row>
          ))}
          <Row gap="$2" flexWrap="wrap">
            <Button
              label={`Add the ${good?.length ?? 0} good ones`}
              look="main"
              disabled={take.busy || !good?.length}
              onPress={() => {
                if (good) take.run({ bits: good });
              }}
              testID="csv-take"
            />
            <Button
              label="Leave it"
              look="quiet"
              onPress={() => {
                setRead(null);
              }}
            />
          </Row>
        </Panel>
      ) : null}
    </Column>
  );
}

function reportLine({ rows }: ReadBits): string {
  const count = (kind: 'good' | 'owned' | 'refused'): number =>
    rows.filter(({ outcome }) => outcome.kind === kind).length;
  return `${rows.length} rows: ${count('good')} good, ${count('owned')} owned already, ${count('refused')} will not do.`;
}
