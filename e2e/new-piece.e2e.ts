import { expect, test, type Locator } from '@playwright/test';

const MAX_TAPS = 10;
const MAX_MS = 40_000;

test('a person goes from nothing to a plan in a few taps', async ({ page }) => {
  let taps = 0;
  const tap = async (what: Locator): Promise<void> => {
    taps += 1;
    await what.click();
  };
  await page.goto('/');
  const began = Date.now();
  await tap(page.getByTestId('new-hole'));
  await tap(page.getByRole('radio', { name: 'Glass' }));
  await tap(page.getByRole('radio', { name: 'Float glass' }));
  await tap(page.getByRole('radio', { name: '6 mm', exact: true }));
  await tap(page.getByRole('radio', { name: /^Annealed/ }));
  await tap(page.getByRole('radio', { name: '10 mm', exact: true }));
  await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
  await expect(page.getByTestId('steps')).toContainText('Mark the hole');
  expect(taps).toBeLessThanOrEqual(MAX_TAPS);
  expect(Date.now() - began).toBeLessThan(MAX_MS);
});

test('glass nobody vouches for stops the plan until a test is recorded; tempered has no way round', async ({
  page,
}, info) => {
  await page.goto('/new');
  await page.getByRole('radio', { name: 'Glass' }).click();
  await page.getByRole('radio', { name: 'Float glass' }).click();
  await page.getByTestId('other-size').fill('5/32 in');
  await page.getByTestId('use-other').click();
  await page.getByRole('radio', { name: 'I do not know' }).click();
  await page.getByRole('radio', { name: '8 mm', exact: true }).click();
  await expect(page.getByTestId('gate-unknown-treatment')).toContainText(
    'Stop: Is this glass tempered?',
  );
  if (info.project.name === 'phone')
    await expect(page.getByTestId('live-bar')).toContainText('Stop');
  await page.getByTestId('answer-polariser-clear').click();
  await expect(page.getByTestId('checks')).toContainText('Polariser test clear');
  await expect(page.getByTestId('stops').getByTestId('gate-unknown-treatment')).toHaveCount(0);
  await expect(page.getByTestId('figure-feedForceN')).toContainText('Press with');
  await expect(page.getByTestId('save-mark')).toContainText('Saved');

  const fold = page.getByTestId('fold-piece');
  if ((await fold.getAttribute('aria-expanded')) !== 'true') await fold.click();
  await page.getByTestId('treatment').getByRole('radio', { name: 'Tempered' }).click();
  await expect(page.getByTestId('gate-strengthened-glass')).toContainText('no way round');
});

test('one who is not sure of the stone is led from the new hole to finding out @once', async ({
  page,
}) => {
  await page.goto('/new');
  await page.getByRole('radio', { name: 'Stone' }).click();
  await page.getByTestId('not-sure').click();
  await page.getByRole('radio', { name: '20 mm', exact: true }).click();
  await page.getByRole('radio', { name: '10 mm', exact: true }).click();
  await expect(page.locator('[data-testid^="know-at-q:"]')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the plan' }).click();
  await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
});
