import { expect, test, type Page } from '@playwright/test';
import { keepAsPlanned, noteSign, pressMain, toTheBench } from './bench';
import { isSaved, ownJob } from './demoJob';
import { dragWithin, stillBox } from './planTouch';

const LINE = 'run-line';
/** Beyond this the clock leaps: the run calculates through it all the same. */
const LONG_S = 2;
const later = async (page: Page, seconds: number): Promise<void> => {
  await page.clock.fastForward((seconds - LONG_S) * 1000);
  await page.clock.runFor(LONG_S * 1000);
};
const line = (page: Page) => expect(page.getByTestId(LINE));

/** The rows of the list as they are read. */
const listed = (page: Page): Promise<string[]> =>
  page
    .getByTestId('operations')
    .locator('[data-testid^="operation-row-"]')
    .evaluateAll((rows) => rows.map((row) => row.getAttribute('aria-label') ?? ''));

async function openOperations(page: Page, jobId: string, hole: string): Promise<void> {
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId(`hole-${hole}`).click();
  await page.getByTestId('room-operations').click();
  await expect(page.getByTestId('operations')).toBeVisible();
}

/** Back to the plan, through the ready check, to the first touch. */
async function startDrilling(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Back to the plan' }).click();
  await page.getByTestId('drill').click();
  await toTheBench(page);
  await pressMain(page);
}

/** Out of the hole, cleaned, told, and found in the log. */
async function logged(page: Page, name: string): Promise<void> {
  const read = (): Promise<string> => page.getByTestId(LINE).innerText();
  for (let now = await read(); now !== 'Drilled'; now = await read()) {
    await pressMain(page);
    await line(page).not.toHaveText(now);
  }
  await keepAsPlanned(page);
  await later(page, 5);
  await expect(page.getByTestId('run-mark')).toContainText('Logged');
  await page.goto('/log');
  await page.getByTestId('log-search').fill(name);
  await expect(page.getByTestId('log-total')).toHaveText('1 run');
}

/** What the bench says while it goes on down: a loaded machine may see a later word first. */
const CUTTING = /^(Seat|Press|Lift|Break out)/;

test('a plug hole through a tile into the block behind it: two tools, one hole', async ({
  page,
  request,
}, info) => {
  const name = `Hook ${info.project.name}`;
  const jobId = await ownJob(request, '4-yard', name);
  await page.clock.install();
  await openOperations(page, jobId, 'Towel hook');
  const rows = await listed(page);
  expect(rows).toHaveLength(4);
  expect(rows[1]).toMatch(/^2\. Core 0 to 7 mm: Tile core 8 · Cordless drill · wet/);
  expect(rows[2]).toMatch(/^3\. Bore 7 to 60 mm: Masonry bit 8 · Hammer drill · dry/);
  await page.getByTestId('operation-row-bore').click();
  // The hammer is a switch of this operation, off unless somebody asks for it.
  await expect(
    page.getByTestId('operation-hammer').getByRole('radio', { name: 'Hammer off' }),
  ).toBeChecked();
  await startDrilling(page);
  await later(page, 400);
  await line(page).toHaveText('Change to Masonry bit 8');
  await pressMain(page);
  await later(page, 120);
  await page.getByTestId('run-end').click();
  await line(page).toHaveText('Withdraw');
  await logged(page, name);
});

test('a vent through a cavity wall, from both faces', async ({ page, request }, info) => {
  const name = `Vent ${info.project.name}`;
  const jobId = await ownJob(request, '4-yard', name);
  await page.clock.install();
  await openOperations(page, jobId, 'Wall vent');
  const rows = await listed(page);
  expect(rows.map((row) => row.replace(/:.*/, ''))).toEqual([
    '1. Mark',
    '2. Core 0 to 102 mm',
    '3. Go round to the other side',
    '4. Core 0 to 100 mm, far face',
    '5. Rinse and look, far face',
  ]);
  await startDrilling(page);
  await later(page, 1200);
  await line(page).toHaveText('It should give any moment');
  await page.getByTestId('run-end').click();
  await line(page).toHaveText('Go round to the other side');
  await pressMain(page);
  await line(page).toHaveText(/^Seat/);
  await later(page, 400);
  await page.getByTestId('run-end').click();
  await line(page).toHaveText('Through');
  await logged(page, name);
});

