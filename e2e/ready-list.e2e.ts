import { expect, test, type Page } from '@playwright/test';
import { isSaved, ownJob } from './demoJob';

async function openReady(page: Page, jobId: string, label: string): Promise<void> {
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId(`hole-${label}`).click();
  await page.getByTestId('drill').click();
  await expect(page.getByTestId('ready-items')).toBeVisible();
}
const tick = (page: Page, id: string) => page.getByTestId('ready-items').getByTestId(id);

test('what is answered once goes to every hole it covers, and may be taken back', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '4-yard', `Once ${info.project.name}`);
  await openReady(page, jobId, 'Rope');
  await tick(page, 'answer-rcd-tested').click();
  await tick(page, 'answer-eyes-covered').click();
  const there = page.getByTestId('answers-there');
  await expect(there).toContainText(
    'For Cord 2 in Second pebble, Cord 3 in Third pebble. Not for Yard drain in Yard slab',
  );
  await page.getByTestId('take-there').click();
  await expect(there).toBeHidden();

  await openReady(page, jobId, 'Cord 2');
  await expect(tick(page, 'answer-rcd-tested')).toHaveAttribute('aria-checked', 'true');
  await expect(tick(page, 'answer-eyes-covered')).toHaveAttribute('aria-checked', 'true');

  // The second pebble’s own answer is taken back, and offered again as it stands at the others.
  await tick(page, 'answer-rcd-tested').click();
  await expect(page.getByTestId('answers-here')).toContainText('Rope in Pebble for the bell rope');
  await page.getByTestId('answer-as-there').click();
  await expect(page.getByTestId('answers-here')).toBeHidden();
  await expect(tick(page, 'answer-rcd-tested')).toHaveAttribute('aria-checked', 'true');
  await isSaved(page);
});

test('answers taken to other holes are put back by undo', async ({ page, request }, info) => {
  const jobId = await ownJob(request, '4-yard', `Undone ${info.project.name}`);
  await openReady(page, jobId, 'Rope');
  await tick(page, 'answer-rcd-tested').click();
  await page.getByTestId('take-there').click();
  await expect(page.getByTestId('undo-bar')).toContainText('Answered at 2 places');
  await page.getByTestId('undo-bar').getByRole('button').first().click();
  await expect(page.getByTestId('answers-there')).toBeVisible();
});

test('ticks outlast a look at the bit and at the marks', async ({ page, request }, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Back ${info.project.name}`);
  await openReady(page, jobId, 'Stay, left');
  await tick(page, 'ready-light').click();
  await tick(page, 'answer-rcd-tested').click();
  await tick(page, 'ready-rotation').click();
  for (const helper of ['bit-check', 'marks']) {
    await page.getByTestId(`ready-open-${helper}`).click();
    await expect(page).not.toHaveURL(/\/ready$/);
    await page.goBack();
    await expect(page).toHaveURL(/\/ready$/);
    for (const id of ['ready-light', 'answer-rcd-tested', 'ready-rotation'])
      await expect(tick(page, id)).toHaveAttribute('aria-checked', 'true');
  }
});
