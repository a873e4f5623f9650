import { placeWords } from '@nucleon/core/words/screens/place';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import Trash from 'lucide-react-native/icons/trash';
import { Chips } from '../../ui/Chips';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Press } from '../../ui/Press';
import { Small, Strong } from '../../ui/text';
import { changeKeepOff } from './layoutEdits';
import type { PanelProps } from './panelProps';
import { KEEP_OFF_CHIPS, SHAPE_CHIPS } from './tools';
import { wordFor } from '@nucleon/core/words/screens/choiceChips';

/** Handles, ribs, cracks and openings that are there already: drawn by a drag. */
export function KeepOffPanel({ room }: PanelProps) {
  const { state, act, edit, content } = room;
  const places = content.piece.keepOff ?? [];
  return (
    <Column gap="$4">
      <Chips
        label={placeWords.whatMustHolesKeep}
        chips={KEEP_OFF_CHIPS}
        value={state.keepOffKind}
        onChange={(keepOffKind) => {
          const keepOffShape =
            keepOffKind === 'hole'
              ? 'circle'
              : keepOffKind === 'cut-out'
                ? 'rectangle'
                : state.keepOffShape;
          act({ type: 'set', change: { keepOffKind, keepOffShape } });
        }}
        testID="keep-kind"
      />
      <Chips
        label={placeWords.itsShape}
        chips={SHAPE_CHIPS}
        value={state.keepOffShape}
        onChange={(keepOffShape) => {
          act({ type: 'set', change: { keepOffShape } });
        }}
        testID="keep-shape"
      />
      <Small>{placeWords.dragAcrossPlanTo}</Small>
      {places.map((place, index) => (
        <Row key={place.id} gap="$3" alignItems="flex-end" testID={`keep-${index + 1}`}>
          <Column flex={1} paddingBottom="$3">
            <Strong fontSize="$2">{wordFor(KEEP_OFF_CHIPS, place.kind)}</Strong>
            <Small>{wordFor(SHAPE_CHIPS, place.shape.kind)}</Small>
          </Column>
          {place.kind === 'hole' || place.kind === 'cut-out' ? null : (
            <LengthBox
              inRow
              label={placeWords.stayAwayBy}
              valueMm={place.marginMm ?? null}
              placeholder={placeWords.byRule}
              maxMm={LIMITS.smallMm.max}
              onChangeMm={(marginMm) => {
                edit(changeKeepOff(place.id, { marginMm }), `margin ${place.id}`);
              }}
            />
          )}
          <Press
            aria-label={placeWords.deleteKeepOffChips(
              wordFor(KEEP_OFF_CHIPS, place.kind).toLowerCase(),
              index + 1,
            )}
            paddingHorizontal="$3"
            onPress={() => {
              edit(changeKeepOff(place.id, null), `drop ${place.id}`);
            }}
          >
            <Icon of={Trash} tone="stop" />
          </Press>
        </Row>
      ))}
    </Column>
  );
}
