import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { show } from '../../testing';
import { fakeApi, type Sent } from '../../testingApi';
import { useUndo } from '../../ui/undoStore';
import { KitScreen } from './KitScreen';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }));
jest.mock('../display/displayStore', () => ({
  useUnits: () => ({ length: 'mm', force: 'N' }),
  useThemeName: () => 'light',
}));

const changes = (log: readonly Sent[]): Sent[] => log.filter((sent) => sent.method !== 'GET');
const open = async (log: readonly Sent[]): Promise<readonly Sent[]> => {
  show(<KitScreen />);
  await screen.findByText('Cup saw 22');
  return log;
};

it('lists what is owned', async () => {
  await open(fakeApi());
  expect(screen.getByText('Plated cup saw, 22 mm')).toBeTruthy();
  expect(screen.getByText('Bench drill press')).toBeTruthy();
});

it('names a new bit for its family and size, and saves just what was said', async () => {
  const log = await open(fakeApi());
  fireEvent.press(screen.getByText('Add a bit'));
  fireEvent.press(screen.getByText('Sintered core'));
  fireEvent.changeText(screen.getByTestId('bit-diameter'), '35');
  fireEvent.press(screen.getByTestId('kit-save'));
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
  fireEvent.press(screen.getByText('Cup saw 22'));
  fireEvent.changeText(screen.getByTestId('bit-sharpness'), '0.7');
  fireEvent.press(screen.getByTestId('kit-save'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]).toMatchObject({
    path: '/bits/b1',
    body: { sharpness: 0.7, version: 1, name: 'Cup saw 22' },
  });
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
  fireEvent.press(screen.getByText('Tube 6'));
  fireEvent.press(screen.getByTestId('kit-save'));
  expect(await screen.findByText('A rim 14 mm wide does not fit.')).toBeTruthy();
});

it('puts a bit away and offers it back', async () => {
  const log = await open(fakeApi());
  fireEvent.press(screen.getByText('Tube 6'));
  fireEvent.press(screen.getByText('Put away'));
  await waitFor(() =>
    expect(useUndo.getState().offer?.message).toBe('Put away “Tube 6” from your bits.'),
  );
  await useUndo.getState().offer?.undo();
  expect(changes(log).map((sent) => `${sent.method} ${sent.path}`)).toEqual([
    'DELETE /bits/b2',
    'POST /bits/b2/restore',
  ]);
});

it('refuses speeds it cannot read, and saves those it can', async () => {
  const log = await open(fakeApi());
  fireEvent.press(screen.getByText('Add a machine'));
  fireEvent.changeText(screen.getByTestId('machine-speeds'), 'fast');
  expect(screen.getByText(/“fast” will not do/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('kit-save'));
  expect(changes(log)).toEqual([]);
  fireEvent.changeText(screen.getByTestId('machine-speeds'), '400, 900');
  fireEvent.press(screen.getByTestId('kit-save'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]?.body).toMatchObject({
    name: 'Cordless drill',
    kind: 'cordless-drill',
    speeds: { kind: 'steps', rpm: [400, 900] },
  });
});
