import { fireEvent, screen, waitFor } from '@testing-library/react';
import { sendNewThings, useNewThings } from '../../api/newThings';
import { show, typeIn } from '../../testing';
import { fakeApi, type Sent } from '../../testingApi';
import { NewHoleScreen } from './NewHoleScreen';
import { lastStart } from './lastStart';

let mockParams: Record<string, string> = {};
let mockHere: () => void = () => undefined;
const mockReplace: jest.Mock<undefined, [string]> = jest.fn();
/** An address of the start itself is gone to at once, as a browser would. */
const mockGo = (to: string): void => {
  const address = new URL(to, 'http://here');
  if (address.pathname !== '/new') {
    mockReplace(to);
    return;
  }
  mockParams = Object.fromEntries(address.searchParams);
  mockHere();
};
jest.mock('expo-router', () => ({
  useRouter: () => ({
    navigate: jest.fn(),
    push: (to: string) => {
      mockGo(to);
    },
    replace: (to: string) => {
      mockGo(to);
    },
    canGoBack: () => false,
  }),
  useLocalSearchParams: () => mockParams,
}));

const START = '0192d0c0-0000-7000-8000-0000000000aa';

const tap = (...words: string[]): void => {
  for (const word of words) fireEvent.click(screen.getByText(word));
};
const puts = (log: readonly Sent[]): Sent[] => log.filter((sent) => sent.method === 'PUT');

function open(params: Record<string, string> = {}): void {
  mockParams = params;
  const { rerender } = show(<NewHoleScreen />);
  mockHere = () => {
    rerender(<NewHoleScreen />);
  };
}

beforeEach(() => {
  mockReplace.mockReset();
  localStorage.clear();
});

it('starts from the thing and asks only what it leaves open', async () => {
  const log = fakeApi();
  open();
  tap('Built tank', 'Annealed: label or maker says so', '600 × 300 × 300 mm', 'An end');
  tap('10 mm', '38 mm');
  await waitFor(() => expect(mockReplace).toHaveBeenCalled());
  const [job, piece, hole] = puts(log);
  expect(puts(log)).toHaveLength(3);
  expect(job?.body).toEqual({ name: 'Tank, end pane', version: 0 });
  expect(piece?.body).toMatchObject({ thicknessMm: 10, assembled: true, form: 'sheet' });
  expect(hole?.body).toMatchObject({ diameterMm: 38, xMm: 150, yMm: 205 });
  expect(mockReplace.mock.calls[0]?.[0]).toMatch(/^\/jobs\/.+\/holes\/.+/);
  expect(lastStart()?.answers.through).toBe('38');
});

it('takes a size of one’s own by Enter, and refuses what is none', async () => {
  const log = fakeApi();
  open({ jobId: 'j1', thing: 'worktop', make: 'granite', fixed: 'loose', thickness: '20' });
  const box = screen.getByTestId('measure-0');
  typeIn(box, '0.0001');
  expect(screen.getByText(/too little: at least 0.01 mm/)).toBeTruthy();
  fireEvent.keyDown(box, { key: 'Enter' });
  expect(puts(log)).toHaveLength(0);
  typeIn(box, '1/2 in');
  fireEvent.keyDown(box, { key: 'Enter' });
  await waitFor(() => expect(mockReplace).toHaveBeenCalled());
  expect(puts(log).map((sent) => sent.path.split('/')[1])).toEqual(['jobs', 'pieces']);
  expect(puts(log)[1]?.body?.diameterMm).toBeCloseTo(12.7);
});

it('steps back a question at a time, where there is no way back by itself', () => {
  fakeApi();
  open({ thing: 'bottle', make: 'container-glass', face: 'side' });
  expect(screen.getByText('How big is it?')).toBeTruthy();
  tap('Back a question');
  expect(screen.getByText('Where does the hole go?')).toBeTruthy();
  tap('Back a question', 'Back a question');
  expect(screen.getByText('What is it?')).toBeTruthy();
});

it('goes on without a server, and sends what was made once, in its order, when it answers', async () => {
  let away = true;
  const log = fakeApi(({ method, path }) =>
    method === 'PUT' && away && path.includes('/pieces') ? { status: 0, body: null } : undefined,
  );
  open({ thing: 'shell', size: '40', thickness: '2', place: 'end', through: '2', start: START });
  tap('2');
  await waitFor(() => expect(mockReplace).toHaveBeenCalled());
  const waiting = useNewThings.getState().waiting.map(({ path }) => path.split('/')[1]);
  expect(waiting).toEqual(['jobs', 'pieces', 'jobs', 'pieces']);
  away = false;
  await sendNewThings();
  expect(useNewThings.getState()).toEqual({ waiting: [], refused: null });
  const stored = puts(log).filter(({ path }) => path.includes('/holes/'));
  expect(stored).toHaveLength(2);
});

it('takes it for made where an earlier try got through', async () => {
  fakeApi(({ method }) =>
    method === 'PUT'
      ? { status: 409, body: { code: 'conflict', status: 409, detail: 'Changed.', current: {} } }
      : undefined,
  );
  open({
    thing: 'pot',
    make: 'not-sure',
    face: 'base',
    size: 'usual',
    thickness: '8',
    start: START,
  });
  tap('12 mm');
  await waitFor(() => expect(mockReplace).toHaveBeenCalled());
  expect(mockReplace.mock.calls.at(-1)?.[0]).toMatch(/\/know$/);
});

it('asks something else by its material, and not of treatment where nobody is sure', () => {
  fakeApi();
  open();
  tap('Something else', 'Glass');
  fireEvent.click(screen.getByTestId('not-sure'));
  expect(screen.getByText('How thick is it?')).toBeTruthy();
});
