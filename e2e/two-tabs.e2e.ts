import { expect, test } from '@playwright/test';
import { isSaved, openFold, ownJob } from './demoJob';

test(
  'the second of two tabs sees both versions and chooses',
  { tag: '@once' },
  async ({ context, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Two tabs');
    const [first, second] = [await context.newPage(), await context.newPage()];
    // Neither hears of the other’s change before it makes its own.
    await context.route('**/api/v1/news', (route) => route.abort());
    for (const page of [first, second]) {
      await page.bringToFront();
      await page.goto(`/jobs/${jobId}`);
      await page.getByText('Arbor').first().click();
      await openFold(page, 'hole');
    }
    await first.bringToFront();
    await first.getByTestId('diameter').fill('23');
    await first.getByTestId('diameter').press('Enter');
    await isSaved(first);

    await second.bringToFront();
    await second.getByTestId('diameter').fill('24');
    await second.getByTestId('diameter').press('Enter');
    await expect(second.getByTestId('conflict')).toContainText('24 mm');
    await expect(second.getByTestId('conflict')).toContainText('23 mm');
    await second.getByRole('button', { name: 'Keep mine' }).click();
    await isSaved(second);
    await first.bringToFront();
    await first.reload();
    await expect(first.getByTestId('walk')).toContainText('24 mm through');

    await openFold(first, 'hole');
    await first.getByTestId('diameter').fill('25');
    await first.getByTestId('diameter').press('Enter');
    await isSaved(first);
    await second.bringToFront();
    await second.getByTestId('diameter').fill('26');
    await second.getByTestId('diameter').press('Enter');
    await second.getByRole('button', { name: 'Take theirs' }).click();
    await isSaved(second);
    await expect(second.getByTestId('diameter')).toHaveValue('25 mm');
    // The other choice is one step back, and is saved as it stands there.
    await second.getByTestId('undo').click();
    await expect(second.getByTestId('diameter')).toHaveValue('26 mm');
    await isSaved(second);
  },
);

test(
  'two people change different things of a hole, and nobody is asked',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Two people');
    await page.goto(`/jobs/${jobId}`);
    await page.getByText('Arbor').first().click();
    await openFold(page, 'hole');
    const holeId = /holes\/([^/?]+)/.exec(page.url())?.[1] ?? '';
    const read = async () =>
      (await (await request.get(`/api/v1/holes/${holeId}`)).json()) as {
        hole: Record<string, unknown> & { pieceId: string };
      };
    const { id: _id, pieceId, updatedAt: _at, ...fields } = (await read()).hole;
    const address = `/api/v1/pieces/${pieceId}/holes/${holeId}`;
    await request.put(address, { data: { ...fields, label: 'Hand arbor' } });
    await page.getByTestId('diameter').fill('23');
    await page.getByTestId('diameter').press('Enter');
    await isSaved(page);
    await expect(page.getByTestId('conflict')).toHaveCount(0);
    expect((await read()).hole).toMatchObject({ label: 'Hand arbor', diameterMm: 23 });
  },
);

test('what is deleted elsewhere is said, and comes back from the bin', async ({
  page,
  request,
}) => {
  const jobId = await ownJob(request, '1-dial-house', `Deleted ${test.info().project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByText('Arbor').first().click();
  await openFold(page, 'hole');
  const holeId = /holes\/([^/?]+)/.exec(page.url())?.[1] ?? '';
  await request.delete(`/api/v1/holes/${holeId}`);
  await page.getByTestId('diameter').fill('23');
  await page.getByTestId('diameter').press('Enter');
  await expect(page.getByTestId('gone')).toContainText('was deleted');
  await page.getByTestId('bring-back').click();
  await isSaved(page);
  await expect(page.getByTestId('diameter')).toHaveValue('23 mm');

  await request.delete(`/api/v1/holes/${holeId}`);
  await page.goto(`/jobs/${jobId}`);
  await expect(page.getByText('Arbor')).toHaveCount(0);
  await page.getByTestId('job-bin').click();
  await expect(page.getByTestId('bin')).toContainText('Arbor');
  await page.getByTestId('restore-hole').click();
  await expect(page.getByText('The bin is empty')).toBeVisible();
  await page.goto(`/jobs/${jobId}`);
  await expect(page.getByText('Arbor').first()).toBeVisible();
});
