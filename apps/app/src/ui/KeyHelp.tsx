import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { Modal } from 'react-native';
import { Button } from './Button';
import { Column, Panel, Row } from './layout';
import { Body, Strong, Title } from './text';
import { useKeys } from './useKeys';

const KEYS = [
  ['?', 'this list'],
  ['/', 'search jobs'],
  ['N', 'new hole'],
  ['Ctrl Z', 'take back the last change of a hole'],
  ['Ctrl Shift Z', 'do it again'],
  ['Space, T, M, S, U', 'at the bench: go or pause, through, measured, sign, take back'],
  ['Tab, Enter', 'move and press'],
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
      does: 'list the keys',
      run: () => {
        setOpen(true);
      },
    },
  ]);
  if (!open) return null;
  return (
    <Modal transparent visible onRequestClose={close} aria-label="Keys">
      <Column
        flex={1}
        alignItems="center"
        justifyContent="center"
        backgroundColor="rgba(10, 18, 22, 0.55)"
      >
        <Panel wet padding="$5" gap="$3" width={340} maxWidth="92%">
          <Title aria-level={2}>Keys</Title>
          {KEYS.map(([key, does]) => (
            <Row key={key} gap="$3">
              <Strong width={110}>{key}</Strong>
              <Body flexShrink={1}>{does}</Body>
            </Row>
          ))}
          <Button label="Close" icon={X} onPress={close} />
        </Panel>
      </Column>
    </Modal>
  );
}
