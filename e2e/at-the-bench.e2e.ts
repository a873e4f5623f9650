import { expect, test, type Page } from '@playwright/test';
import { keepAsPlanned, noteSign, pressMain, toTheBench } from './bench';
import { ownJob } from './demoJob';

const LINE = 'run-line';

async function openReady(page: Page, jobId: string, label: string): Promise<string> {
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId(`hole-${label}`).click();
  await page.getByTestId('drill').click();
  return new URL(page.url()).pathname;
}

/** Lets the bench's own clock run: the run follows it, the wire does not. */
const later = async (page: Page, seconds: number): Promise<void> => {
  if (seconds > LONG_S) await page.clock.fastForward((seconds - LONG_S) * 1000);
  await page.clock.runFor(Math.min(seconds, LONG_S) * 1000);
};
/** Beyond this the clock leaps: the run calculates through it all the same. */
const LONG_S = 2;

test('a hole is drilled: ready, cut, clouded water, squeal, bog-down, through, its result, found in the log', async ({
  page,
  request,
}, info) => {
  const name = `Bench ${info.project.name}`;
  const jobId = await ownJob(request, '1-dial-house', name);
  await page.clock.install();
  await openReady(page, jobId, 'Arbor');
  await expect(page.getByTestId('begin-run')).toBeDisabled();
  await page.getByTestId('ready-open-packing').click();
  await expect(page.getByTestId('packing')).toContainText('Rod to push the core out');
  const runId = await toTheBench(page);

  await expect(page.getByTestId(LINE)).toHaveText('Rim on the mark');
  await pressMain(page);
  await later(page, 20);
  await expect(page.getByTestId(LINE)).toContainText('Seat:');
  await later(page, 50);
  await expect(page.getByTestId(LINE)).toContainText(/^Press \d+ N$/);
  await expect(page.getByTestId('run-countdown')).toContainText('Lift in');
  const planned = await page.getByTestId('run-force').innerText();

  // It squeals: water now.
  await noteSign(page, 'screech');
  await expect(page.getByTestId(LINE)).toHaveText('Lift');
  await expect(page.getByTestId('sign-answer')).toContainText('Water now');
  await later(page, 25);
  await page.getByTestId('helped-yes').click();

  // The motor labours: less force, and the rest takes longer.
  await noteSign(page, 'labours');
  await later(page, 3);
  await expect(page.getByTestId('run-force')).not.toHaveText(planned);
  await expect(page.getByTestId('causes')).toContainText('Likeliest');

  // The mark is lost in the murk: change the water, then on where it was.
  await noteSign(page, 'murky');
  await expect(page.getByTestId(LINE)).toHaveText('Change the water');
  await later(page, 90);
  await pressMain(page);
  await expect(page.getByTestId(LINE)).toContainText(/Press|Lift/);

  // Measured: less deep than calculated, so more is left.
  await page.getByTestId('open-measure').click();
  await page.getByTestId('measured-depth').fill('1.2 mm');
  await page.getByTestId('measured').click();
  await later(page, 1);
  await expect(page.getByTestId('run-depth')).toContainText('1.2');
  await later(page, 900);
  await expect(page.getByTestId(LINE)).toContainText(/Ease off|Keep to/);
  await page.getByTestId('run-end').click();
  await expect(page.getByTestId(LINE)).toHaveText('Through');
  for (const line of ['Withdraw', 'Free the core', 'Rinse and look', 'Drilled']) {
    await pressMain(page);
    await expect(page.getByTestId(LINE)).toHaveText(line);
  }
  // Fine, as planned: three taps.
  await keepAsPlanned(page);
  await later(page, 5);
  await expect(page.getByTestId('run-mark')).toContainText('Logged');

  await page.goto('/log');
  await page.getByTestId('log-search').fill(name);
  await expect(page.getByTestId('log-total')).toHaveText('1 run');
  await expect(page.getByTestId('run-Arbor')).toContainText('Fine');
  const run = (await (await request.get(`/api/v1/runs/${runId}`)).json()) as {
    run: { signs: string[]; flagCount: number; verdict: string };
    events: { n: number }[];
  };
  expect(run.run).toMatchObject({
    signs: ['screech', 'labours', 'murky'],
    flagCount: 0,
    verdict: 'fine',
  });
  expect(run.events.map(({ n }) => n)).toEqual(run.events.map((_, index) => index + 1));
  await page.goto(`/jobs/${jobId}`);
  await expect(page.getByTestId('hole-Arbor')).toContainText('Drilled: fine');
});

