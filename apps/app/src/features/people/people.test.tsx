import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import type { Session } from '@nucleon/contract/people';
import { show, typeIn } from '../../testing';
import { fakeApi, type Sent } from '../../testingApi';
import { useReachable } from '../../api/reachable';
import { Button } from '../../ui/Button';
import { Small } from '../../ui/text';
import { deviceName } from './deviceName';
import { useLastSession } from './lastSession';
import { KeeperBar } from './KeeperBar';
import { Passkeys } from './Passkeys';
import { PeopleScreen } from './PeopleScreen';
import { WhoIsHere } from './WhoIsHere';

let mockPath = '/jobs/j1';
jest.mock('expo-router', () => ({
  usePathname: () => mockPath,
  useRouter: () => ({ navigate: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));
let mockKeeps = true;
const mockSignWithKey = jest.fn<Promise<object>, [object]>();
const mockMakeKey = jest.fn<Promise<object>, [object]>();
jest.mock('./passkeyDevice', () => ({
  ...jest.requireActual<object>('./passkeyDevice'),
  keepsPasskeys: () => mockKeeps,
  signWithKey: (options: object) => mockSignWithKey(options),
  makeKey: (options: object) => mockMakeKey(options),
}));
jest.mock('./lazyQrCode', () => ({ QrCode: () => null }));

const PERSON = {
  kind: 'person',
  personId: 'p1',
  deviceId: 'd1',
  name: 'Ida',
  role: 'owner',
  bench: false,
  locked: false,
} as const satisfies Session;
type Answer = { status: number; body: unknown };
const OK = { status: 204, body: null };

/** The server’s own answers for who asks, which a sign-in changes. */
function serverWith(first: Session, own: (sent: Sent) => Answer | undefined = () => undefined) {
  const state = { session: first };
  const log = fakeApi((sent) => {
    const answer = own(sent);
    if (answer) return answer;
    if (sent.path === '/session' && sent.method === 'GET')
      return { status: 200, body: state.session };
    return undefined;
  });
  return { state, log };
}
const behind = (
  <WhoIsHere>
    <Small>The job</Small>
  </WhoIsHere>
);

beforeEach(() => {
  mockPath = '/jobs/j1';
  localStorage.clear();
  useLastSession.setState({ session: null });
});

it('asks nobody on the workshop’s own computer', async () => {
  serverWith({ kind: 'local' });
  show(behind);
  expect(await screen.findByText('The job')).toBeTruthy();
});

it('asks a new device who it is, and opens what it came for once it knows', async () => {
  const { state, log } = serverWith({ kind: 'nobody', first: false }, ({ method, path, body }) => {
    if (method !== 'POST' || path !== '/session') return undefined;
    const detail = 'Name and password do not belong together.';
    if (body?.['password'] !== 'diamond and water')
      return {
        status: 422,
        body: {
          code: 'faulty',
          detail: `/password: ${detail}`,
          faults: [{ pointer: '/password', message: detail }],
        },
      };
    state.session = PERSON;
    return OK;
  });
  show(behind);
  typeIn(await screen.findByTestId('name'), 'Ida');
  typeIn(screen.getByTestId('password'), 'wrong');
  fireEvent.click(screen.getByTestId('enter'));
  await waitFor(() => {
    expect(screen.getByTestId('trouble').textContent).toBe(
      'Name and password do not belong together.',
    );
  });
  expect(screen.queryByText('The job')).toBeNull();
  typeIn(screen.getByTestId('password'), 'diamond and water');
  fireEvent.click(screen.getByTestId('enter'));
  expect(await screen.findByText('The job')).toBeTruthy();
  expect(log.filter(({ path, method }) => path === '/session' && method === 'POST')).toHaveLength(
    2,
  );
});

it('says where the owner’s link is while nobody has joined', async () => {
  serverWith({ kind: 'nobody', first: true });
  show(behind);
  expect(await screen.findByText(/The owner’s link was printed where/)).toBeTruthy();
  expect(screen.queryByTestId('enter')).toBeNull();
});

it('shows what begins, changes or deletes to those who may, and to others not', async () => {
  const { state } = serverWith(PERSON);
  const shown = (
    <WhoIsHere>
      <Button label="Delete" writes onPress={jest.fn()} />
      <Button label="Print" onPress={jest.fn()} />
    </WhoIsHere>
  );
  const { unmount } = show(shown);
  expect(await screen.findByText('Delete')).toBeTruthy();
  unmount();
  state.session = { ...PERSON, role: 'viewer' };
  useLastSession.setState({ session: null });
  show(shown);
  expect(await screen.findByText('Print')).toBeTruthy();
  expect(screen.queryByText('Delete')).toBeNull();
});

it('lets whoever has a link past the sign-in', async () => {
  mockPath = '/join';
  serverWith({ kind: 'nobody', first: false });
  show(behind);
  expect(await screen.findByText('The job')).toBeTruthy();
});

it('opens as who it was without a server, and asks anew when the server does', async () => {
  useLastSession.setState({ session: PERSON });
  let away = true;
  const { state } = serverWith(PERSON, () => (away ? { status: 0, body: null } : undefined));
  show(behind);
  expect(await screen.findByText('The job')).toBeTruthy();
  away = false;
  state.session = { kind: 'nobody', first: false };
  act(() => {
    useReachable.setState(({ asked }) => ({ asked: asked + 1 }));
  });
  expect(await screen.findByTestId('sign-in')).toBeTruthy();
});

it('asks a locked bench device for its PIN', async () => {
  const { state } = serverWith({ ...PERSON, bench: true, locked: true }, ({ path, body }) => {
    if (path !== '/session/unlock') return undefined;
    expect(body).toEqual({ pin: '4711' });
    state.session = { ...PERSON, bench: true };
    return OK;
  });
  show(behind);
  typeIn(await screen.findByTestId('pin'), '4711');
  fireEvent.click(screen.getByTestId('unlock'));
  expect(await screen.findByText('The job')).toBeTruthy();
});

it('invites by a link whose secret stands after #, and takes somebody out by two taps', async () => {
  const token = 'x'.repeat(43);
  const people = {
    people: [
      { id: 'p1', name: 'Ida', role: 'owner', joinedAt: '', leftAt: null },
      { id: 'p2', name: 'Bo', role: 'worker', joinedAt: '', leftAt: null },
    ],
    invitations: [],
  };
  const { log } = serverWith(PERSON, ({ method, path }) => {
    if (path === '/people') return { status: 200, body: people };
    if (path === '/devices') return { status: 200, body: { items: [] } };
    if (method === 'POST' && path === '/invitations')
      return { status: 201, body: { id: 'i1', role: 'viewer', madeBy: 'Ida', until: '', token } };
    return undefined;
  });
  show(<PeopleScreen />);
  await screen.findByTestId('person-Bo');
  fireEvent.click(screen.getAllByText('Reads').at(-1) as HTMLElement);
  fireEvent.click(screen.getByTestId('invite'));
  expect((await screen.findByTestId('invitation-link')).textContent).toBe(
    `${location.origin}/join#${token}`,
  );
  expect(log.find(({ path }) => path === '/invitations')?.body).toEqual({ role: 'viewer' });
  fireEvent.click(screen.getByText('Remove'));
  expect(log.some(({ method }) => method === 'DELETE')).toBe(false);
  fireEvent.click(screen.getByText('Remove Bo? Tap again.'));
  await waitFor(() => {
    expect(log.some(({ method, path }) => method === 'DELETE' && path === '/people/p2')).toBe(true);
  });
});

it('invites nobody to a server that answers its own machine alone, and says how it lets others in', async () => {
  const { log } = serverWith({ kind: 'local' }, () => undefined);
  show(<PeopleScreen />);
  expect(await screen.findByText('Nobody signs in on this computer')).toBeVisible();
  expect(screen.getByText(/To let phones in, start it with/)).toBeVisible();
  expect(screen.queryByTestId('invite')).toBeNull();
  expect(log.every(({ path }) => path === '/session')).toBe(true);
});

it('says that the server does not answer, rather than that nobody signs in', async () => {
  fakeApi(() => ({ status: 0, body: null }));
  show(<PeopleScreen />);
  expect((await screen.findByTestId('failed')).textContent).toContain('server cannot be reached');
  expect(screen.queryByText('Nobody signs in on this computer')).toBeNull();
});

it('tells whoever keeps the server that its disk is nearly full, and nobody else', async () => {
  const disk = { freeBytes: 4.3e8, totalBytes: 1e11, low: true };
  const { state, log } = serverWith({ kind: 'local' }, ({ path }) =>
    path === '/metrics' ? { status: 200, body: { disk } } : undefined,
  );
  const { unmount } = show(<KeeperBar />);
  expect((await screen.findByTestId('low-disk')).textContent).toContain('Only 430 MB are left');
  unmount();
  log.length = 0;
  state.session = { ...PERSON, role: 'worker' };
  useLastSession.setState({ session: null });
  show(<KeeperBar />);
  await waitFor(() => {
    expect(useLastSession.getState().session).toEqual(state.session);
  });
  expect(log.some(({ path }) => path === '/metrics')).toBe(false);
});

it('calls a device by what it is', () => {
  expect(deviceName('Mozilla/5.0 (iPhone; CPU iPhone OS 19_0)')).toBe('iPhone');
  expect(deviceName('Mozilla/5.0 (Linux; Android 15)')).toBe('Android');
  expect(deviceName('curl')).toBe('');
});

describe('passkeys', () => {
  const SIGNED = { id: 'k', clientDataJSON: 'c', authenticatorData: 'a', signature: 's' };
  const MADE = { id: 'k', transports: ['internal'], clientDataJSON: 'c', attestationObject: 'o' };

  it('signs in with a key of the device, and says where none is given', async () => {
    const { state, log } = serverWith({ kind: 'nobody', first: false }, ({ method, path }) => {
      if (path === '/session/passkey/options') return { status: 200, body: { challenge: 'x' } };
      if (method !== 'POST' || path !== '/session/passkey') return undefined;
      state.session = PERSON;
      return { status: 200, body: { name: 'Ida' } };
    });
    mockSignWithKey.mockRejectedValueOnce(new Error('No passkey was given.'));
    show(behind);
    fireEvent.click(await screen.findByTestId('enter-by-passkey'));
    expect(await screen.findByText('No passkey was given.')).toBeTruthy();
    mockSignWithKey.mockResolvedValueOnce(SIGNED);
    fireEvent.click(screen.getByTestId('enter-by-passkey'));
    expect(await screen.findByText('The job')).toBeTruthy();
    expect(mockSignWithKey).toHaveBeenLastCalledWith({ challenge: 'x' });
    expect(log.find(({ path }) => path === '/session/passkey')?.body).toMatchObject({
      credential: SIGNED,
    });
  });

  it('adds one with the password, and takes it off', async () => {
    const keys: { id: string; name: string }[] = [];
    serverWith(PERSON, ({ method, path, body }) => {
      const at = { site: 'drill.local', since: '2026-11-29T08:00:00Z', usedAt: null };
      if (path === '/session/passkeys' && method === 'GET')
        return { status: 200, body: { items: keys.map((one) => ({ ...one, ...at })) } };
      if (path === '/session/passkeys/options')
        return { status: 200, body: { challenge: body?.['password'] } };
      if (path === '/session/passkeys') keys.push({ id: 'k1', name: 'Phone' });
      else if (path === '/session/passkeys/k1') keys.pop();
      else return undefined;
      return { status: 201, body: { id: 'k1' } };
    });
    mockMakeKey.mockResolvedValueOnce(MADE);
    show(<Passkeys />);
    fireEvent.click(screen.getByTestId('passkeys'));
    typeIn(await screen.findByTestId('passkey-password'), 'diamond and water');
    fireEvent.click(screen.getByTestId('add-passkey'));
    expect(await screen.findByText(/for drill\.local, since/)).toBeTruthy();
    expect(mockMakeKey).toHaveBeenCalledWith({ challenge: 'diamond and water' });
    fireEvent.click(screen.getByLabelText('Remove: Phone'));
    expect(await screen.findByText('None yet.')).toBeTruthy();
  });

  it('says where one could be added, at an address that keeps none', async () => {
    const addresses = [
      'https://192.168.1.5:4180',
      'https://bench:4180',
      'https://bench.local:4180',
    ];
    serverWith(PERSON, ({ path }) => {
      if (path === '/session/passkeys') return { status: 200, body: { items: [] } };
      return path === '/reach' ? { status: 200, body: { addresses } } : undefined;
    });
    mockKeeps = false;
    show(<Passkeys />);
    fireEvent.click(screen.getByTestId('passkeys'));
    expect(await screen.findByText(/Open Nucleon at https:\/\/bench\.local:4180 to/)).toBeTruthy();
    mockKeeps = true;
  });
});