test('a drain by a short cup, its core broken out three times', async ({ page, request }, info) => {
  const name = `Drain ${info.project.name}`;
  const jobId = await ownJob(request, '4-yard', name);
  await page.clock.install();
  await openOperations(page, jobId, 'Yard drain');
  expect((await listed(page)).filter((row) => row.includes('Break out'))).toHaveLength(3);
  await startDrilling(page);
  for (const at of ['45 mm', '90 mm', '135 mm']) {
    await later(page, 1500);
    await line(page).toHaveText(`Break out the core at ${at}`);
    await pressMain(page);
    await line(page).toHaveText(/^Press|Lift/);
  }
  await later(page, 600);
  await page.getByTestId('run-end').click();
  await line(page).toHaveText('Through');
  await logged(page, name);
});

test('a list is edited, kept, moved by hand, and given back', async ({ page, request }, info) => {
  const jobId = await ownJob(request, '4-yard', `List ${info.project.name}`);
  await openOperations(page, jobId, 'Rope');
  const names = async (): Promise<string[]> =>
    (await listed(page)).map((row) => row.replace(/^\d+\. /, '').replace(/:.*/, ''));
  const suggested = await names();
  expect(suggested).toEqual([
    'Mark',
    'Pilot 0 to 9 mm',
    'Enlarge 0 to 9 mm',
    'Enlarge 0 to 9 mm',
    'Rinse and look',
  ]);
  await page.getByTestId('operation-row-enlarge-2').click();
  await page.getByTestId('operation-add').click();
  await page.getByTestId('operation-kinds').getByRole('radio', { name: 'Ease the edge' }).click();
  await expect.poll(names).toEqual([...suggested.slice(0, 4), 'Ease the edge', 'Rinse and look']);
  await isSaved(page);
  // What clashes is said beside the operation, and nothing half of it is kept.
  await page.getByTestId('operation-row-pilot').click();
  await page.getByTestId('operation-to').fill('4 mm');
  await expect(page.getByTestId('operation-totals')).toBeVisible();
  await page.getByTestId('operation-from').fill('2 mm');
  await expect(page.getByTestId('operation-pilot')).toContainText('open to 0 mm only');
  await page.getByTestId('operation-from').fill('0 mm');
  await expect(page.getByTestId('operation-pilot')).not.toContainText('open to 0 mm only');
  await isSaved(page);
  await page.reload();
  await expect.poll(names).toContain('Pilot 0 to 4 mm');
  // The rows keep their places once the plan's sums stand above them.
  await expect(page.getByTestId('operation-totals')).toBeVisible();
  // By its handle, one place up, and back by the keys.
  const handle = page.getByLabel(/^Drag, or arrow keys, to move: Rinse/);
  const box = await stillBox(handle);
  const one = 76 / box.height;
  await dragWithin(page, box, [0.5, 0.5], [0.5, 0.5 - one], info.project.name === 'phone');
  await expect
    .poll(names)
    .toEqual([
      'Mark',
      'Pilot 0 to 4 mm',
      ...suggested.slice(2, 4),
      'Rinse and look',
      'Ease the edge',
    ]);
  await page.getByLabel(/^Drag, or arrow keys, to move: Rinse/).press('ArrowDown');
  await expect.poll(async () => (await names()).at(-1)).toBe('Rinse and look');
  await page.getByTestId('operations-suggested').click();
  await expect.poll(names).toEqual(suggested);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(names).toContain('Pilot 0 to 4 mm');
});

test('metal in the way: chiselled clear or cut, while a second person calls the mark', async ({
  page,
  browser,
  request,
}, info) => {
  const jobId = await ownJob(request, '4-yard', `Metal ${info.project.name}`);
  await openOperations(page, jobId, 'Yard drain');
  await page.getByTestId('operation-row-core').click();
  await page
    .getByTestId('operation-helper')
    .getByRole('radio', { name: 'Watches the depth mark' })
    .click();
  await isSaved(page);
  await startDrilling(page);
  await line(page).toHaveText(CUTTING);
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await line(other).toHaveText('Watch the mark, call it');
  await expect(other.getByTestId('run-detail')).toContainText('Call 45 mm');

  await noteSign(page, 'tie');
  await line(page).toHaveText('Chisel it clear');
  await line(other).toHaveText('Read the depth, say it');
  await pressMain(page);
  await line(page).toHaveText(CUTTING);
  await noteSign(page, 'metal');
  await line(page).toHaveText('Metal: stopped');
  await pressMain(page);
  await line(page).toHaveText('Through the bar');
  await page.getByTestId('run-end').click();
  await line(page).toHaveText(CUTTING);
  await other.context().close();
});
