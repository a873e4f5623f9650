import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show } from '../../testing';
import { DETAIL, fakeApi, ownThreadPlanner, PIECE, type Sent } from '../../testingApi';
import { PlannerProvider } from '../../workers/PlannerProvider';
import { InsteadScreen } from './InsteadScreen';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate }),
  useLocalSearchParams: () => ({ jobId: 'j1', holeId: 'h1' }),
}));

function open(glassTreatment: string): Sent[] {
  const log = fakeApi((sent) =>
    sent.method === 'GET' && sent.path === '/holes/h1'
      ? { status: 200, body: { ...DETAIL, piece: { ...PIECE, glassTreatment } } }
      : undefined,
  );
  show(
    <PlannerProvider planner={ownThreadPlanner}>
      <InsteadScreen />
    </PlannerProvider>,
  );
  return log;
}

it('is honest about what would burst, and offers no practice on it', async () => {
  open('tempered');
  expect(await screen.findByTestId('instead-must')).toBeTruthy();
  expect(screen.getByText('Order it made with the hole')).toBeTruthy();
  expect(screen.queryByTestId('add-practice')).toBeNull();
});

it('leads from an unknown pane to finding out', async () => {
  open('unknown');
  fireEvent.click(await screen.findByTestId('find-out'));
  expect(mockNavigate).toHaveBeenCalledWith('/jobs/j1/holes/h1/know');
});

it('adds a practice piece of the same kind', async () => {
  const log = open('annealed');
  fireEvent.click(await screen.findByTestId('add-practice'));
  await waitFor(() => {
    const puts = log.filter((sent) => sent.method === 'PUT');
    expect(puts[0]?.body).toMatchObject({
      practice: true,
      name: 'Practice: Glass dial',
      version: 0,
    });
    expect(puts[1]?.body).toMatchObject({ label: 'Arbor, for practice', diameterMm: 22 });
  });
});
