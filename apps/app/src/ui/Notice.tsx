import CircleCheck from 'lucide-react-native/icons/circle-check';
import Info from 'lucide-react-native/icons/info';
import OctagonX from 'lucide-react-native/icons/octagon-x';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import type { ReactNode } from 'react';
import { Icon } from './Icon';
import { Column, Row } from './layout';
import { Body, Strong } from './text';

const LEVELS = {
  stop: { icon: OctagonX, word: 'Stop', tone: 'stop', wash: '$stopWash' },
  caution: { icon: TriangleAlert, word: 'Take care', tone: 'caution', wash: '$cautionWash' },
  note: { icon: Info, word: 'Note', tone: 'water', wash: '$waterWash' },
  fine: { icon: CircleCheck, word: 'Settled', tone: 'fine', wash: '$surface' },
} as const;

interface NoticeProps {
  readonly level: keyof typeof LEVELS;
  readonly title?: string;
  readonly text: string;
  readonly children?: ReactNode;
  readonly testID?: string;
  readonly live?: boolean;
}

/** Level by word and shape, not colour alone. */
export function Notice({ level, title, text, children, testID, live = false }: NoticeProps) {
  const { icon, word, tone, wash } = LEVELS[level];
  return (
    <Column
      testID={testID}
      role={level === 'stop' || live ? 'alert' : undefined}
      backgroundColor={wash}
      borderLeftWidth={4}
      borderLeftColor={`$${tone}`}
      padding="$3"
      gap="$2"
    >
      <Row gap="$2" alignItems="flex-start">
        <Column paddingTop={2}>
          <Icon of={icon} tone={tone} />
        </Column>
        <Strong color={`$${tone}`} flexShrink={1}>
          {title ? `${word}: ${title}` : word}
        </Strong>
      </Row>
      <Body fontSize="$2" lineHeight="$2">
        {text}
      </Body>
      {children}
    </Column>
  );
}
