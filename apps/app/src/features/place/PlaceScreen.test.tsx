import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { fakeApi, HOLE, PIECE, DETAIL, type Sent } from '../../testingApi';
import { MarksScreen } from '../marks/MarksScreen';
import PlaceScreen from './PlaceScreen';

jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: jest.fn() }),
  useLocalSearchParams: () => ({ jobId: 'j1', pieceId: 'p1', hole: 'h1' }),
}));

const layout = { job: DETAIL.job, piece: PIECE, holes: [HOLE] };
const sentLayouts = (log: readonly Sent[]) =>
  log.filter(({ method, path }) => method === 'PUT' && path === '/pieces/p1/layout');

it('types a place, hears the rule, and sends just that hole', async () => {
  const log = fakeApi();
  show(<PlaceScreen />);
  typeIn(await screen.findByTestId('place-x'), '20');
  expect(within(screen.getByTestId('edges')).getByText(/9 mm here, 12 mm wanted/)).toBeTruthy();
  await waitFor(() => {
    expect(sentLayouts(log)[0]?.body).toMatchObject({ holes: [{ id: 'h1', xMm: 20, version: 1 }] });
  });
});

it('sends nothing while a hole lies off the piece, and says which', async () => {
  const log = fakeApi();
  show(<PlaceScreen />);
  typeIn(await screen.findByTestId('place-x'), '3');
  expect(await screen.findByText(/runs over the edge|lies outside/)).toBeTruthy();
  await new Promise((done) => setTimeout(done, 800));
  expect(sentLayouts(log)).toHaveLength(0);
});

it('puts what others moved together with this, and offers both where it is the same', async () => {
  const theirs = { ...layout, holes: [{ ...HOLE, xMm: 150, yMm: 90, version: 4 }] };
  let asked = 0;
  fakeApi(({ method, path }) => {
    if (path !== '/pieces/p1/layout') return undefined;
    if (method === 'PUT')
      return { status: 409, body: { code: 'conflict', detail: 'Changed.', status: 409 } };
    asked += 1;
    return { status: 200, body: asked === 1 ? layout : theirs };
  });
  show(<PlaceScreen />);
  typeIn(await screen.findByTestId('place-y'), '200');
  fireEvent.blur(screen.getByTestId('place-y'));
  fireEvent.click(await screen.findByText('Take theirs'));
  await waitFor(() => {
    expect(screen.getByTestId('place-x')).toHaveValue('150 mm');
  });
  expect(screen.getByTestId('place-y')).toHaveValue('90 mm');
});

it('says where a failed fetch stands and tries again', async () => {
  fakeApi(({ path }) => (path === '/pieces/p1/layout' ? { status: 0, body: null } : undefined));
  show(<PlaceScreen />);
  expect(await screen.findByTestId('failed')).toBeTruthy();
});

it('checks a mark against the plan and stores what was measured', async () => {
  const log = fakeApi();
  show(<MarksScreen />);
  typeIn(await screen.findByTestId('measured-firstMm-1'), '210');
  typeIn(screen.getByTestId('measured-secondMm-1'), '210');
  expect(screen.getByTestId('check-1')).toBeTruthy();
  await waitFor(() => {
    expect(sentLayouts(log).at(-1)?.body).toMatchObject({
      holes: [{ id: 'h1', mark: { measured: { firstMm: 210, secondMm: 210 } } }],
    });
  });
});
