import { useTheme } from '@tamagui/core';
import { useState } from 'react';
import { TextInput, type TextInputProps } from 'react-native';
import { Column } from './layout';
import { SIZES } from './tamagui.config';
import { Label, Small } from './text';
import { useLetterPx } from './TextScale';

/** What a phone must not do to a figure. */
const AS_TYPED = {
  autoCorrect: false,
  autoComplete: 'off',
  autoCapitalize: 'none',
  spellCheck: false,
  enterKeyHint: 'done',
} as const satisfies TextInputProps;

/** Least width of a box that shares its line, px. */
const IN_ROW_PX = 116;

interface TextBoxProps {
  readonly label: string;
  /** Shares its line with others. */
  readonly inRow?: boolean;
  readonly hideLabel?: boolean;
  readonly value: string;
  readonly onChangeText: (text: string) => void;
  readonly onDone?: () => void;
  /** Enter was pressed, beside being done. */
  readonly onEnter?: (() => void) | undefined;
  readonly fault?: string | undefined;
  readonly note?: string;
  readonly placeholder?: string;
  readonly inputMode?: TextInputProps['inputMode'];
  /** Figures: nothing is corrected, completed or begun with a capital. */
  readonly figures?: boolean;
  /** A password as it is, a new one, or a name to sign in with: so that the browser can fill it in. */
  readonly credential?: 'username' | 'current-password' | 'new-password' | 'one-time-code';
  readonly testID?: string;
  readonly inputRef?: React.Ref<TextInput>;
  readonly multiline?: boolean;
  readonly onFocus?: () => void;
}

/** A labelled line to type in; a fault is said beneath it and to the screen reader. */
export function TextBox({
  label,
  inRow = false,
  hideLabel = false,
  value,
  onChangeText,
  onDone,
  onEnter,
  fault,
  note,
  placeholder,
  inputMode = 'text',
  figures = false,
  credential,
  testID,
  inputRef,
  multiline = false,
  onFocus,
}: TextBoxProps) {
  const theme = useTheme();
  const fontSize = useLetterPx(SIZES[3]);
  const [focused, setFocused] = useState(false);
  const edge = fault ? theme.stop.val : focused ? theme.water.val : theme.line.val;
  return (
    <Column gap="$1" flexGrow={1} flexShrink={1} flexBasis={inRow ? IN_ROW_PX : 'auto'}>
      {hideLabel ? null : <Label>{label}</Label>}
      <TextInput
        ref={inputRef}
        aria-label={fault ? `${label}. ${fault}` : label}
        value={value}
        onChangeText={onChangeText}
        onFocus={() => {
          setFocused(true);
          onFocus?.();
        }}
        onBlur={() => {
          setFocused(false);
          onDone?.();
        }}
        onSubmitEditing={() => {
          onDone?.();
          onEnter?.();
        }}
        placeholder={placeholder}
        placeholderTextColor={theme.muted.val}
        inputMode={inputMode}
        {...(figures || credential ? AS_TYPED : {})}
        {...(credential ? { autoComplete: credential } : {})}
        secureTextEntry={credential !== undefined && credential !== 'username'}
        multiline={multiline}
        testID={testID}
        style={{
          minHeight: 48,
          minWidth: 0,
          width: '100%',
          flexShrink: 1,
          paddingHorizontal: 12,
          paddingVertical: multiline ? 10 : 0,
          borderWidth: 1,
          borderBottomWidth: focused || fault ? 3 : 1,
          borderColor: edge,
          borderRadius: 2,
          backgroundColor: theme.surface.val,
          color: theme.ink.val,
          fontFamily: 'Hyperlegible',
          fontSize,
        }}
      />
      {fault ? (
        <Small color="$stop" role="alert">
          {fault}
        </Small>
      ) : note ? (
        <Small>{note}</Small>
      ) : null}
    </Column>
  );
}
