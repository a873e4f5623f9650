import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, type APIRequestContext, type Page } from '@playwright/test';

const BUSY = 503;

/** A job of a test's own, made from the demo files, so that journeys do not meet. */
export async function ownJob(
  request: APIRequestContext,
  demo: '1-dial-house' | '2-garden' | '3-porch' | '4-yard',
  name: string,
  { ownBit }: { readonly ownBit?: string } = {},
): Promise<string> {
  const text = readFileSync(join(import.meta.dirname, '..', 'demo', `${demo}.json`), 'utf8');
  const file = JSON.parse(ownBit ? withOwnBit(text, ownBit, name) : text) as {
    job: { id: string; name: string };
  };
  file.job = { ...file.job, id: name, name };
  const jobId = randomUUID();
  const send = async (): Promise<number> =>
    (await request.post(`/api/v1/import?id=${jobId}`, { data: file, timeout: 70_000 })).status();
  // Sent again when a busy server says so, as the app does: an id of its own makes it one job, however often.
  const status = await send();
  expect(status === BUSY ? await send() : status).toBe(201);
  return jobId;
}

/** The bit a journey looks at as its own: under its id it would be the one of every other journey. */
function withOwnBit(text: string, id: string, name: string): string {
  const file = JSON.parse(text) as { kit: { bits: { id: string; name: string }[] } };
  file.kit.bits = file.kit.bits.map((bit) => (bit.id === id ? { ...bit, name } : bit));
  return JSON.stringify(file).replaceAll(`"${id}"`, `"${randomUUID()}"`);
}

/** A figure's number as shown. */
export async function figure(page: Page, key: string): Promise<string> {
  return page.getByTestId(`figure-${key}`).innerText();
}

export async function isSaved(page: Page): Promise<void> {
  await expect(page.getByTestId('save-mark')).toContainText('Saved');
}

/** Opens a part of the walk unless it stands open already. */
export async function openFold(
  page: Page,
  part: 'piece' | 'hole' | 'setup' | 'water',
): Promise<void> {
  const fold = page.getByTestId(`fold-${part}`);
  // A page that is still coming in may be drawn anew under the tap: whoever sees it closed taps again.
  await expect(async () => {
    if ((await fold.getAttribute('aria-expanded')) !== 'true') await fold.click();
    await expect(fold).toHaveAttribute('aria-expanded', 'true', { timeout: 2000 });
  }).toPass({ timeout: 25_000 });
}

/** Presses one of the choices of a group. */
export async function answerOf(page: Page, group: string, name: string | RegExp): Promise<void> {
  await page.getByTestId(group).getByRole('radio', { name }).first().click();
}
