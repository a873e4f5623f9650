import { placeWords } from '@nucleon/core/words/screens/place';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { ServiceBand } from '@nucleon/core/documents/piece';
import { bandName, bandWidth } from '@nucleon/core/layout/services';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import Trash from 'lucide-react-native/icons/trash';
import { Chips } from '../../ui/Chips';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Press } from '../../ui/Press';
import { Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { changeBand } from './layoutEdits';
import type { PanelProps } from './panelProps';
import { SERVICE_CHIPS } from './tools';

/** Pipes, cables and bars that a scan found, drawn as bands as wide as the scan is unsure. */
export function ScanPanel({ room }: PanelProps) {
  const { state, act, edit, content } = room;
  const units = useUnits();
  const { band } = state;
  const set = (change: Partial<typeof band>): void => {
    act({ type: 'set', change: { band: { ...band, ...change } } });
  };
  return (
    <Column gap="$4">
      <Chips
        label={placeWords.whatDidScanFind}
        chips={SERVICE_CHIPS}
        value={band.kind}
        onChange={(kind) => {
          set({ kind });
        }}
        testID="band-kind"
      />
      <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
        <LengthBox
          inRow
          label={placeWords.howWide}
          valueMm={band.widthMm}
          maxMm={LIMITS.smallMm.max}
          onChangeMm={(widthMm) => {
            set({ widthMm });
          }}
          testID="band-width"
        />
        <LengthBox
          inRow
          label={placeWords.mayBeOffBy}
          valueMm={band.uncertaintyMm}
          maxMm={LIMITS.smallMm.max}
          onChangeMm={(uncertaintyMm) => {
            set({ uncertaintyMm });
          }}
          testID="band-unsure"
        />
        <LengthBox
          inRow
          label={placeWords.howDeep}
          valueMm={band.depthMm ?? null}
          placeholder={placeWords.notKnownInLine}
          maxMm={LIMITS.smallMm.max}
          onClear={() => {
            set({ depthMm: undefined });
          }}
          onChangeMm={(depthMm) => {
            set({ depthMm });
          }}
          testID="band-depth"
        />
      </Row>
      <Small>{placeWords.dragAlongItOn}</Small>
      {(content.piece.services ?? []).map((one: ServiceBand, index) => (
        <Row key={one.id} justifyContent="space-between" testID={`band-${index + 1}`}>
          <Column>
            <Strong fontSize="$2">{bandName(one)}</Strong>
            <Small>
              {placeWords.aBandOf(
                formatLengthShort(bandWidth(one), units),
                one.depthMm === undefined ? null : formatLengthShort(one.depthMm, units),
              )}
            </Small>
          </Column>
          <Press
            aria-label={placeWords.deleteOne(bandName(one), index + 1)}
            paddingHorizontal="$3"
            onPress={() => {
              edit(changeBand(one.id, null), `drop ${one.id}`);
            }}
          >
            <Icon of={Trash} tone="stop" />
          </Press>
        </Row>
      ))}
    </Column>
  );
}
