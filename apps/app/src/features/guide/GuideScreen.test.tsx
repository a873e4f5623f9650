import { screen, waitFor, within } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { fakeApi, ownThreadPlanner } from '../../testingApi';
import { PlannerProvider } from '../../workers/PlannerProvider';
import { GuideScreen } from './GuideScreen';

jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: jest.fn() }),
  useLocalSearchParams: () => ({ jobId: 'j1', holeId: 'h1' }),
}));

it('calculates the guide and puts it into the hole’s setup', async () => {
  const log = fakeApi();
  show(
    <PlannerProvider planner={ownThreadPlanner}>
      <GuideScreen />
    </PlannerProvider>,
  );
  typeIn(await screen.findByTestId('guide-thickness'), '25');
  typeIn(screen.getByTestId('guide-clearance'), '0.5');
  // 6 × 0.5/25 and half the play: 0.12 + 0.25.
  expect(within(screen.getByTestId('guide-board')).getByText(/^0.37 mm after 6 mm/)).toBeTruthy();
  await waitFor(() => {
    const sent = log.filter(({ method, path }) => method === 'PUT' && path.includes('/holes/h1'));
    expect(sent.at(-1)?.body).toMatchObject({
      setup: { hold: 'guided', guide: { kind: 'board', thicknessMm: 25, clearanceMm: 0.5 } },
    });
  });
  typeIn(screen.getByTestId('fall-one-in'), '100');
  expect(within(screen.getByTestId('fall')).getByText('3 mm under one end of 300 mm')).toBeTruthy();
});
