import { placeWords } from '@nucleon/core/words/screens/place';
import { isRound } from '@nucleon/core/layout/wrap';
import { memo } from 'react';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { AddPanel } from './AddPanel';
import { ChosenPanel } from './ChosenPanel';
import { KeepOffPanel } from './KeepOffPanel';
import { OutlinePanel } from './OutlinePanel';
import { PhotoPanel } from './PhotoPanel';
import { PlaceFolds } from './PlaceFolds';
import { ScanPanel } from './ScanPanel';
import type { PanelProps } from './panelProps';

/** What belongs to the tool at hand, then what belongs to the whole piece. */
export const PlacePanels = memo(function PlacePanels(props: PanelProps) {
  const { room } = props;
  const { state, act, content } = room;
  return (
    <Column paddingBottom="$5">
      <Column padding="$4" gap="$4">
        {isRound(content.piece.outline) ? (
          <Chips
            label={placeWords.face}
            chips={[
              { value: 'face', label: placeWords.sideUnrolled },
              { value: 'base', label: placeWords.base },
            ]}
            value={state.face}
            onChange={(face) => {
              act({ type: 'face', face });
            }}
            testID="place-face"
          />
        ) : null}
        <ToolPanel {...props} />
      </Column>
      <PlaceFolds {...props} />
    </Column>
  );
});

function ToolPanel(props: PanelProps) {
  switch (props.room.state.tool) {
    case 'move':
      return <ChosenPanel {...props} />;
    case 'add':
      return <AddPanel {...props} />;
    case 'keep-off':
      return <KeepOffPanel {...props} />;
    case 'scan':
      return <ScanPanel {...props} />;
    case 'outline':
      return <OutlinePanel {...props} />;
    case 'photo':
      return <PhotoPanel {...props} />;
  }
}
