import { TamaguiProvider } from '@tamagui/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Chips } from './Chips';
import { LengthBox } from './LengthBox';
import { NumberBox } from './NumberBox';
import { config } from './tamagui.config';

jest.mock('../features/display/displayStore', () => ({
  useUnits: () => ({ length: 'mm', force: 'N' }),
  useThemeName: () => 'light',
}));

const show = (element: ReactElement) =>
  render(
    <TamaguiProvider config={config} defaultTheme="light">
      {element}
    </TamaguiProvider>,
  );

it('takes a length in either unit as it is typed', () => {
  const changed = jest.fn();
  show(<LengthBox label="Thickness" valueMm={6} mostMm={100} onChangeMm={changed} testID="box" />);
  expect(screen.getByTestId('box').props.value).toBe('6 mm');
  fireEvent.changeText(screen.getByTestId('box'), '1/4 in');
  expect(changed).toHaveBeenLastCalledWith(6.35);
});

it('says what a length must be and sends nothing', () => {
  const changed = jest.fn();
  show(<LengthBox label="Thickness" valueMm={6} mostMm={100} onChangeMm={changed} testID="box" />);
  fireEvent.changeText(screen.getByTestId('box'), 'thick');
  expect(screen.getByText(/“thick” is not a length/)).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('box'), '200');
  expect(screen.getByText(/200 mm is too much: at most 100 mm/)).toBeTruthy();
  expect(changed).not.toHaveBeenCalled();
});

it('takes negative places only where asked', () => {
  const changed = jest.fn();
  show(
    <LengthBox label="Place" valueMm={0} anySign mostMm={100} onChangeMm={changed} testID="box" />,
  );
  fireEvent.changeText(screen.getByTestId('box'), '-12,5');
  expect(changed).toHaveBeenLastCalledWith(-12.5);
  fireEvent.changeText(screen.getByTestId('box'), '0');
  expect(changed).toHaveBeenLastCalledWith(0);
});

it('takes a number within its limits, and empty as not known', () => {
  const changed = jest.fn();
  show(
    <NumberBox
      label="Sharpness"
      value={0.8}
      onChange={changed}
      limit={{ above: 0, most: 1, unit: '' }}
      testID="box"
    />,
  );
  fireEvent.changeText(screen.getByTestId('box'), '1.5');
  expect(screen.getByText(/“1.5” will not do/)).toBeTruthy();
  expect(changed).not.toHaveBeenCalled();
  fireEvent.changeText(screen.getByTestId('box'), '');
  expect(changed).toHaveBeenLastCalledWith(undefined);
});

it('marks the chosen chip and reports another', () => {
  const changed = jest.fn();
  show(
    <Chips
      label="Pace"
      chips={[
        { value: 'gentle', label: 'Gentle' },
        { value: 'brisk', label: 'Brisk' },
      ]}
      value="gentle"
      onChange={changed}
    />,
  );
  fireEvent.press(screen.getByText('Brisk'));
  expect(changed).toHaveBeenCalledWith('brisk');
});
