import { kitWords } from '@nucleon/core/words/screens/kit';
import type { ReactNode } from 'react';
import { Column, Panel, Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Empty } from '../../ui/StateView';
import { Heading, Small, Strong } from '../../ui/text';

interface ShelfProps {
  readonly title: string;
  readonly actions: ReactNode;
  /** Said where nothing is on it. */
  readonly empty: string | null;
  readonly children: ReactNode;
}

/** A list of what is owned of one sort, each line opening to its details. */
export function Shelf({ title, actions, empty, children }: ShelfProps) {
  return (
    <Column gap="$2">
      <Row justifyContent="space-between" flexWrap="wrap" gap="$2">
        <Heading aria-level={2}>{title}</Heading>
        <Row gap="$1" flexWrap="wrap">
          {actions}
        </Row>
      </Row>
      <Panel wet>
        {empty ? <Empty title={kitWords.emptyShelf} text={empty} /> : null}
        {children}
      </Panel>
    </Column>
  );
}

interface ShelfItemProps {
  readonly id?: string;
  readonly name: string;
  readonly line: string;
  /** A word on its state, where there is one. */
  readonly mark?: { readonly text: string; readonly tone: '$stop' | '$caution' | '$fine' } | null;
  readonly open: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

export function ShelfItem({ id, name, line, mark, open, onPress, children }: ShelfItemProps) {
  return (
    <Column borderTopWidth={1} borderColor="$line" {...(id ? { id } : {})}>
      <Press
        aria-expanded={open}
        onPress={onPress}
        paddingHorizontal="$4"
        paddingVertical="$2"
        gap="$3"
        hoverStyle={{ backgroundColor: '$raised' }}
      >
        <Column alignItems="flex-start" flex={1}>
          <Strong textAlign="left">{name}</Strong>
          <Small textAlign="left">{line}</Small>
        </Column>
        {mark ? (
          <Small color={mark.tone} flexShrink={0}>
            {mark.text}
          </Small>
        ) : null}
      </Press>
      {open ? children : null}
    </Column>
  );
}
