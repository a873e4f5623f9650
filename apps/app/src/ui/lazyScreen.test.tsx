import { fireEvent, screen } from '@testing-library/react';
import { routes } from '../routes';
import { show } from '../testing';
import { lazyScreen } from './lazyScreen';

const mockReplace = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ canGoBack: () => false, replace: mockReplace }),
  useLocalSearchParams: () => ({ jobId: 'j1' }),
}));

const Layout = () => <p>The layout</p>;

it('says that a screen did not come, leads back, asks for it again, and then keeps it', async () => {
  const load = jest
    .fn<Promise<{ default: typeof Layout }>, []>()
    .mockRejectedValueOnce(new Error('no server'))
    .mockResolvedValue({ default: Layout });
  const Screen = lazyScreen('Lay out', load);
  const first = show(<Screen />);
  expect(screen.getByRole('status')).toHaveTextContent('Fetching the page');
  expect(await screen.findByRole('alert')).toHaveTextContent('server cannot be reached');
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Lay out');
  fireEvent.click(screen.getByRole('button', { name: 'Back to the job' }));
  expect(mockReplace).toHaveBeenCalledWith(routes.job('j1'));
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(await screen.findByText('The layout')).toBeVisible();
  first.unmount();
  // At once, without being asked for.
  load.mockClear();
  show(<Screen />);
  expect(screen.getByText('The layout')).toBeVisible();
  expect(load).not.toHaveBeenCalled();
});

it('fetches a screen after the first page, before it is opened', async () => {
  jest.useFakeTimers();
  const load = jest.fn(() => Promise.resolve({ default: Layout }));
  const Screen = lazyScreen('Lay out', load);
  expect(load).not.toHaveBeenCalled();
  await jest.advanceTimersByTimeAsync(2000);
  expect(load).toHaveBeenCalledTimes(1);
  jest.useRealTimers();
  show(<Screen />);
  expect(screen.getByText('The layout')).toBeVisible();
});
