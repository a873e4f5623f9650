import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { fakeApi } from '../../testingApi';
import { MaterialsScreen } from './MaterialsScreen';

jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: jest.fn() }),
  useLocalSearchParams: () => ({ jobId: 'j1' }),
}));

async function copySlate(): Promise<void> {
  show(<MaterialsScreen />);
  fireEvent.click(await screen.findByTestId('copy-material'));
  fireEvent.click(screen.getByText('Stone'));
  fireEvent.click(screen.getByText('Slate'));
}

it('copies a material with every column and stores what was changed', async () => {
  const log = fakeApi();
  await copySlate();
  typeIn(screen.getByTestId('column-specificEnergyJPerMm3'), '3.6');
  typeIn(screen.getByTestId('column-youngModulusMpa'), '70');
  fireEvent.click(screen.getByTestId('kit-save'));
  await waitFor(() => {
    const put = log.find((sent) => sent.method === 'PUT');
    expect(put?.path).toBe('/jobs/j1/materials');
    expect(put?.body).toMatchObject({
      version: 1,
      customMaterials: [
        { name: 'Slate, our own', specificEnergyJPerMm3: 3.6, youngModulusMpa: 70_000, mohs: 4 },
      ],
    });
  });
});

it('says what the server will not take', async () => {
  fakeApi((sent) =>
    sent.method === 'PUT'
      ? {
          status: 422,
          body: { code: 'faulty', status: 422, detail: 'best is under low; they must rise.' },
        }
      : undefined,
  );
  await copySlate();
  typeIn(screen.getByTestId('column-pressureMpa-best'), '0.01');
  fireEvent.click(screen.getByTestId('kit-save'));
  expect(await screen.findByText('best is under low; they must rise.')).toBeTruthy();
});
