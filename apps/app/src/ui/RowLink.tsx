import ChevronRight from 'lucide-react-native/icons/chevron-right';
import type { ReactNode } from 'react';
import type { Route } from '../routes';
import { Icon } from './Icon';
import { Column } from './layout';
import { LinkPress } from './LinkPress';

interface RowLinkProps {
  readonly to: Route;
  readonly children: ReactNode;
  readonly testID?: string;
}

/** A line of a list that leads somewhere. */
export function RowLink({ to, children, testID }: RowLinkProps) {
  return (
    <LinkPress
      to={to}
      borderTopWidth={1}
      borderColor="$line"
      paddingHorizontal="$4"
      paddingVertical="$2"
      gap="$3"
      justifyContent="space-between"
      hoverStyle={{ backgroundColor: '$raised' }}
      testID={testID}
    >
      <Column flex={1} alignItems="flex-start">
        {children}
      </Column>
      <Icon of={ChevronRight} tone="muted" />
    </LinkPress>
  );
}
