import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { openFold } from './demoJob';

interface Running {
  readonly stop: () => Promise<void>;
}
type Database = Running & { readonly url: string; readonly port: number };
type Server = Running & { readonly address: string };

/** A stack of this test's own, so that its database can be taken away. */
async function setUp(): Promise<{
  startDatabase: (port?: number) => Promise<Database>;
  startServer: (url: string) => Promise<Server>;
}> {
  const folder = join(import.meta.dirname, '..', 'scripts', 'setup');
  const { startMariadb } = (await import(join(folder, 'mariadb.mjs'))) as {
    startMariadb: (where: string, options: object) => Promise<Database>;
  };
  const { startServer } = (await import(join(folder, 'server.mjs'))) as {
    startServer: (options: object) => Promise<Server>;
  };
  const { WEB_FOLDER } = (await import(join(folder, 'web.mjs'))) as { WEB_FOLDER: string };
  const data = mkdtempSync(join(tmpdir(), 'nucleon-away-'));
  return {
    startDatabase: (port) => startMariadb(data, port === undefined ? {} : { port }),
    startServer: (databaseUrl) => startServer({ databaseUrl, web: WEB_FOLDER, demo: 'load' }),
  };
}

test(
  'with the database gone, what is typed is kept and sent when it is back',
  { tag: '@once' },
  async ({ page }) => {
    const { startDatabase, startServer } = await setUp();
    let database = await startDatabase();
    const server = await startServer(database.url);
    try {
      await page.goto(server.address);
      await page.getByText('Clock court: dial house').click();
      await page.getByText('Arbor').first().click();
      await openFold(page, 'piece');
      await database.stop();

      await page.getByTestId('thickness').fill('9');
      await expect(page.getByTestId('unreachable')).toContainText('kept on this device');
      await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
      await page.reload();
      await expect(page.getByTestId('failed')).toContainText('cannot reach its database');

      database = await startDatabase(database.port);
      await page.getByRole('button', { name: 'Try again' }).click();
      await expect(page.getByTestId('walk')).toContainText('9 mm');
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
