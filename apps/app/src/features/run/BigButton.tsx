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
  /** Where the screen is low: as high as a wet glove needs, no more. */
  readonly low?: boolean;
  readonly disabled?: boolean;
  readonly testID?: string;
}

const LOOKS = {
  main: { ink: 'onWater', ground: '$water', edge: '$water' },
  plain: { ink: 'ink', ground: '$surface', edge: '$line' },
  stop: { ink: 'stop', ground: '$stopWash', edge: '$stop' },
} as const satisfies Record<string, { ink: keyof Palette; ground: string; edge: string }>;

/** Height, letters, lines and icon, px. */
const SIZES = {
  low: [56, 17, 20, 22],
  plain: [72, 22, 26, 28],
  tall: [96, 28, 34, 28],
} as const;

/** For a wet glove at an arm’s length: at least 72 px tall, words of 22; 56 and 17 on a low screen. */
export function BigButton({
  label,
  onPress,
  icon,
  look = 'plain',
  tall = false,
  low = false,
  disabled = false,
  testID,
}: BigButtonProps) {
  const { ink, ground, edge } = LOOKS[look];
  const [height, letters, lines, icons] = SIZES[low ? 'low' : tall ? 'tall' : 'plain'];
  return (
    <Press
      onPress={() => {
        if (!disabled) onPress();
      }}
      disabled={disabled}
      aria-disabled={disabled}
      testID={testID}
      minHeight={height}
      flexGrow={1}
      flexShrink={1}
      flexBasis={0}
      gap="$2"
      paddingHorizontal={low ? '$2' : '$3'}
      justifyContent="center"
      backgroundColor={ground}
      borderWidth={2}
      borderColor={edge}
      pressStyle={{ opacity: 0.75 }}
    >
      <Icon of={icon} tone={ink} size={icons} />
      <Strong fontSize={letters} lineHeight={lines} color={`$${ink}`} flexShrink={1}>
        {label}
      </Strong>
    </Press>
  );
}
