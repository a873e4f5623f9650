import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { fakeApi, HOLE, ownThreadPlanner, type Sent } from '../../testingApi';
import { MayWork } from '../../ui/mayWork';
import { PlannerProvider } from '../../workers/PlannerProvider';
import { HoleScreen } from './HoleScreen';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate }),
  useLocalSearchParams: () => ({ jobId: 'j1', holeId: 'h1' }),
}));

const open = async (mayWork = true): Promise<void> => {
  show(
    <MayWork value={mayWork}>
      <PlannerProvider planner={ownThreadPlanner}>
        <HoleScreen />
      </PlannerProvider>
    </MayWork>,
  );
  await screen.findByTestId('figure-feedForceN');
};
const puts = (log: readonly Sent[]): Sent[] => log.filter((sent) => sent.method === 'PUT');
const shown = (key: string) => within(screen.getByTestId(`figure-${key}`));
const saved = () => waitFor(() => screen.getByText('Saved'));

it('shows the plan of the stored hole, its parts folded to a line each', async () => {
  fakeApi();
  await open();
  expect(shown('feedForceN').getByText('24')).toBeTruthy();
  expect(shown('rpm').getByText('750')).toBeTruthy();
  expect(screen.getByText('Glass dial: Float glass, 6 mm, annealed')).toBeTruthy();
  expect(screen.getByText('22 mm through, at 210 mm × 210 mm')).toBeTruthy();
  expect(screen.getByText('Cup saw 22, Bench press, steady')).toBeTruthy();
  expect(screen.getByText('Still bath, plywood, press')).toBeTruthy();
});

it('follows a change at once and saves it with the version it was read at', async () => {
  const log = fakeApi();
  await open();
  fireEvent.click(screen.getByTestId('fold-setup'));
  fireEvent.click(within(screen.getByTestId('pace')).getByText('Gentle'));
  expect(await shown('feedForceN').findByText('10')).toBeTruthy();
  await saved();
  expect(puts(log)).toHaveLength(1);
  expect(puts(log)[0]).toMatchObject({
    path: '/pieces/p1/holes/h1',
    body: { version: 1, setup: { pace: 'gentle', bit: 'b1' } },
  });
});

it('plans what somebody tries who only reads, and sends nothing', async () => {
  const log = fakeApi();
  await open(false);
  fireEvent.click(screen.getByTestId('fold-setup'));
  fireEvent.click(within(screen.getByTestId('pace')).getByText('Gentle'));
  expect(await shown('feedForceN').findByText('10')).toBeTruthy();
  await new Promise((resolve) => setTimeout(resolve, 900));
  expect(puts(log)).toEqual([]);
  expect(screen.getByTestId('save-mark').textContent).toBe('Tried, not kept');
});

it('takes a change back and does it again', async () => {
  fakeApi();
  await open();
  fireEvent.click(screen.getByTestId('fold-piece'));
  typeIn(screen.getByTestId('thickness'), '10');
  expect(await screen.findByText('10 mm')).toBeTruthy();
  await waitFor(() => expect(shown('lifts').queryByText('10')).toBeNull());
  fireEvent.click(screen.getByTestId('undo'));
  expect(await shown('lifts').findByText('10')).toBeTruthy();
  fireEvent.click(screen.getByTestId('redo'));
  expect(await shown('lifts').findByText('18')).toBeTruthy();
});

it('says which values clash, shows no plan of others, drills and sends nothing until they agree', async () => {
  const log = fakeApi();
  await open();
  fireEvent.click(screen.getByTestId('fold-hole'));
  typeIn(screen.getByTestId('place-x'), '900');
  expect(await screen.findByText(/lies outside piece “Glass dial”/)).toBeTruthy();
  expect(screen.queryByTestId('figure-feedForceN')).toBeNull();
  expect(screen.queryByTestId('drill')).toBeNull();
  expect(screen.getByTestId('no-plan').textContent).toContain('change one of them');
  await new Promise((resolve) => setTimeout(resolve, 900));
  expect(puts(log)).toEqual([]);
  typeIn(screen.getByTestId('place-x'), '210');
  await waitFor(() => expect(shown('feedForceN').getByText('24')).toBeTruthy());
  expect(screen.getByTestId('drill')).toBeTruthy();
});

it('keeps an edit while the database is away and says so', async () => {
  fakeApi(({ method }) =>
    method === 'PUT'
      ? { status: 503, body: { code: 'database-unavailable', detail: '', status: 503 } }
      : undefined,
  );
  await open();
  fireEvent.click(screen.getByTestId('fold-water'));
  fireEvent.click(within(screen.getByTestId('hold')).getByText('Free hand'));
  expect(await screen.findByText(/cannot reach its database.*kept on this device/)).toBeTruthy();
  expect(screen.getByText('Kept here')).toBeTruthy();
});

it('shows both versions when someone else was first', async () => {
  let met = false;
  const log = fakeApi(({ method }) => {
    if (method !== 'PUT' || met) return undefined;
    met = true;
    return {
      status: 409,
      body: {
        code: 'conflict',
        detail: '',
        status: 409,
        current: { ...HOLE, diameterMm: 23, version: 2 },
      },
    };
  });
  await open();
  fireEvent.click(screen.getByTestId('fold-hole'));
  typeIn(screen.getByTestId('diameter'), '24');
  const conflict = within(await screen.findByTestId('conflict'));
  expect(conflict.getByText('24 mm')).toBeTruthy();
  expect(conflict.getByText('23 mm')).toBeTruthy();
  fireEvent.click(conflict.getByText('Keep mine'));
  await saved();
  expect(puts(log).at(-1)?.body).toMatchObject({ diameterMm: 24, version: 2 });
});

it('stops for tempered glass and records nothing of it as settled', async () => {
  fakeApi();
  await open();
  fireEvent.click(screen.getByTestId('fold-piece'));
  fireEvent.click(within(screen.getByTestId('treatment')).getByText('Tempered'));
  expect(await screen.findByTestId('gate-strengthened-glass')).toBeTruthy();
  expect(screen.getByTestId('live-bar')).toHaveTextContent(/Stop: Strengthened glass/);
});

it('says when there is no such hole', async () => {
  fakeApi(({ path }) =>
    path === '/holes/h1'
      ? { status: 404, body: { code: 'not-found', detail: 'There is no hole “h1”.', status: 404 } }
      : undefined,
  );
  show(
    <PlannerProvider planner={ownThreadPlanner}>
      <HoleScreen />
    </PlannerProvider>,
  );
  expect(await screen.findByText('There is no hole “h1”.')).toBeTruthy();
});
