import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';

const PIECES = 120;

interface DemoPiece {
  readonly holes: readonly [Record<string, unknown>];
}

/** The demo's offcut, so many times over. */
function longJob(): unknown {
  const path = join(import.meta.dirname, '..', 'demo', '1-dial-house.json');
  const file = JSON.parse(readFileSync(path, 'utf8')) as { readonly pieces: readonly [DemoPiece] };
  const [piece] = file.pieces;
  const pieces = Array.from({ length: PIECES }, (_, index) => ({
    ...piece,
    id: `long-${index}`,
    name: `Tile ${index + 1}`,
    holes: [{ ...piece.holes[0], id: `long-hole-${index}` }],
  }));
  return { ...file, log: [], job: { id: 'long-job', name: 'Long job' }, pieces };
}

const cardsInPage = (page: Page): Promise<number> => page.locator('[data-index]').count();

test('a job of 120 pieces holds only those in sight, to the last @once', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/v1/import', { data: longJob() });
  expect(made.ok()).toBe(true);
  const { jobId } = (await made.json()) as { jobId: string };
  await page.goto(`/jobs/${jobId}`);
  await expect(page.getByText('Tile 1', { exact: true })).toBeVisible();
  expect(await cardsInPage(page)).toBeLessThan(20);
  const last = page.getByText(`Tile ${PIECES}`, { exact: true });
  // What is not in sight yet takes its usual height until it is: down again until the end is reached.
  await expect(async () => {
    await page.getByTestId('delete-job').scrollIntoViewIfNeeded();
    await expect(last).toBeVisible({ timeout: 500 });
  }).toPass();
  expect(await cardsInPage(page)).toBeLessThan(20);
});
