import { commonWords } from '@nucleon/core/words/screens/common';
import { uiWords } from '@nucleon/core/words/screens/ui';
import Undo2 from 'lucide-react-native/icons/undo-2';
import X from 'lucide-react-native/icons/x';
import { useEffect, useState } from 'react';
import { Button } from './Button';
import { Panel, Row } from './layout';
import { Body } from './text';
import { useUndo, type UndoOffer } from './undoStore';

const SHOWN_MS = 12_000;

/** Offers to take back the last deletion, for a while. */
export function UndoBar() {
  const { offer, clear } = useUndo();
  return offer ? <Offer key={offer.message} offer={offer} clear={clear} /> : null;
}

function Offer({ offer, clear }: { readonly offer: UndoOffer; readonly clear: () => void }) {
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const timer = setTimeout(clear, SHOWN_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [offer, clear]);
  const undo = (): void => {
    offer.undo().then(clear, () => {
      setFailed(true);
    });
  };
  return (
    <Row
      position="absolute"
      bottom={84}
      left={0}
      right={0}
      justifyContent="center"
      paddingHorizontal="$4"
      zIndex="$over"
      pointerEvents="box-none"
    >
      <Panel
        wet
        role="status"
        aria-live="polite"
        flexDirection="row"
        alignItems="center"
        paddingLeft="$4"
        gap="$2"
        testID="undo-bar"
      >
        <Body flexShrink={1}>{failed ? uiWords.couldNotBringIt : offer.message}</Body>
        <Button label={uiWords.undo} icon={Undo2} look="quiet" onPress={undo} />
        <Button label={commonWords.close} icon={X} look="quiet" onPress={clear} />
      </Panel>
    </Row>
  );
}
