import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { BITS, fakeApi, type Sent } from '../../testingApi';
import { INCH_POUND } from '@nucleon/core/data/unitSystem';
import { useDisplay } from '../display/displayStore';
import { useUndo } from '../../ui/undoStore';
import { KitScreen } from './KitScreen';

const mockParams: { shelf?: string; check?: string } = {};
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: jest.fn(), setParams: jest.fn() }),
  useLocalSearchParams: () => mockParams,
}));

const changes = (log: readonly Sent[]): Sent[] => log.filter((sent) => sent.method !== 'GET');
const open = async (
  log: readonly Sent[],
  params: typeof mockParams = {},
): Promise<readonly Sent[]> => {
  Object.assign(mockParams, { shelf: undefined, check: undefined }, params);
  show(<KitScreen />);
  await screen.findByTestId('kit-search');
  return log;
};

it('lists what is owned', async () => {
  await open(fakeApi());
  expect(screen.getByText('Plated cup saw, 22 mm')).toBeTruthy();
  expect(screen.getByText('Bits 2')).toBeTruthy();
});

it('takes a common bit in three taps, everything else as usual for its kind', async () => {
  const log = await open(fakeApi());
  fireEvent.click(screen.getByTestId('add-bit'));
  fireEvent.click(screen.getByText('Sintered core'));
  fireEvent.click(screen.getByText('12 mm'));
  fireEvent.click(screen.getByTestId('quick-add'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]?.body).toMatchObject({
    name: 'Sintered core 12 mm',
    family: 'sintered-core',
    diameterMm: 12,
    shank: { kind: 'round', sizeMm: 10 },
    state: 'new',
    version: 0,
  });
  expect(await screen.findByText(/is in your kit. Another\?/)).toBeTruthy();
});

it('names a new bit for its family and size, and saves just what was said', async () => {
  const log = await open(fakeApi());
  fireEvent.click(screen.getByTestId('add-bit'));
  fireEvent.click(screen.getByTestId('every-detail'));
  fireEvent.click(screen.getByText('Sintered core'));
  typeIn(screen.getByTestId('bit-diameter'), '35');
  fireEvent.click(screen.getByTestId('kit-save'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]?.body).toEqual({
    name: 'Sintered core 35 mm',
    family: 'sintered-core',
    diameterMm: 35,
    version: 0,
  });
});

it('changes an owned bit against the version it was read at', async () => {
  const log = await open(fakeApi());
  fireEvent.click(screen.getByText('Cup saw 22'));
  typeIn(screen.getByTestId('bit-sharpness'), '0.7');
  fireEvent.click(screen.getByTestId('kit-save'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]).toMatchObject({
    path: '/bits/b1',
    body: { sharpness: 0.7, version: 1, name: 'Cup saw 22' },
  });
  await waitFor(() => expect(screen.queryByTestId('kit-form')).toBeNull());
  expect(changes(log)).toHaveLength(1);
});

it('says what keeps a bit from being saved', async () => {
  await open(
    fakeApi(({ method }) =>
      method === 'PUT'
        ? {
            status: 422,
            body: { code: 'faulty', detail: 'A rim 14 mm wide does not fit.', status: 422 },
          }
        : undefined,
    ),
  );
  fireEvent.click(screen.getByText('Tube 6'));
  typeIn(screen.getByTestId('bit-name'), '');
  expect(screen.getByText('Give it a name: 1 to 120 characters.')).toBeTruthy();
  typeIn(screen.getByTestId('bit-name'), 'Tube 6, thick');
  fireEvent.click(screen.getByTestId('kit-save'));
  expect(await screen.findByText('A rim 14 mm wide does not fit.')).toBeTruthy();
});

it('deletes a bit and offers it back', async () => {
  const log = await open(fakeApi());
  fireEvent.click(screen.getByText('Tube 6'));
  fireEvent.click(screen.getByText('Delete'));
  await waitFor(() =>
    expect(useUndo.getState().offer?.message).toBe('Deleted “Tube 6” from your kit.'),
  );
  await useUndo.getState().offer?.undo();
  expect(changes(log).map((sent) => `${sent.method} ${sent.path}`)).toEqual([
    'DELETE /bits/b2',
    'POST /bits/b2/restore',
  ]);
});

