import type { LucideIcon } from 'lucide-react-native';
import { Icon } from '../../ui/Icon';
import type { Palette } from '../../ui/palette';
import { Press } from '../../ui/Press';
import { Strong } from '../../ui/text';

interface BigButtonProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly icon: LucideIcon;
  readonly look?: 'main' | 'plain' | 'stop';
  readonly tall?: boolean;
  readonly disabled?: boolean;
  readonly testID?: string;
}

const LOOKS = {
  main: { ink: 'onWater', ground: '$water', edge: '$water' },
  plain: { ink: 'ink', ground: '$surface', edge: '$line' },
  stop: { ink: 'stop', ground: '$stopWash', edge: '$stop' },
} as const satisfies Record<string, { ink: keyof Palette; ground: string; edge: string }>;

/** For a wet glove at an arm’s length: at least 72 px tall, words of 22. */
export function BigButton({
  label,
  onPress,
  icon,
  look = 'plain',
  tall = false,
  disabled = false,
  testID,
}: BigButtonProps) {
  const { ink, ground, edge } = LOOKS[look];
  return (
    <Press
      onPress={() => {
        if (!disabled) onPress();
      }}
      disabled={disabled}
      aria-disabled={disabled}
      testID={testID}
      minHeight={tall ? 96 : 72}
      flexGrow={1}
      flexShrink={1}
      flexBasis={0}
      gap="$2"
      paddingHorizontal="$3"
      justifyContent="center"
      backgroundColor={ground}
      borderWidth={2}
      borderColor={edge}
      pressStyle={{ opacity: 0.75 }}
    >
      <Icon of={icon} tone={ink} size={28} />
      <Strong
        fontSize={tall ? 28 : 22}
        lineHeight={tall ? 34 : 26}
        color={`$${ink}`}
        flexShrink={1}
      >
        {label}
      </Strong>
    </Press>
  );
}
