import { placeWords } from '@nucleon/core/words/screens/place';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import type { StoredHole } from '@nucleon/contract/wire';
import { isRound } from '@nucleon/core/layout/wrap';
import { roundDrawing } from '@nucleon/core/drawing/roundDrawing';
import { useRouter } from 'expo-router';
import MapPin from 'lucide-react-native/icons/map-pin';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { Measured } from '../../drawing/Measured';
import { ScaleDrawing } from '../../drawing/ScaleDrawing';
import { Button } from '../../ui/Button';
import { Fold } from '../../ui/Fold';
import { Column } from '../../ui/layout';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { ReadPanel, type TakenPiece } from '../files/ReadPanel';
import { WritePanel } from '../files/WritePanel';
import { HousePanel } from './HousePanel';
import { LikePanel } from './LikePanel';
import { addHoles, changePiece } from './layoutEdits';
import type { PanelProps } from './panelProps';

type Part = 'house' | 'like' | 'files' | 'round';

/** What belongs to the whole piece, folded away. */
export function PlaceFolds({ room, layout }: PanelProps) {
  const units = useUnits();
  const router = useRouter();
  const [open, setOpen] = useState<Part | null>(null);
  const { content, edit, state, act } = room;
  const { piece, holes } = content;
  const fold = (part: Part, label: string, summary: string) => ({
    label,
    summary,
    open: open === part,
    onToggle: () => {
      setOpen(open === part ? null : part);
    },
    testID: `place-fold-${part}`,
  });
  const take = (taken: TakenPiece): void => {
    edit((now) => {
      const cleared = { ...now, holes: [] };
      const shaped = changePiece({
        outline: taken.outline,
        ...(taken.keepOff.length > 0 ? { keepOff: taken.keepOff } : {}),
      })(cleared);
      const like: StoredHole | undefined = now.holes[0];
      return taken.holes.reduce((at, { diameterMm, ...place }) => {
        const added = addHoles([place], 'face', like, newId)(at);
        const last = added.holes.at(-1);
        return last
          ? { ...added, holes: [...added.holes.slice(0, -1), { ...last, diameterMm }] }
          : added;
      }, shaped);
    }, 'from a drawing');
    act({ type: 'select', ids: [] });
  };
  return (
    <Column>
      <Column paddingHorizontal="$4" paddingBottom="$3">
        <Button
          label={placeWords.markItTapeDistances}
          icon={MapPin}
          onPress={() => {
            router.navigate(routes.marks(piece.jobId, piece.id));
          }}
          testID="to-marks"
        />
      </Column>
      {isRound(piece.outline) ? (
        <Fold {...fold('round', placeWords.asRound, placeWords.lookedDownOnWith)}>
          <Measured>
            {(width) =>
              isRound(piece.outline) ? (
                <ScaleDrawing
                  drawing={roundDrawing(
                    piece.outline,
                    piece.thicknessMm,
                    holes
                      .filter((hole) => hole.face !== 'base')
                      .map((hole) => ({ ...hole, label: hole.label || commonWords.hole })),
                    units,
                  )}
                  width={width}
                  maxHeight={300}
                />
              ) : null
            }
          </Measured>
        </Fold>
      ) : null}
      <Fold {...fold('files', placeWords.templateAndDrawings, placeWords.fileKinds)}>
        <WritePanel piece={piece} holes={holes} face={state.face} />
        <ReadPanel onTake={take} />
      </Fold>
      <Fold {...fold('house', placeWords.houseRule, placeWords.howNearThisWorkshop)}>
        <HousePanel />
      </Fold>
      <Fold {...fold('like', placeWords.likePieces, placeWords.theSameHolesOn)}>
        <LikePanel
          layout={{ ...layout, piece, holes }}
          saved={room.handle.draft.save.kind === 'saved'}
        />
        {room.handle.draft.save.kind === 'saved' ? null : (
          <Small>{placeWords.waitUntilThisPiece}</Small>
        )}
      </Fold>
    </Column>
  );
}
