import ChevronRight from 'lucide-react-native/icons/chevron-right';
import type { ReactNode } from 'react';
import { Icon } from './Icon';
import { Column } from './layout';
import { Press } from './Press';

interface RowLinkProps {
  readonly onPress: () => void;
  readonly children: ReactNode;
  readonly testID?: string;
}

/** A line of a list that leads somewhere. */
export function RowLink({ onPress, children, testID }: RowLinkProps) {
  return (
    <Press
      role="link"
      borderTopWidth={1}
      borderColor="$line"
      paddingHorizontal="$4"
      paddingVertical="$2"
      gap="$3"
      justifyContent="space-between"
      hoverStyle={{ backgroundColor: '$raised' }}
      onPress={onPress}
      testID={testID}
    >
      <Column flex={1} alignItems="flex-start">
        {children}
      </Column>
      <Icon of={ChevronRight} tone="muted" />
    </Press>
  );
}
