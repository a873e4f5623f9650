import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { DETAIL, fakeApi, ownThreadPlanner, PIECE, type Sent } from '../../testingApi';
import { PlannerProvider } from '../../workers/PlannerProvider';
import KnowScreen from './KnowScreen';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate, setParams: jest.fn() }),
  useLocalSearchParams: () => ({ jobId: 'j1', holeId: 'h1' }),
}));

async function open(piece: object = {}): Promise<Sent[]> {
  const log = fakeApi((sent) =>
    sent.method === 'GET' && sent.path === '/holes/h1'
      ? { status: 200, body: { ...DETAIL, piece: { ...PIECE, ...piece } } }
      : undefined,
  );
  show(
    <PlannerProvider planner={ownThreadPlanner}>
      <KnowScreen />
    </PlannerProvider>,
  );
  await screen.findByText(/^Step/);
  return log;
}
const pick = (testID: string, label: string | RegExp): void => {
  fireEvent.click(within(screen.getByTestId(testID)).getByText(label));
};
const lastPiece = (log: readonly Sent[]) =>
  log.filter((sent) => sent.method === 'PUT' && sent.path.includes('/pieces/p1')).at(-1)?.body;

it('leads one who knows through the facts to a summary, each stored', async () => {
  const log = await open();
  pick('know-kind', 'Glass');
  pick('know-material', 'Float glass');
  pick('know-treatment', 'Annealed');
  pick('know-form', 'Sheet');
  typeIn(screen.getByTestId('reading'), '5.8 mm');
  fireEvent.click(screen.getByTestId('add-reading'));
  typeIn(screen.getByTestId('reading'), '6,2');
  fireEvent.click(screen.getByTestId('add-reading'));
  expect(screen.getByText('6 mm, from 5.8 mm to 6.2 mm in 2 places')).toBeTruthy();
  fireEvent.click(screen.getByTestId('know-thickness-done'));
  pick('know-loose', /^Loose/);
  pick('know-damage', 'Chips at an edge');
  typeIn(screen.getByTestId('know-sheet'), 'pane of May');
  pick('know-spare', /spare or an offcut/);
  expect(screen.getByText('What is known now')).toBeTruthy();
  await waitFor(() => {
    expect(lastPiece(log)).toMatchObject({
      thicknessMm: 6,
      thicknessReadingsMm: [5.8, 6.2],
      assembled: false,
      damage: 'edge-chip',
      spareAvailable: true,
      sheet: 'pane of May',
    });
  });
});

it('helps one who does not: the stone is ranked, and not sure is an answer', async () => {
  const log = await open({ material: 'granite', glassTreatment: undefined });
  pick('know-kind', 'Stone, shell, gem');
  fireEvent.click(screen.getByTestId('know-help'));
  for (let i = 0; i < 8 && !screen.queryByTestId('found-not-sure'); i++) {
    if (screen.queryByText('What is the softest thing that scratches it?'))
      pick('know-answers', 'A quartz pebble');
    else fireEvent.click(screen.getByTestId('know-skip'));
  }
  expect(screen.getByText('Hardness between 6.6 and 7.1 on Mohs’ scale.')).toBeTruthy();
  fireEvent.click(screen.getByTestId('found-not-sure'));
  await waitFor(() => {
    const couldBe = lastPiece(log)?.couldBe as { material: string }[] | undefined;
    expect(couldBe?.length).toBeGreaterThan(1);
  });
});

it('goes on where it was left, and skips what is skipped', async () => {
  await open({
    knowing: {
      kind: 'glass',
      answers: { 'step:kind': 'glass', 'step:which': 'known', 'step:treatment': 'annealed' },
    },
  });
  expect(screen.getByText('What shape is it?')).toBeTruthy();
  fireEvent.click(screen.getByTestId('know-skip'));
  expect(screen.getByText('How thick is it there?')).toBeTruthy();
});

it('builds a wall up leaf by leaf', async () => {
  const log = await open({
    form: 'wall',
    material: 'clay-brick',
    thicknessMm: 102,
    outline: { kind: 'rectangle', widthMm: 1000, heightMm: 1000 },
    knowing: { kind: 'masonry', answers: { 'step:kind': 'masonry', 'step:form': 'wall' } },
  });
  fireEvent.click(screen.getByTestId('add-cavity'));
  typeIn(screen.getByTestId('leaf-thickness-2'), '70 mm');
  await waitFor(() => {
    expect(lastPiece(log)).toMatchObject({
      thicknessMm: 272,
      layers: [
        { material: 'clay-brick', thicknessMm: 102 },
        { material: 'cavity', thicknessMm: 70 },
        { material: 'lightweight-block', thicknessMm: 100 },
      ],
    });
  });
  fireEvent.click(screen.getByTestId('leaf-help'));
  expect(screen.getByText('A small test hole: what colour is the dust?')).toBeTruthy();
});
