import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ReactElement } from 'react';
import { show, typeIn } from '../../testing';
import {
  BITS,
  DETAIL,
  fakeApi,
  MACHINES,
  ownThreadPlanner,
  PIECE,
  type Sent,
} from '../../testingApi';
import { PlannerProvider } from '../../workers/PlannerProvider';
import { stressView } from '../../workers/stressView';
import { TASKS } from '../../workers/tasks';
import { WaterScreen } from '../water/WaterScreen';
import { pointAt, xOf, yOf } from '../../drawing/faceView';
import { heldView } from './heldView';
import { HeldScreen } from './HeldScreen';
import { oddsShade } from './oddsShade';

jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: jest.fn() }),
  useLocalSearchParams: () => ({ jobId: 'j1', holeId: 'h1' }),
}));
// The chart's library and the map's gestures run for real in the journeys.
jest.mock('../water/RimChart', () => ({ __esModule: true, default: () => null }));

const showRoom = (screenOf: ReactElement, log = fakeApi()): readonly Sent[] => {
  show(<PlannerProvider planner={ownThreadPlanner}>{screenOf}</PlannerProvider>);
  return log;
};
const lastSetup = (log: readonly Sent[]): unknown =>
  log.filter(({ method, path }) => method === 'PUT' && path.includes('/holes/h1')).at(-1)?.body
    ?.setup;

it('says what bends, and takes pads, clamps and a board into the plan', async () => {
  const log = showRoom(<HeldScreen />);
  expect(await screen.findByTestId('held-text')).toHaveTextContent(
    /% of the allowable stress of 8.8 MPa.*far face/,
  );
  fireEvent.click(screen.getByTestId('add-pad'));
  fireEvent.click(screen.getByTestId('add-clamp'));
  fireEvent.click(screen.getByTestId('add-board'));
  typeIn(screen.getByTestId('twist'), '0.3');
  await waitFor(() =>
    expect(lastSetup(log)).toMatchObject({
      support: {
        kind: 'plywood',
        twistMm: 0.3,
        pads: [{ widthMm: 84, heightMm: 84 }],
        clamps: [{ padDiameterMm: 20, forceN: 50 }],
        boards: [{ thicknessMm: 18 }],
      },
    }),
  );
  // One pad in a corner does not hold a hole in the middle.
  await waitFor(() => expect(screen.getByTestId('held-text')).toHaveTextContent(/^It tips/));
  fireEvent.click(screen.getByTestId('whole-bed'));
  await waitFor(() => expect(screen.getByTestId('held-text')).toHaveTextContent(/loses touch/));
});

it('ranks what it could lie on, and lays it there', async () => {
  const log = showRoom(<HeldScreen />);
  const row = await screen.findByTestId('support-sacrificial-hard');
  expect(within(row).getByText(/Needs a piece as flat as it is/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('use-support-sacrificial-hard'));
  await waitFor(() =>
    expect(lastSetup(log)).toMatchObject({ support: { kind: 'sacrificial-hard' } }),
  );
  fireEvent.click(screen.getByTestId('all-supports'));
  expect(screen.getByTestId('support-sponge')).toBeTruthy();
});

it('sets the rules of thumb beside the stress', async () => {
  showRoom(<HeldScreen />);
  fireEvent.click(await screen.findByTestId('calculate-edges'));
  expect(await screen.findByText(/The rules of thumb also cover/)).toBeTruthy();
  expect(screen.getByText(/^Stricter than the stress: 12 mm/)).toBeTruthy();
}, 60_000);

it('holds a pot without a map, and a wall without a stress', async () => {
  const detail = {
    ...DETAIL,
    piece: {
      ...PIECE,
      form: 'vessel',
      material: 'stoneware',
      outline: { kind: 'cylinder', outerDiameterMm: 500, heightMm: 420 },
    },
  };
  showRoom(
    <HeldScreen />,
    fakeApi(({ method, path }) =>
      method === 'GET' && path === '/holes/h1' ? { status: 200, body: detail } : undefined,
    ),
  );
  expect(await screen.findByTestId('hold-cradle')).toBeTruthy();
  expect(screen.getByTestId('held-text')).toHaveTextContent(/A curved wall is stiffer/);
  expect(screen.queryByTestId('held-map')).toBeNull();
});

it('plans the water: how much, how clear, how hot, by what else', async () => {
  const log = showRoom(<WaterScreen />);
  expect(await screen.findByTestId('water-bath')).toHaveTextContent(/Pour .* L/);
  expect(screen.getByTestId('clearness')).toBeTruthy();
  expect(screen.getByTestId('rim-text')).toHaveTextContent(/5 s without water/);
  fireEvent.click(screen.getByText('20 s dry'));
  await waitFor(() =>
    expect(screen.getByTestId('rim-text')).toHaveTextContent(/20 s without water/),
  );
  expect(await screen.findByText(/no water swivel is in the kit/)).toBeTruthy();
  expect(within(screen.getByTestId('checks')).getByText('Mains power and water')).toBeTruthy();
  fireEvent.click(screen.getByTestId('use-means-drip'));
  await waitFor(() => expect(lastSetup(log)).toMatchObject({ water: { kind: 'drip' } }));
});

it('steps the map by one, two and five, up to the limit', () => {
  const { piece, hole, job } = DETAIL;
  const asked = {
    drillCase: {
      job,
      piece,
      hole,
      kit: { bits: BITS, machines: MACHINES },
      materials: [],
      habits: {},
    },
    units: { length: 'mm', force: 'N' },
  } as const;
  const outcome = TASKS.stress(asked);
  if (outcome.kind !== 'drawn') throw new Error('faulty');
  const steps = outcome.view.bands.map(({ mpa }) => Number(mpa.toPrecision(1)));
  expect(steps.length).toBeGreaterThan(2);
  for (const step of steps) expect(String(step)).toMatch(/^0?\.?0*[125]$|^[125]0*$/);
  expect(
    stressView(asked as never, () => ({
      bending: { kind: 'declined', why: 'thick' },
      field: null,
    })),
  ).toMatchObject({ view: { bands: [] } });
});

it('finds its way between the screen and the face', () => {
  const view = heldView({ widthMm: 400, heightMm: 300 }, 380, 460);
  const p = pointAt(view, xOf(view, 120), yOf(view, 80));
  expect(p.xMm).toBeCloseTo(120);
  expect(p.yMm).toBeCloseTo(80);
  expect(view.height).toBeLessThanOrEqual(460);
});

it('shades from the best to the worst, and evenly where all is alike', () => {
  const shade = oddsShade([0.001, NaN, 0.01]);
  expect(shade(0.001)).toBeLessThan(0.1);
  expect(shade(0.01)).toBeGreaterThan(0.8);
  const even = oddsShade([0.002, 0.0021]);
  expect(even(0.002)).toBe(even(0.0021));
});
