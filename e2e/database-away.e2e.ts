import { expect, test, type Page } from '@playwright/test';
import { openFold } from './demoJob';
import { ownStack } from './ownStack';

async function openArborPiece(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.getByTestId('jobs').getByText('Clock court: dial house').click();
  await page.getByText('Arbor').first().click();
  await openFold(page, 'piece');
}

test(
  'with the database gone, what is typed is kept and sent when it is back',
  { tag: '@once' },
  async ({ page }) => {
    const { startDatabase, startServer } = await ownStack();
    let database = await startDatabase();
    const server = await startServer(database.url);
    try {
      await openArborPiece(page, server.address);
      await database.stop();

      await page.getByTestId('thickness').fill('9');
      await expect(page.getByTestId('unreachable')).toContainText('kept on this device');
      await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
      await page.reload();
      // A server without its database has nothing to show: what the device keeps is there instead.
      await expect(page.getByTestId('offline')).toContainText('what the device keeps');
      await expect(page.getByTestId('walk')).toContainText('9 mm');

      database = await startDatabase(database.port);
      await expect(page.getByTestId('save-mark')).toContainText('Saved');
      await page.evaluate(() => localStorage.clear());
      await page.reload();
      await expect(page.getByTestId('walk')).toContainText('9 mm');
    } finally {
      await server.stop();
      await database.stop();
    }
  },
);

test(
  'a database that stood still shows nobody a conflict with their own edit',
  { tag: '@once' },
  async ({ page }) => {
    const { startDatabase, startServer } = await ownStack();
    const database = await startDatabase();
    const server = await startServer(database.url);
    try {
      await openArborPiece(page, server.address);
      await expect(page.getByTestId('save-mark')).toContainText('Saved');
      process.kill(database.pid, 'SIGSTOP');
      await page.getByTestId('thickness').fill('8');
      await expect(page.getByTestId('save-mark')).toContainText('Saving');
      // The first edit is on its way when the second is made.
      await page.getByTestId('thickness').fill('9');
      await expect(page.getByTestId('unreachable')).toContainText('kept on this device');
      await page.getByTestId('thickness').fill('10');
      process.kill(database.pid, 'SIGCONT');
      await expect(page.getByTestId('save-mark')).toContainText('Saved');
      await expect(page.getByTestId('walk')).toContainText('10 mm');
      await expect(page.getByTestId('conflict')).toHaveCount(0);
    } finally {
      await server.stop();
      await database.stop();
    }
  },
);
