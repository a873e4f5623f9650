import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { fakeApi, ownThreadPlanner, type Sent } from '../../testingApi';
import type { Planner } from '../../workers/planner';
import { PlannerProvider } from '../../workers/PlannerProvider';
import { PurposeScreen } from './PurposeScreen';

const mockNavigate = jest.fn();
const mockSetParams = jest.fn();
let mockKind: string | undefined;
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate, setParams: mockSetParams }),
  useLocalSearchParams: () => ({ jobId: 'j1', holeId: 'h1', kind: mockKind }),
}));

function open(kind?: string, planner = ownThreadPlanner): Sent[] {
  mockKind = kind;
  const log = fakeApi();
  show(
    <PlannerProvider planner={planner}>
      <PurposeScreen />
    </PlannerProvider>,
  );
  return log;
}

beforeEach(() => {
  mockNavigate.mockClear();
});

it('lists what a hole is for, finds one by a word, and turns it round from a bit', async () => {
  open();
  typeIn(await screen.findByLabelText('Search'), 'pipe');
  expect(screen.queryByTestId('choose-shaft')).toBeNull();
  typeIn(screen.getByLabelText('Search'), '');
  fireEvent.click(screen.getByTestId('reverse'));
  fireEvent.click(screen.getByText('Tube 6 · 6 mm'));
  expect(screen.getByText('A wall plug of 5.25 mm through tile.')).toBeTruthy();
  expect(screen.queryByTestId('choose-post-socket')).toBeNull();
  fireEvent.click(screen.getByTestId('choose-wall-plug'));
  expect(mockNavigate).toHaveBeenCalledWith(expect.stringContaining('kind=wall-plug'));
});

it('sizes the hole from the part and feeds it to the hole with the bit', async () => {
  const log = open('shaft');
  typeIn(await screen.findByTestId('field-shaftDiameterMm'), '21.6');
  expect(screen.getByTestId('fit-target')).toHaveTextContent('22 mm');
  await waitFor(() => {
    expect(screen.getByTestId('use-fit')).toHaveTextContent('Use 22 mm with Cup saw 22');
  });
  fireEvent.click(screen.getByTestId('use-fit'));
  expect(mockNavigate).toHaveBeenCalledWith('/jobs/j1/holes/h1');
  await waitFor(() => {
    expect(log.find((sent) => sent.method === 'PUT')?.body).toMatchObject({
      purpose: { kind: 'shaft', shaftDiameterMm: 21.6 },
      diameterMm: 22,
      depth: { kind: 'through' },
      setup: { bit: 'b1' },
    });
  });
});

it('waits with the button until the bits are of the part as it is entered now', async () => {
  let isAway = false;
  const ask: Planner['ask'] = (task, input, answered) =>
    isAway ? () => undefined : ownThreadPlanner.ask(task, input, answered);
  open('shaft', { ...ownThreadPlanner, ask });
  typeIn(await screen.findByTestId('field-shaftDiameterMm'), '21.6');
  await waitFor(() => {
    expect(screen.getByTestId('use-fit')).not.toHaveAttribute('aria-disabled', 'true');
  });
  isAway = true;
  typeIn(screen.getByTestId('field-shaftDiameterMm'), '30');
  fireEvent.click(screen.getByTestId('use-fit'));
  expect(mockNavigate).not.toHaveBeenCalled();
});

it('takes the hole without a bit where none can be judged', async () => {
  const ask: Planner['ask'] = (_task, _input, _answered, broken) => {
    broken?.();
    return () => undefined;
  };
  open('shaft', { ...ownThreadPlanner, ask });
  typeIn(await screen.findByTestId('field-shaftDiameterMm'), '21.6');
  await waitFor(() => {
    expect(screen.getByTestId('use-fit')).toHaveTextContent(/^Use [\d.]+ mm$/);
  });
  expect(screen.queryByTestId('fit-bits')).toBeNull();
  fireEvent.click(screen.getByTestId('use-fit'));
  expect(mockNavigate).toHaveBeenCalledWith('/jobs/j1/holes/h1');
});

it('offers the sizes a part is sold in, each by one tap', async () => {
  open('shaft');
  const sold = await screen.findByTestId('sold-shaftDiameterMm');
  fireEvent.click(within(sold).getByText('M8'));
  expect(screen.getByTestId('field-shaftDiameterMm')).toHaveValue('8 mm');
  expect(within(sold).getByRole('radio', { name: 'M8' })).toHaveAttribute('aria-checked', 'true');
  typeIn(screen.getByTestId('field-shaftDiameterMm'), '1/4”');
  expect(within(sold).getByRole('radio', { name: 'M8' })).toHaveAttribute('aria-checked', 'false');
});

it('names the two values that clash, and offers nothing to use', async () => {
  open('tank-fitting');
  typeIn(await screen.findByTestId('field-threadDiameterMm'), '40');
  typeIn(screen.getByTestId('field-flangeDiameterMm'), '38');
  expect(
    screen.getAllByText(/flange of 38 mm is not wider than the thread of 40 mm/),
  ).not.toHaveLength(0);
  expect(screen.getByTestId('use-fit')).toHaveTextContent('Say what the part is first');
  typeIn(screen.getByTestId('field-flangeDiameterMm'), '');
  expect(screen.getByText(/Gasket or flange, outside is missing/)).toBeTruthy();
});
