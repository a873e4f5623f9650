import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import type { ReactNode } from 'react';
import { Icon } from './Icon';
import { Column } from './layout';
import { Press } from './Press';
import { Label, Strong } from './text';

interface FoldProps {
  readonly label: string;
  /** The part in a line, shown while it is folded. */
  readonly summary: string;
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly children: ReactNode;
  readonly testID?: string;
}

/** A part of the walk: folds to a line, reopens anywhere. */
export function Fold({ label, summary, open, onToggle, children, testID }: FoldProps) {
  return (
    <Column borderTopWidth={1} borderColor="$line">
      <Press
        onPress={onToggle}
        aria-expanded={open}
        aria-label={`${label}: ${summary}`}
        testID={testID}
        gap="$3"
        paddingVertical="$2"
        paddingHorizontal="$4"
        justifyContent="space-between"
        hoverStyle={{ backgroundColor: '$raised' }}
      >
        <Column flexShrink={1} alignItems="flex-start">
          <Label color={open ? '$water' : '$muted'}>{label}</Label>
          {open ? null : (
            <Strong fontSize="$2" textAlign="left">
              {summary}
            </Strong>
          )}
        </Column>
        <Icon of={open ? ChevronUp : ChevronDown} tone="muted" />
      </Press>
      {open ? (
        <Column padding="$4" paddingTop="$1" gap="$4">
          {children}
        </Column>
      ) : null}
    </Column>
  );
}
