import { expect, type Page } from '@playwright/test';

/** Answers the gates and ticks the list, then goes to the bench. Returns the run's id. */
export async function toTheBench(page: Page): Promise<string> {
  await expect(page.getByTestId('ready-items')).toBeVisible();
  await answerGates(page);
  const boxes = page
    .getByTestId('ready-items')
    .locator('[role=checkbox][aria-checked=false]:not([data-testid^="packed-"])');
  for (let left = await boxes.count(); left > 0; left = await boxes.count()) {
    await boxes.first().click();
    await expect.poll(() => boxes.count()).toBeLessThan(left);
  }
  const begin = page.getByTestId('begin-run');
  await expect(begin).toContainText('To the bench');
  await begin.click();
  await expect(page.getByTestId('run-main')).toContainText('Start');
  return new URL(page.url()).pathname.split('/')[2] ?? '';
}

/** Each open gate's first answer. */
async function answerGates(page: Page): Promise<void> {
  const open = page
    .locator('[data-testid^="gate-"]')
    .getByRole('button')
    .filter({ hasNotText: 'Take back' });
  for (let left = await open.count(); left > 0; left = await open.count()) {
    await open.first().click();
    // Some count only with a line in writing.
    const note = page.locator('[data-testid^="note-"]').first();
    if (await note.isVisible()) {
      await note.fill('Own scanner, both faces, 90 mm');
      await page.locator('[data-testid^="record-"]').first().click();
    }
    await expect.poll(() => open.count()).toBeLessThan(left);
  }
}

/** As planned, three taps: kept with the run. */
export async function keepAsPlanned(page: Page): Promise<void> {
  await page.getByTestId('to-result').click();
  await page.getByTestId('as-planned').click();
  await page.getByTestId('keep-result').click();
}

export const pressMain = (page: Page): Promise<void> => page.getByTestId('run-main').click();

export async function noteSign(page: Page, sign: string): Promise<void> {
  const button = page.getByTestId(`sign-${sign}`);
  if (!(await button.isVisible())) await page.getByTestId('open-signs').click();
  await button.click();
}
