import { INCH_POUND, METRIC } from '@nucleon/core/data/unitSystem';
import { act, fireEvent, screen } from '@testing-library/react';
import { show, typeIn } from '../testing';
import { useDisplay } from '../features/display/displayStore';
import { Chips } from './Chips';
import { ForceBox } from './ForceBox';
import { LengthBox } from './LengthBox';
import { NumberBox } from './NumberBox';

it('takes a length in either unit as it is typed', () => {
  const changed = jest.fn();
  show(<LengthBox label="Thickness" valueMm={6} maxMm={100} onChangeMm={changed} testID="box" />);
  expect(screen.getByTestId('box')).toHaveValue('6 mm');
  typeIn(screen.getByTestId('box'), '1/4 in');
  expect(changed).toHaveBeenLastCalledWith(6.35);
});

it('keeps every figure that was typed, and lets no phone mend it', () => {
  show(<LengthBox label="Bit" valueMm={38.125} maxMm={100} onChangeMm={jest.fn()} testID="box" />);
  const box = screen.getByTestId('box');
  expect(box).toHaveValue('38.125 mm');
  expect(box).toHaveAttribute('inputmode', 'decimal');
  expect(box).toHaveAttribute('autocorrect', 'off');
  expect(box).toHaveAttribute('autocapitalize', 'none');
  typeIn(box, '1½”');
  expect(screen.queryByRole('alert')).toBeNull();
});

it('says what a length must be and sends nothing', () => {
  const changed = jest.fn();
  show(<LengthBox label="Thickness" valueMm={6} maxMm={100} onChangeMm={changed} testID="box" />);
  typeIn(screen.getByTestId('box'), 'thick');
  expect(screen.getByText(/“thick” is not a length/)).toBeTruthy();
  typeIn(screen.getByTestId('box'), '200');
  expect(screen.getByText(/200 mm is too much: at most 100 mm/)).toBeTruthy();
  expect(changed).not.toHaveBeenCalled();
});

it('takes negative places only where asked', () => {
  const changed = jest.fn();
  show(
    <LengthBox label="Place" valueMm={0} anySign maxMm={100} onChangeMm={changed} testID="box" />,
  );
  typeIn(screen.getByTestId('box'), '-12,5');
  expect(changed).toHaveBeenLastCalledWith(-12.5);
  typeIn(screen.getByTestId('box'), '0');
  expect(changed).toHaveBeenLastCalledWith(0);
});

it('takes a number within its limits, and empty as not known', () => {
  const changed = jest.fn();
  show(
    <NumberBox
      label="Sharpness"
      value={0.8}
      onChange={changed}
      limit={{ above: 0, max: 1, unit: '' }}
      testID="box"
    />,
  );
  typeIn(screen.getByTestId('box'), '1.5');
  expect(screen.getByText(/“1.5” will not do/)).toBeTruthy();
  expect(changed).not.toHaveBeenCalled();
  typeIn(screen.getByTestId('box'), '');
  expect(changed).toHaveBeenLastCalledWith(undefined);
});

it('takes a force in pounds, and says how many are too many', () => {
  useDisplay.setState({ units: INCH_POUND });
  const changed = jest.fn();
  const limit = { above: 0, max: 5000, unit: 'N' };
  show(<ForceBox label="Force" valueN={23.09} limit={limit} onChangeN={changed} testID="box" />);
  expect(screen.getByTestId('box')).toHaveValue('5.19');
  typeIn(screen.getByTestId('box'), '10');
  expect(changed).toHaveBeenLastCalledWith(expect.closeTo(44.482, 3));
  typeIn(screen.getByTestId('box'), '1200');
  expect(screen.getByText(/“1200” will not do.*lbf above 0, at most 1120/)).toBeTruthy();
  expect(changed).toHaveBeenCalledTimes(1);
  act(() => {
    useDisplay.setState({ units: METRIC });
  });
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
  fireEvent.click(screen.getByText('Brisk'));
  expect(changed).toHaveBeenCalledWith('brisk');
});
