import Check from 'lucide-react-native/icons/check';
import type { ReactNode } from 'react';
import { Icon } from './Icon';
import { Column, Row } from './layout';
import { Press } from './Press';
import { Small, Strong } from './text';

interface TickRowProps {
  readonly title: string;
  readonly detail?: string;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
  /** Beside the tick: a way to what helps. */
  readonly beside?: ReactNode;
  /** What it tells is wanted when it is ticked, too. */
  readonly keepsDetail?: boolean;
  readonly testID?: string;
}

/** Something to see to, ticked with the whole row. */
export function TickRow({
  title,
  detail,
  on,
  onChange,
  beside,
  keepsDetail = false,
  testID,
}: TickRowProps) {
  return (
    <Row borderTopWidth={1} borderColor="$line" alignItems="center">
      <Press
        role="checkbox"
        aria-checked={on}
        flex={1}
        gap="$3"
        paddingVertical="$2"
        minHeight={56}
        onPress={() => {
          onChange(!on);
        }}
        hoverStyle={{ backgroundColor: '$raised' }}
        testID={testID}
      >
        <Row
          width={34}
          height={34}
          flexShrink={0}
          borderWidth={2}
          borderColor={on ? '$fine' : '$muted'}
          alignItems="center"
          justifyContent="center"
        >
          {on ? <Icon of={Check} tone="fine" size={26} /> : null}
        </Row>
        <Column flex={1} alignItems="flex-start">
          <Strong textAlign="left" color={on ? '$muted' : '$ink'}>
            {title}
          </Strong>
          {detail && (keepsDetail || !on) ? <Small textAlign="left">{detail}</Small> : null}
        </Column>
      </Press>
      {beside}
    </Row>
  );
}
