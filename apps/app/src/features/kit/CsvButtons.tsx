import { kitWords } from '@nucleon/core/words/screens/kit';
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
    setSaid(kitWords.reading(file.name));
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
      setSaid(kitWords.added(items.length));
      setRead(null);
    },
  });
  return (
    <Column gap="$3">
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={kitWords.bitsFromCsv}
          icon={FileUp}
          onPress={() => void open()}
          testID="csv-open"
        />
        <Button
          label={kitWords.saveAsCsv}
          icon={FileDown}
          onPress={() => void save()}
          testID="csv-save"
        />
      </Row>
      <Small role="status" aria-live="polite" testID="csv-said">
        {take.trouble ? kitWords.noneWasAdded(take.trouble) : said}
      </Small>
      {read ? (
        <Panel wet padding="$4" gap="$3" testID="csv-report">
          <Strong>{reportLine(read)}</Strong>
          {read.left.length > 0 ? (
            <Small>{kitWords.columnsThatMeanNothing(read.left.join(', '))}</Small>
          ) : null}
          {read.rows.map(({ line, outcome }) => (
            <Row key={line} gap="$3" alignItems="flex-start">
              <Small width={56}>{kitWords.row(line)}</Small>
              <Small flex={1} color={outcome.kind === 'refused' ? '$stop' : '$ink'}>
                {outcome.kind === 'good'
                  ? kitWords.good(outcome.bit.name)
                  : outcome.kind === 'owned'
                    ? kitWords.youHaveItAlready(outcome.name)
                    : outcome.why.join(' ')}
              </Small>
            </Row>
          ))}
          <Row gap="$2" flexWrap="wrap">
            <Button
              label={kitWords.addGoodOnes(good?.length ?? 0)}
              look="main"
              disabled={take.busy || !good?.length}
              onPress={() => {
                if (good) take.run({ bits: good });
              }}
              testID="csv-take"
            />
            <Button
              label={kitWords.leaveIt}
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
  return kitWords.rowsRead(rows.length, count('good'), count('owned'), count('refused'));
}
