import { expect, test, type Page } from '@playwright/test';
import { pressMain, toTheBench } from './bench';
import { isSaved, openFold, ownJob } from './demoJob';

/** The server is out of reach: the cable is out, the shed has no signal. */
const goOffline = async (page: Page): Promise<void> => {
  await page.route('**/api/**', (route) => route.abort());
};

test('a run under way is in sight on every screen, without a signal too', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Way ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Arbor').click();
  await page.getByTestId('drill').click();
  await toTheBench(page);
  await pressMain(page);
  const run = new URL(page.url()).pathname;
  await page.goto('/kit');
  await expect(page.getByTestId('run-bar')).toContainText('Arbor');
  await expect(page.getByTestId('run-bar')).toContainText('Seat');
  await goOffline(page);
  await page.goto('/');
  await expect(page.getByTestId('offline')).toBeVisible();
  await page.getByTestId('run-bar').click();
  await expect(page).toHaveURL(new RegExp(`${run}$`));
  await expect(page.getByTestId('run-bar')).toHaveCount(0);
});

test('jobs opened before, their plans and the kit are there without a server, holes not opened too', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '2-garden', `Away ${info.project.name}`);
  await page.goto('/');
  await page.goto(`/jobs/${jobId}`);
  await expect(page.getByTestId('hole-Drain in the base')).toBeVisible();
  // What was answered is written down when it rests.
  await page.waitForTimeout(2000);
  await goOffline(page);
  await page.goto('/');
  await expect(page.getByTestId('jobs')).toContainText(`Away ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Drain in the base').click();
  await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
  await page.getByTestId('drill').click();
  await expect(page.getByTestId('begin-run')).toBeVisible();
  await page.goto('/kit');
  await expect(page.getByTestId('shelf')).toContainText('Bits');
});

test('back leads to where one came from, with what was searched and how far was scrolled', async ({
  page,
}, info) => {
  await page.goto('/');
  await page.getByTestId('search').fill('garden');
  await expect(page.getByText('Clock court: porch', { exact: true })).toHaveCount(0);
  await expect(page).toHaveURL(/search=garden/);
  await page
    .getByRole('link', { name: /Clock court: garden/ })
    .first()
    .click();
  // Where there is room a job stands beside the list first.
  if (info.project.name === 'wide') await page.getByTestId('open-job').click();
  await expect(page.getByTestId('delete-job')).toBeAttached();
  await page.getByTestId('delete-job').scrollIntoViewIfNeeded();
  const scroller = page.locator('main > div[tabindex="0"]');
  const before = await scroller.evaluate((view) => view.scrollTop);
  await page.getByRole('link', { name: /Drain in the base/ }).click();
  await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
  await page.getByRole('button', { name: /^Back/ }).click();
  await expect(page.getByTestId('delete-job')).toBeAttached();
  if (before > 0)
    await expect.poll(() => scroller.evaluate((view) => view.scrollTop)).toBeGreaterThan(0);
  await page.goBack();
  await expect(page.getByTestId('search')).toHaveValue('garden');
});

test('by keyboard: past the head, one stop to a group, arrows within it; a page is named as it opens @once', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByTestId('jobs')).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByTestId('skip')).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Log' })).toBeFocused();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Kit', level: 1 })).toBeFocused();
  const shelf = page.getByTestId('shelf').getByRole('radio');
  await shelf.first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(shelf.nth(1)).toBeFocused();
  await expect(shelf.nth(1)).toHaveAttribute('aria-checked', 'true');
  await page.keyboard.press('Tab');
  await expect(page.getByTestId('kit-search')).toBeFocused();
});

test('a hole and a bit made without a server are worked with at once, and sent when it answers', async ({
  page,
  request,
}, info) => {
  await page.goto('/');
  await expect(page.getByTestId('jobs')).toBeVisible();
  await page.waitForTimeout(2000);
  await goOffline(page);
  await page.goto('/new');
  for (const words of [/^Worktop/, /^Granite/, /^Fitted/, /^20 mm/, /^30 mm/]) {
    const offered = page
      .getByRole('radio', { name: words })
      .or(page.getByRole('button', { name: words }));
    await page.waitForTimeout(400);
    await offered.first().click();
  }
  await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
  await expect(page.getByTestId('offline')).toContainText('new things wait to be sent');
  const path = new URL(page.url()).pathname;
  // It outlasts a reload, and is changed like any other.
  await page.reload();
  await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
  await openFold(page, 'hole');
  await page.getByTestId('diameter').fill('33');
  await page.goto('/kit');
  await page.getByTestId('add-bit').click();
  await page.getByTestId('every-detail').click();
  await page.getByTestId('bit-name').fill(`Shed cup ${info.project.name}`);
  await page.getByTestId('kit-save').click();
  await expect(page.getByText(`Shed cup ${info.project.name}`)).toBeVisible();

  await page.unroute('**/api/**');
  await page.goto('/kit');
  await expect(page.getByTestId('offline')).toHaveCount(0);
  await expect(page.getByText(`Shed cup ${info.project.name}`)).toBeVisible();
  await page.goto(path);
  await isSaved(page);
  const holeId = path.split('/').at(-1) ?? '';
  const detail = (await (await request.get(`/api/v1/holes/${holeId}`)).json()) as {
    hole: { diameterMm: number };
  };
  expect(detail.hole.diameterMm).toBe(33);
});

test('large screens come after the first page, before they are opened @once', async ({
  browser,
  baseURL,
}) => {
  // As at a bare address, where no service worker fetches ahead.
  const context = await browser.newContext({ baseURL: baseURL ?? '', serviceWorkers: 'block' });
  const page = await context.newPage();
  const come = ['PlaceScreen', 'KnowScreen'].map((name) =>
    page.waitForResponse((response) => response.url().includes(name)),
  );
  await page.goto('/');
  await Promise.all(come);
  await context.close();
});