test('a phone on its side, or a page enlarged, shows what to do above its buttons @once', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Low ${info.project.name}`);
  await page.clock.install();
  await openReady(page, jobId, 'Arbor');
  await toTheBench(page);
  await pressMain(page);
  await expect(page.getByTestId('run-countdown')).toBeVisible();
  const boxOf = async (id: string) => {
    const box = await page.getByTestId(id).boundingBox();
    if (!box) throw new Error(`${id} is not on the screen`);
    return box;
  };
  for (const [width, height] of [
    [844, 390],
    [667, 375],
    [320, 256],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expect(page.getByTestId('run-main')).toBeInViewport({ ratio: 1 });
    const buttons = await Promise.all(
      ['run-main', 'run-end', 'open-stop', 'open-measure', 'open-signs'].map(boxOf),
    );
    for (const button of buttons) {
      expect(button.height).toBeGreaterThanOrEqual(56);
      expect(button.y + button.height).toBeLessThanOrEqual(height);
    }
    for (const id of [LINE, 'run-force', 'run-countdown']) {
      const box = await boxOf(id);
      const covered = buttons.some(
        (one) => one.x < box.x + box.width && one.y < box.y + box.height,
      );
      expect([id, covered]).toEqual([id, false]);
      expect(box.x + box.width).toBeLessThanOrEqual(width);
    }
  }
});

test('stops stay stops: what may not be drilled does not reach the bench', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Stopped ${info.project.name}`);
  const job = (await (await request.get(`/api/v1/jobs/${jobId}`)).json()) as {
    pieces: { holes: { id: string; headline: { stops: string[] } }[] }[];
  };
  const stopped = job.pieces
    .flatMap(({ holes }) => holes)
    .find(({ headline }) => headline.stops.length > 0);
  await page.goto(`/jobs/${jobId}/holes/${stopped?.id ?? ''}/ready`);
  await expect(page.getByTestId('stops')).toBeVisible();
  await expect(page.getByTestId('begin-run')).toContainText('Stopped');
  await expect(page.getByTestId('begin-run')).toBeDisabled();
});

test('a pedal drives it, a slip is taken back, the rim is moved by keys', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Pedal ${info.project.name}`);
  await page.clock.install();
  await openReady(page, jobId, 'Arbor');
  await toTheBench(page);
  await page.keyboard.press('PageDown');
  await later(page, 80);
  await expect(page.getByTestId(LINE)).toContainText('Press');
  await page.keyboard.press('PageUp');
  await expect(page.getByTestId(LINE)).toHaveText('Paused');
  await page.keyboard.press('u');
  await later(page, 1);
  await expect(page.getByTestId(LINE)).toContainText(/Press|Lift/);
  await page.getByTestId('run-drawing').focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowDown');
  const before = await page.getByTestId('run-drawing').getAttribute('aria-valuenow');
  await later(page, 2);
  await expect(page.getByTestId('story')).toContainText('Moved on the drawing');
  expect(Number(before)).toBeGreaterThan(0.5);
  await page.keyboard.press('t');
  await expect(page.getByTestId(LINE)).toHaveText('Through');
});

test(
  'two devices on one run: one drives, the other watches and may take over',
  { tag: '@once' },
  async ({ page, request, browser }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Two devices');
    await openReady(page, jobId, 'Arbor');
    const runId = await toTheBench(page);
    await pressMain(page);
    await expect(page.getByTestId('run-mark')).toContainText('Logged');
    const other = await (await browser.newContext()).newPage();
    await other.goto(new URL(`/runs/${runId}`, page.url()).href);
    await expect(other.getByTestId('watching')).toBeVisible();
    await expect(other.getByTestId('run-main')).toBeDisabled();
    await expect(other.getByTestId(LINE)).toContainText('Seat');
    await other.getByTestId('drive-here').click();
    await expect(page.getByTestId('watching')).toBeVisible();
    await pressMain(other);
    await expect(page.getByTestId(LINE)).toHaveText('Paused');
    await other.context().close();
  },
);
