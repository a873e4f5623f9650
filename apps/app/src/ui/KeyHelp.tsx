import { commonWords } from '@nucleon/core/words/screens/common';
import { uiWords } from '@nucleon/core/words/screens/ui';
import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { Modal } from 'react-native';
import { Button } from './Button';
import { Column, Panel, Row } from './layout';
import { Body, Strong, Title } from './text';
import { useKeys } from './useKeys';

const KEYS = [
  ['?', uiWords.thisList],
  ['/', uiWords.searchJobs],
  ['N', commonWords.newHole],
  [uiWords.ctrlZ, uiWords.takeBackLastChange],
  [uiWords.ctrlShiftZ, uiWords.doItAgain],
  ['Space, T, M, S, U', uiWords.atBenchGoOr],
  ['Tab, Enter', uiWords.moveAndPress],
] as const;

/** The keys, listed by ?. */
export function KeyHelp() {
  const [open, setOpen] = useState(false);
  const close = (): void => {
    setOpen(false);
  };
  useKeys([
    {
      key: '?',
      does: uiWords.listKeys,
      run: () => {
        setOpen(true);
      },
    },
  ]);
  if (!open) return null;
  return (
    <Modal transparent visible onRequestClose={close} aria-label={uiWords.keys}>
      <Column
        flex={1}
        alignItems="center"
        justifyContent="center"
        backgroundColor="rgba(10, 18, 22, 0.55)"
      >
        <Panel wet padding="$5" gap="$3" width={340} maxWidth="92%">
          <Title aria-level={2}>{uiWords.keys}</Title>
          {KEYS.map(([key, does]) => (
            <Row key={key} gap="$3">
              <Strong width={110}>{key}</Strong>
              <Body flexShrink={1}>{does}</Body>
            </Row>
          ))}
          <Button label={commonWords.close} icon={X} onPress={close} />
        </Panel>
      </Column>
    </Modal>
  );
}
