import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ReactElement } from 'react';
import { show, typeIn } from '../../testing';
import { DETAIL, fakeApi, HOLE, ownThreadPlanner, type Sent } from '../../testingApi';
import { PlannerProvider } from '../../workers/PlannerProvider';
import { ChooseScreen } from '../choose/ChooseScreen';
import { CompareScreen } from '../compare/CompareScreen';
import { HireScreen } from '../hire/HireScreen';
import { PressScreen } from '../press/PressScreen';
import { RiskScreen } from '../risk/RiskScreen';
import { ThroughScreen } from '../through/ThroughScreen';
import { WindowScreen } from '../window/WindowScreen';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate }),
  useLocalSearchParams: () => ({ jobId: 'j1', holeId: 'h1' }),
}));
// The chart's library draws for real in the journeys.
jest.mock('../hire/CostChart', () => ({ __esModule: true, default: () => null }));

const showRoom = (screenOf: ReactElement, log = fakeApi()): readonly Sent[] => {
  show(<PlannerProvider planner={ownThreadPlanner}>{screenOf}</PlannerProvider>);
  return log;
};
afterEach(() => {
  jest.useRealTimers();
});

const puts = (log: readonly Sent[], path: string): Sent[] =>
  log.filter((sent) => sent.method === 'PUT' && sent.path.includes(path));

it('ranks what is owned, says why, and puts the choice into the plan', async () => {
  const log = showRoom(<ChooseScreen />);
  const first = await screen.findByTestId('ranked-1');
  expect(within(first).getByText(/^Costs least in time, wear and loss/)).toBeTruthy();
  fireEvent.click(within(first).getByText('What makes the cost?'));
  expect(within(first).getByText(/Presumed, until you say/)).toBeTruthy();
  const other = screen.getByTestId('use-1-2');
  fireEvent.click(other);
  await waitFor(() => expect(puts(log, '/holes/h1').length).toBeGreaterThan(0));
  expect(puts(log, '/holes/h1').at(-1)?.body).toMatchObject({
    setup: { bit: 'b1', machine: 'm1' },
  });
  expect(mockNavigate).toHaveBeenCalledWith('/jobs/j1/holes/h1');
  expect(screen.getByTestId('other-sizes')).toBeTruthy();
});

it('answers an empty kit with what to get', async () => {
  showRoom(
    <ChooseScreen />,
    fakeApi(({ method, path }) => {
      if (method !== 'GET') return undefined;
      if (/^\/(bits|machines)/.test(path))
        return { status: 200, body: { items: [], page: 1, pageSize: 200, total: 0 } };
      const { setup: _setup, ...hole } = HOLE;
      return path === '/holes/h1' ? { status: 200, body: { ...DETAIL, hole } } : undefined;
    }),
  );
  expect(await screen.findByText('Nothing you own makes this hole')).toBeTruthy();
  expect(
    within(screen.getByTestId('to-get')).getByText('Plated cup saw, 22 mm outside.'),
  ).toBeTruthy();
});

it('lays the ways side by side, picks one, and remembers it', async () => {
  const log = showRoom(<CompareScreen />);
  expect(await screen.findByTestId('question-backing')).toBeTruthy();
  fireEvent.click(screen.getByTestId('pick-backing-hard'));
  await waitFor(() =>
    expect(puts(log, '/holes/h1').at(-1)?.body).toMatchObject({
      setup: { support: { kind: 'sacrificial-hard' } },
    }),
  );
  fireEvent.click(await screen.findByTestId('remember-backing'));
  await waitFor(() => expect(puts(log, '/house')).toHaveLength(1));
  expect(puts(log, '/house')[0]?.body).toMatchObject({ habits: { backing: 'hard' } });
});

it('says odds and ranges plainly, and asks first about what costs most', async () => {
  showRoom(<RiskScreen />);
  expect(within(await screen.findByTestId('risk-crack')).getByText(/^1 in \d+$/)).toBeTruthy();
  expect(within(screen.getByTestId('risk-time')).getByText(/–.* min$/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('ask-sharpness'));
  expect(mockNavigate).toHaveBeenCalledWith('/kit?check=b1');
});

it('shows the force as a scale does, tare and all, and judges a real scale’s readings', async () => {
  showRoom(<PressScreen />);
  const lines = await screen.findByTestId('force-lines');
  expect(within(lines).getByText(/^2[0-9] N$/)).toBeTruthy();
  typeIn(screen.getByTestId('tare'), '1,5');
  expect(within(lines).getByText('The scale then shows')).toBeTruthy();
  fireEvent.click(screen.getByText('My bathroom scale'));
  typeIn(screen.getByTestId('reading-least'), '3.6');
  typeIn(screen.getByTestId('reading-most'), '4.2');
  expect(
    within(screen.getByTestId('steadiness')).getByText('That is the hand for it.'),
  ).toBeTruthy();
  typeIn(screen.getByTestId('reading-most'), '30');
  expect(screen.getByText(/^(Right on the whole|Too heavy)/)).toBeTruthy();
});

it('practises on the pretended scale without the pad', async () => {
  showRoom(<PressScreen />);
  await screen.findByTestId('force-lines');
  jest.useFakeTimers();
  fireEvent.click(screen.getByTestId('press-start'));
  for (let tenths = 0; tenths < 90; tenths++) {
    act(() => {
      jest.advanceTimersByTime(100);
    });
  }
  fireEvent.click(screen.getByTestId('let-go'));
  jest.useRealTimers();
  expect(
    within(screen.getByTestId('steadiness')).getByText('That is the hand for it.'),
  ).toBeTruthy();
});

it('goes the way down in order', async () => {
  showRoom(<ThroughScreen />);
  const moments = within(await screen.findByTestId('moments'));
  expect(moments.getByText('Seat')).toBeTruthy();
  expect(moments.getByText('Through')).toBeTruthy();
});

it('weighs hiring against buying, by one’s own prices', async () => {
  showRoom(<HireScreen />);
  expect(await screen.findByTestId('hire-verdict')).toBeTruthy();
  typeIn(screen.getByTestId('price-orderedHoleMoney'), '0.1');
  typeIn(screen.getByTestId('price-orderedTripMoney'), '0');
  expect(
    await screen.findByText('For one hole, have it drilled costs least, and it stays so up to 60.'),
  ).toBeTruthy();
});

it('types a force on the working window, and gives the pace its own back', async () => {
  const log = showRoom(<WindowScreen />);
  const force = await screen.findByTestId('window-force');
  typeIn(force, '40');
  await waitFor(() => expect(puts(log, '/holes/h1').length).toBeGreaterThan(0));
  const { setup } = puts(log, '/holes/h1').at(-1)?.body as {
    setup: { contactPressureMpa: number };
  };
  expect(setup.contactPressureMpa).toBeCloseTo(0.5906, 3);
  fireEvent.click(await screen.findByTestId('window-clear'));
  await waitFor(() =>
    expect(puts(log, '/holes/h1').at(-1)?.body?.['setup']).not.toHaveProperty('contactPressureMpa'),
  );
});
