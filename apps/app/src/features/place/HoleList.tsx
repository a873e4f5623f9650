import { placeWords } from '@nucleon/core/words/screens/place';
import { commonWords } from '@nucleon/core/words/screens/common';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import CircleCheck from 'lucide-react-native/icons/circle-check';
import Square from 'lucide-react-native/icons/square';
import SquareCheck from 'lucide-react-native/icons/square-check';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { memo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { PlaceRoomState } from './usePlaceRoom';

const SHOWN_AT_FIRST = 12;

type HoleListProps = Pick<PlaceRoomState, 'holes' | 'act' | 'placement'> & {
  readonly selected: readonly string[];
};

/** Every hole of the face: choose one by its name, or several by their boxes. */
export const HoleList = memo(function HoleList({ holes, selected, act, placement }: HoleListProps) {
  const units = useUnits();
  const [all, setAll] = useState(false);
  const shown = all ? holes : holes.slice(0, SHOWN_AT_FIRST);
  if (holes.length === 0) return <Small>{placeWords.noHolesOnThis}</Small>;
  return (
    <Column testID="hole-list">
      <Row justifyContent="space-between">
        <Label>{placeWords.holesOfThisFace}</Label>
        <Button
          label={selected.length === holes.length ? placeWords.chooseNone : placeWords.chooseAll}
          look="quiet"
          onPress={() => {
            act({
              type: 'select',
              ids: selected.length === holes.length ? [] : holes.map(({ id }) => id),
            });
          }}
          testID="choose-all"
        />
      </Row>
      {shown.map((hole) => {
        const on = selected.includes(hole.id);
        const broken = placement.broken.has(hole.id);
        const name = hole.label || commonWords.hole;
        return (
          <Row key={hole.id} borderTopWidth={1} borderColor="$line">
            <Press
              role="checkbox"
              aria-checked={on}
              aria-label={placeWords.chooseToo(name)}
              paddingHorizontal="$3"
              onPress={() => {
                act({ type: 'toggle', id: hole.id });
              }}
            >
              <Icon of={on ? SquareCheck : Square} tone={on ? 'water' : 'muted'} />
            </Press>
            <Press
              flex={1}
              gap="$2"
              justifyContent="space-between"
              aria-label={`${name}${broken ? placeWords.tooNear : ''}`}
              onPress={() => {
                act({ type: 'select', ids: [hole.id] });
              }}
              testID={`pick-${name}`}
            >
              <Strong fontSize="$2" color={on ? '$water' : '$ink'}>
                {name}
              </Strong>
              <Row gap="$2">
                <Small>
                  {placeWords.at(
                    formatLengthShort(hole.diameterMm, units),
                    formatLengthShort(hole.xMm, units),
                    formatLengthShort(hole.yMm, units),
                  )}
                </Small>
                <Icon
                  of={broken ? TriangleAlert : CircleCheck}
                  tone={broken ? 'caution' : 'fine'}
                  size={18}
                />
              </Row>
            </Press>
          </Row>
        );
      })}
      {holes.length > SHOWN_AT_FIRST && !all ? (
        <Button
          label={placeWords.showAll(holes.length)}
          look="quiet"
          onPress={() => {
            setAll(true);
          }}
        />
      ) : null}
    </Column>
  );
});