it('refuses speeds it cannot read, and saves those it can', async () => {
  const log = await open(fakeApi(), { shelf: 'machines' });
  fireEvent.click(screen.getByText('Add a machine'));
  typeIn(screen.getByTestId('machine-speeds'), 'fast');
  expect(screen.getByText(/“fast” will not do/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('kit-save'));
  expect(changes(log)).toEqual([]);
  typeIn(screen.getByTestId('machine-speeds'), '400, 900');
  fireEvent.click(screen.getByTestId('kit-save'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]?.body).toMatchObject({
    name: 'Cordless drill',
    kind: 'cordless-drill',
    speeds: { kind: 'steps', rpm: [400, 900] },
  });
});

it('takes a torque in the person’s own unit', async () => {
  const metric = useDisplay.getState().units;
  useDisplay.setState({ units: INCH_POUND });
  const log = await open(fakeApi(), { shelf: 'machines' });
  fireEvent.click(screen.getByText('Add a machine'));
  expect(screen.getByText('Torque that stalls it, lbf·ft')).toBeTruthy();
  typeIn(screen.getByTestId('machine-torque'), '10');
  fireEvent.click(screen.getByTestId('kit-save'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  // 10 lbf·ft × 1.355818 N·m
  expect(changes(log)[0]?.body?.['stallTorqueNm']).toBeCloseTo(13.558, 3);
  useDisplay.setState({ units: metric });
});

it('finds by name, size or supplier, and keeps what is put away out of sight', async () => {
  const away = { ...BITS[1], id: 'b3', name: 'Old cup', supplier: 'Market', retired: true };
  await open(
    fakeApi(({ path }) =>
      path.startsWith('/bits')
        ? { status: 200, body: { items: [...BITS, away], page: 1, pageSize: 200, total: 3 } }
        : undefined,
    ),
  );
  expect(screen.queryByText('Old cup')).toBeNull();
  fireEvent.click(screen.getByTestId('show-away'));
  expect(screen.getByText('Old cup')).toBeTruthy();
  typeIn(screen.getByTestId('kit-search'), 'market');
  expect(screen.queryByText('Cup saw 22')).toBeNull();
  expect(screen.getByText('Old cup')).toBeTruthy();
  typeIn(screen.getByTestId('kit-search'), 'nothing');
  expect(screen.getByText('Nothing here is called “nothing”.')).toBeTruthy();
});

it('looks at a bit in four looks, and keeps what they say', async () => {
  const log = await open(fakeApi(), { check: 'b1' });
  fireEvent.click(screen.getByText('Wobbles a little'));
  fireEvent.click(screen.getByText('Smooth all round, it slides'));
  fireEvent.click(screen.getByText('Straight and clean'));
  fireEvent.click(screen.getByText('Clear'));
  expect(screen.getByTestId('verdict-dress')).toBeTruthy();
  fireEvent.click(screen.getByTestId('bit-dressed'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]).toMatchObject({
    path: '/bits/b1',
    body: {
      runOutMm: 0.2,
      sharpness: 0.95,
      state: 'good',
      sharpnessLog: [{ sharpness: 0.95, how: 'dressed' }],
    },
  });
});

it('adds an adapter with both its ends', async () => {
  const log = await open(fakeApi(), { shelf: 'couplings' });
  fireEvent.click(screen.getByTestId('add-couplings'));
  typeIn(screen.getByTestId('part-name'), 'Hex to M14');
  typeIn(screen.getByTestId('part-into-size'), '8');
  fireEvent.click(screen.getByTestId('kit-save'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]).toMatchObject({
    body: {
      name: 'Hex to M14',
      kind: 'adapter',
      into: { kind: 'hex', sizeMm: 8 },
      takes: { kind: 'thread-m14' },
      version: 0,
    },
  });
  expect(changes(log)[0]?.path).toMatch(/^\/kit\/couplings\//);
});

it('puts a bit that someone else changed together with what was typed, and asks about the same', async () => {
  const theirs = { ...BITS[0], supplier: 'Other shop', version: 9 };
  let puts = 0;
  const log = fakeApi(({ method, path, body }) => {
    if (method !== 'PUT' || !path.startsWith('/bits/')) return undefined;
    puts += 1;
    if (puts === 1)
      return { status: 409, body: { code: 'conflict', detail: '', status: 409, current: theirs } };
    return { status: 200, body: { ...body, id: 'b1', updatedAt: 't', version: 10 } };
  });
  await open(log);
  fireEvent.click(screen.getByText('Cup saw 22'));
  typeIn(await screen.findByTestId('bit-name'), 'Best cup saw');
  fireEvent.click(screen.getByTestId('kit-save'));
  await waitFor(() => expect(puts).toBe(2));
  const sent = log.filter(({ method }) => method === 'PUT').at(-1)?.body;
  expect(sent).toMatchObject({ name: 'Best cup saw', supplier: 'Other shop', version: 9 });
});

it('puts a bit away in two taps, and says why', async () => {
  const log = await open(fakeApi());
  fireEvent.click(screen.getByText('Cup saw 22'));
  fireEvent.click(screen.getByTestId('bit-retire'));
  expect(changes(log)).toHaveLength(0);
  fireEvent.click(screen.getByText('Worn out'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]).toMatchObject({
    path: '/bits/b1',
    body: { retired: true, retiredWhy: 'worn', version: 1 },
  });
});
