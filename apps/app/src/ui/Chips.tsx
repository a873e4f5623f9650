import type { Chip } from '@nucleon/core/words/screens/choiceChips';
import { Row } from './layout';
import { Press } from './Press';
import { Label, Strong } from './text';

interface ChipsProps<T extends string | number> {
  readonly label: string;
  readonly hideLabel?: boolean;
  /** All on one line, where the whole scrolls sideways. */
  readonly nowrap?: boolean;
  readonly chips: readonly Chip<T>[];
  readonly value: T | undefined;
  readonly onChange: (value: T) => void;
  readonly testID?: string;
}

/** One of a few, all in sight: quicker with a wet thumb than a menu. */
export function Chips<T extends string | number>({
  label,
  hideLabel = false,
  nowrap = false,
  chips,
  value,
  onChange,
  testID,
}: ChipsProps<T>) {
  return (
    <Row
      flexDirection="column"
      alignItems="stretch"
      gap="$2"
      role="radiogroup"
      aria-label={label}
      testID={testID}
    >
      {hideLabel ? null : <Label>{label}</Label>}
      <Row flexWrap={nowrap ? 'nowrap' : 'wrap'} gap="$2">
        {chips.map((chip) => {
          const on = chip.value === value;
          return (
            <Press
              key={chip.value}
              role="radio"
              aria-checked={on}
              onPress={() => {
                onChange(chip.value);
              }}
              paddingHorizontal="$3"
              borderWidth={1}
              borderColor={on ? '$water' : '$line'}
              borderBottomWidth={on ? 3 : 1}
              backgroundColor={on ? '$waterWash' : '$surface'}
              hoverStyle={{ borderColor: '$water' }}
            >
              <Strong fontSize="$2" color={on ? '$water' : '$ink'}>
                {chip.label}
              </Strong>
            </Press>
          );
        })}
      </Row>
    </Row>
  );
}
