import type { Chip } from '@nucleon/core/words/screens/choiceChips';
import { useRef } from 'react';
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

const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
};

/**
 * One of a few, all in sight: quicker with a wet thumb than a menu. By keyboard it is one stop; arrows move within
 * it, and take what they come to where one is taken already.
 */
export function Chips<T extends string | number>({
  label,
  hideLabel = false,
  nowrap = false,
  chips,
  value,
  onChange,
  testID,
}: ChipsProps<T>) {
  const presses = useRef<(HTMLElement | null)[]>([]);
  const stop = Math.max(
    chips.findIndex((chip) => chip.value === value),
    0,
  );
  const step = (event: KeyboardEvent, from: number): void => {
    const by = STEPS[event.key];
    if (by === undefined || chips.length < 2) return;
    event.preventDefault();
    event.stopPropagation();
    const to = (from + by + chips.length) % chips.length;
    presses.current[to]?.focus();
    const chip = chips[to];
    if (value !== undefined && chip) onChange(chip.value);
  };
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
        {chips.map((chip, at) => {
          const on = chip.value === value;
          return (
            <Press
              key={chip.value}
              role="radio"
              ref={(press) => {
                presses.current[at] = press as unknown as HTMLElement | null;
              }}
              tabIndex={at === stop ? 0 : -1}
              onKeyDown={(event) => {
                step(event as unknown as KeyboardEvent, at);
              }}
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
