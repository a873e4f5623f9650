import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { fakeApi, type Sent } from '../../testingApi';
import { NewHoleScreen } from './NewHoleScreen';

const mockReplace = jest.fn();
const mockParams: { jobId?: string } = {};
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: jest.fn(), replace: mockReplace }),
  useLocalSearchParams: () => mockParams,
}));

const tap = (...words: string[]): void => {
  for (const word of words) fireEvent.click(screen.getByText(word));
};
const puts = (log: readonly Sent[]): Sent[] => log.filter((sent) => sent.method === 'PUT');

beforeEach(() => {
  mockReplace.mockReset();
  delete mockParams.jobId;
});

it('asks four things of glass and makes job, piece and hole', async () => {
  const log = fakeApi();
  show(<NewHoleScreen />);
  tap('Glass', 'Float glass', '6 mm', 'Annealed: label or maker says so', '10 mm');
  await waitFor(() => expect(mockReplace).toHaveBeenCalled());
  const [job, piece, hole] = puts(log);
  expect(puts(log)).toHaveLength(3);
  expect(job?.body).toEqual({ name: 'Float glass sheet', version: 0 });
  expect(piece?.body).toMatchObject({ thicknessMm: 6, glassTreatment: 'annealed', form: 'sheet' });
  expect(hole?.body).toMatchObject({
    diameterMm: 10,
    depth: { kind: 'through' },
    xMm: 150,
    yMm: 100,
  });
  expect(mockReplace.mock.calls[0]?.[0]).toMatch(/^\/jobs\/.+\/holes\/.+/);
});

it('asks stone nothing of treatment, joins the job it came from, and takes a size of its own', async () => {
  mockParams.jobId = 'j1';
  const log = fakeApi();
  show(<NewHoleScreen />);
  tap('Stone', 'Slate', '10 mm');
  expect(screen.getByText('How big a hole?')).toBeTruthy();
  typeIn(screen.getByTestId('other-size'), '1/2 in');
  tap('Use this');
  await waitFor(() => expect(mockReplace).toHaveBeenCalled());
  expect(puts(log).map((sent) => sent.path.split('/')[1])).toEqual(['jobs', 'pieces']);
  expect(puts(log)[1]?.body?.diameterMm).toBeCloseTo(12.7);
});

it('steps back a question at a time', () => {
  fakeApi();
  show(<NewHoleScreen />);
  tap('Glass', 'Float glass', '6 mm');
  expect(screen.getByText('How was the glass treated?')).toBeTruthy();
  tap('Back a question');
  expect(screen.getByText('How thick is it?')).toBeTruthy();
  tap('Back a question');
  expect(screen.getByText('What is it made of?')).toBeTruthy();
});

it('keeps the answers when the server is away, and makes it on the next try', async () => {
  let away = true;
  fakeApi(({ method }) => (method === 'PUT' && away ? { status: 0, body: null } : undefined));
  show(<NewHoleScreen />);
  tap('Stone', 'Marble', '20 mm', '35 mm');
  expect(await screen.findByText(/Your answers are still here/)).toBeTruthy();
  away = false;
  tap('Try again');
  await waitFor(() => expect(mockReplace).toHaveBeenCalled());
});
