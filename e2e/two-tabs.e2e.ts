import { expect, test } from '@playwright/test';
import { isSaved, openFold, ownJob } from './demoJob';

test(
  'the second of two tabs sees both versions and chooses',
  { tag: '@once' },
  async ({ context, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Two tabs');
    const [first, second] = [await context.newPage(), await context.newPage()];
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
  },
);
