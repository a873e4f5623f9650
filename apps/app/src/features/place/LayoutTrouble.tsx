import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import type { LayoutHandle } from './useLayoutDraft';

/** What keeps the layout from being saved. */
export function LayoutTrouble({ draft: { save }, dispatch }: LayoutHandle) {
  if (save.kind === 'unreachable')
    return (
      <Column padding="$3">
        <Notice
          level="caution"
          title="Not on the server yet"
          text={`${save.message} What you moved is kept on this device and sent when it is back.`}
          testID="unreachable"
          live
        />
      </Column>
    );
  if (save.kind === 'refused')
    return (
      <Column padding="$3">
        <Notice level="stop" title="Not saved" text={save.message} testID="refused" />
      </Column>
    );
  if (save.kind !== 'conflict') return null;
  return (
    <Column padding="$3">
      <Notice
        level="stop"
        title="Changed elsewhere"
        text="Someone moved something on this piece after you opened it. Choose which to keep; the other can be had back with Undo."
        testID="conflict"
      >
        <Row gap="$2" flexWrap="wrap">
          <Button
            label="Keep mine"
            look="main"
            onPress={() => {
              dispatch({ type: 'keep-mine' });
            }}
          />
          <Button
            label="Take theirs"
            onPress={() => {
              dispatch({ type: 'take-theirs' });
            }}
          />
        </Row>
      </Notice>
    </Column>
  );
}
