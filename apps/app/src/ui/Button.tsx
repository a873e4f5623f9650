import type { LucideIcon } from 'lucide-react-native';
import { Icon } from './Icon';
import { useMayWork } from './mayWork';
import { Press } from './Press';
import type { Palette } from './palette';
import { Strong } from './text';

interface ButtonProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly icon?: LucideIcon;
  /** main: the one next action · plain: beside it · quiet: among text. */
  readonly look?: 'main' | 'plain' | 'quiet' | 'stop';
  readonly disabled?: boolean;
  readonly grow?: boolean;
  /** Begins, changes or deletes something: not there for whoever only reads. */
  readonly writes?: boolean;
  readonly testID?: string;
  /** Says more than the label does to those who cannot see where it stands. */
  readonly hint?: string;
}

const INK: Record<NonNullable<ButtonProps['look']>, keyof Palette> = {
  main: 'onWater',
  plain: 'ink',
  quiet: 'water',
  stop: 'stop',
};

export function Button({
  label,
  onPress,
  icon,
  look = 'plain',
  disabled = false,
  grow = false,
  writes = false,
  testID,
  hint,
}: ButtonProps) {
  const mayWork = useMayWork();
  const tone = INK[look];
  if (writes && !mayWork) return null;
  return (
    <Press
      onPress={() => {
        if (!disabled) onPress();
      }}
      disabled={disabled}
      aria-disabled={disabled}
      aria-label={hint}
      testID={testID}
      gap="$2"
      justifyContent="center"
      paddingHorizontal={look === 'quiet' ? '$2' : '$4'}
      paddingVertical="$2"
      maxWidth="100%"
      flexGrow={grow ? 1 : 0}
      borderWidth={look === 'plain' || look === 'stop' ? 1 : 0}
      borderColor={look === 'stop' ? '$stop' : '$line'}
      backgroundColor={look === 'main' ? '$water' : look === 'quiet' ? 'transparent' : '$surface'}
      hoverStyle={{ opacity: 0.88 }}
      pressStyle={{ opacity: 0.75 }}
    >
      {icon ? <Icon of={icon} tone={tone} /> : null}
      <Strong color={`$${tone}`} flexShrink={1} textAlign={icon ? 'left' : 'center'}>
        {label}
      </Strong>
    </Press>
  );
}
