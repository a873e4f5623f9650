import { uiWords } from '@nucleon/core/words/screens/ui';
import { commonWords } from '@nucleon/core/words/screens/common';
import CircleCheck from 'lucide-react-native/icons/circle-check';
import Info from 'lucide-react-native/icons/info';
import OctagonX from 'lucide-react-native/icons/octagon-x';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import type { ReactNode } from 'react';
import { Icon } from './Icon';
import { Column, Row } from './layout';
import { Body, Strong } from './text';

const LEVELS = {
  stop: { icon: OctagonX, word: commonWords.stop, tone: 'stop', wash: '$stopWash' },
  caution: { icon: TriangleAlert, word: uiWords.takeCare, tone: 'caution', wash: '$cautionWash' },
  note: { icon: Info, word: uiWords.note, tone: 'water', wash: '$waterWash' },
  fine: { icon: CircleCheck, word: uiWords.settled, tone: 'fine', wash: '$surface' },
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
