import { placeWords } from '@nucleon/core/words/screens/place';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { distance } from '@nucleon/core/math/arc';
import { boundingBox } from '@nucleon/core/layout/outline';
import { scalePhoto } from '@nucleon/core/layout/traceOutline';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import ImageUp from 'lucide-react-native/icons/image-up';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { putPhoto } from '../../api/photos';
import { Button } from '../../ui/Button';
import { pickFile } from '../../ui/pickFile';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { changePiece } from './layoutEdits';
import type { PanelProps } from './panelProps';
import { shrinkPicture } from './shrinkPicture';

/** A photograph under the outline, brought to scale by two points whose distance is known. */
export function PhotoPanel({ room }: PanelProps) {
  const { state, act, edit, content, outline } = room;
  const units = useUnits();
  const [said, setSaid] = useState('');
  const [trueMm, setTrueMm] = useState<number | null>(null);
  const { piece } = content;
  const { photo } = piece;
  const lay = async (): Promise<void> => {
    const file = await pickFile('image/jpeg,image/png,image/webp');
    if (!file) return;
    setSaid(placeWords.takingPictureIn);
    const { blob, widthPx, heightPx } = await shrinkPicture(file);
    const id = newId();
    await putPhoto(piece.id, id, blob);
    const mmPerPx = boundingBox(outline).widthMm / widthPx;
    edit(changePiece({ photo: { id, xMm: 0, yMm: 0, mmPerPx, widthPx, heightPx } }), `photo ${id}`);
    setSaid(placeWords.laidUnderPieceAs);
  };
  const [first, second] = state.points;
  return (
    <Column gap="$4">
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={photo ? placeWords.anotherPhotograph : placeWords.layPhotographUnderIt}
          icon={ImageUp}
          look={photo ? 'plain' : 'main'}
          onPress={() => {
            lay().catch((error: unknown) => {
              setSaid(error instanceof Error ? error.message : placeWords.itDidNotWork);
            });
          }}
          testID="photo-lay"
        />
        {photo ? (
          <Button
            label={placeWords.delete}
            look="stop"
            onPress={() => {
              edit(changePiece({ photo: undefined }), 'photo away');
            }}
          />
        ) : null}
      </Row>
      <Small role="status" aria-live="polite">
        {said}
      </Small>
      {photo ? (
        <>
          <Small>{placeWords.takenSquareOnFrom}</Small>
          {first && second ? (
            <>
              <LengthBox
                label={placeWords.fromOnePointTo(formatLengthShort(distance(first, second), units))}
                valueMm={trueMm}
                placeholder={placeWords.asMeasured}
                maxMm={LIMITS.lengthMm.max}
                onChangeMm={setTrueMm}
                testID="photo-true"
              />
              <Button
                label={placeWords.bringItToScale}
                look="main"
                disabled={trueMm === null}
                onPress={() => {
                  if (trueMm === null) return;
                  edit(
                    changePiece({ photo: scalePhoto(photo, first, second, trueMm) }),
                    'photo scale',
                  );
                  act({ type: 'points', points: [] });
                  setTrueMm(null);
                }}
                testID="photo-scale"
              />
            </>
          ) : null}
        </>
      ) : null}
    </Column>
  );
}
