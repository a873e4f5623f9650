import { expect, test, type Page } from '@playwright/test';
import { figure, isSaved, ownJob } from './demoJob';
import { dragWithin, stillBox } from './planTouch';

async function openHole(page: Page, jobId: string, label: string): Promise<string> {
  await page.goto(`/jobs/${jobId}`);
  await page.getByText(label).first().click();
  await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
  return new URL(page.url()).pathname;
}

test('the best of what is owned is chosen, and becomes the plan', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Choose ${info.project.name}`);
  const path = await openHole(page, jobId, 'Arbor');
  await page.getByTestId('room-choose').click();
  await expect(page.getByTestId('ranked-1')).toContainText('Costs least');
  await expect(page.getByTestId('impossible')).toBeVisible();
  const use = page.getByTestId(/^use-/).first();
  const chosen = (await use.getAttribute('aria-label')) ?? '';
  await use.click();
  await expect(page).toHaveURL(new RegExp(`${path}$`));
  const [bit = ''] = chosen.replace('Use ', '').split(',');
  await expect(page.getByTestId('fold-setup')).toHaveAttribute('aria-label', new RegExp(bit));
  await isSaved(page);
});

test('the plan follows its point as it is dragged over the working window', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Window ${info.project.name}`);
  const path = await openHole(page, jobId, 'Arbor');
  // Either alone may come out the same by chance; together they do not.
  const pace = async (): Promise<string> =>
    `${await figure(page, 'feedForceN')} ${await figure(page, 'rpm')}`;
  const before = await pace();
  await page.getByTestId('room-window').click();
  const map = page.getByTestId('window-map');
  const box = await stillBox(map);
  await dragWithin(page, box, [0.5, 0.5], [0.5, 0.05], info.project.name === 'phone');
  await expect(page.getByTestId('window-point')).toContainText('Chips');
  await map.focus();
  for (let press = 0; press < 40; press++) await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('window-point')).toContainText('Cuts clean');
  await isSaved(page);
  await page.goto(path);
  await expect.poll(pace).not.toBe(before);
  await page.goto(`${path}/window`);
  await page.getByTestId('window-clear').click();
  await isSaved(page);
  await page.goto(path);
  await expect.poll(pace).toBe(before);
});

test(
  'a way is picked from its columns and remembered as the house’s habit',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Habit');
    const path = await openHole(page, jobId, 'Arbor');
    await page.goto(`${path}/compare`);
    await page.getByTestId('pick-sides-two').click();
    await expect(page.getByTestId('pick-sides-one')).toBeVisible();
    await isSaved(page);
    await page.getByTestId('pick-pace-gentle').click();
    // Not before it is the plan's: what is remembered is what the plan does.
    await expect(page.getByTestId('pick-pace-steady')).toBeVisible();
    await page.getByTestId('remember-pace').click();
    await expect(page.getByTestId('forget-pace')).toBeVisible();
    const house = (await (await request.get('/api/v1/house')).json()) as { habits: object };
    expect(house.habits).toMatchObject({ pace: 'gentle' });
    await page.getByTestId('forget-pace').click();
    await expect(page.getByTestId('remember-pace')).toBeVisible();
    await page.goto(path);
    await expect(page.getByText('Turn the piece over')).toBeVisible();
  },
);

test('a wall is gone through leaf by leaf, and the water shut in time', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '2-garden', `Through ${info.project.name}`);
  const path = await openHole(page, jobId, 'Basin overflow');
  await page.goto(`${path}/through`);
  await expect(page.getByTestId('moment-core-drop')).toContainText('102 mm');
  await expect(page.getByTestId('moment-water-off')).toContainText('252 mm');
  await page.getByTestId('water-off').fill('40');
  await expect(page.getByTestId('moment-water-off')).toContainText('232 mm');
  await isSaved(page);
});

test('how sure it is: odds in plain words, and the bit’s look that makes it surer', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Sure ${info.project.name}`, {
    ownBit: '0192d0c0-0001-7000-8000-000000000002',
  });
  const path = await openHole(page, jobId, 'Arbor');
  await page.goto(`${path}/risk`);
  await expect(page.getByTestId('risk-crack')).toContainText(/1 in \d+/);
  await page.getByTestId('ask-sharpness').click();
  await page.getByText('Runs true').click();
  await page.getByText('Grains stand proud, it catches').click();
  await page.getByText('Straight and clean').click();
  await page.getByText('Clear', { exact: true }).click();
  await expect(page.getByTestId('verdict-use')).toBeVisible();
  await page.getByTestId('check-keep').click();
  await expect(page.getByTestId('sharpness-log')).toContainText('looked at');
});

test('hiring is weighed against buying, and drawn', { tag: '@once' }, async ({ page, request }) => {
  const jobId = await ownJob(request, '1-dial-house', 'Hire');
  const path = await openHole(page, jobId, 'Arbor');
  await page.goto(`${path}/hire`);
  await expect(page.getByTestId('cost-chart').locator('path').first()).toBeVisible();
  await page.getByTestId('hire-holes').fill('61');
  await expect(page.getByText('“61” will not do')).toBeVisible();
  await page.getByTestId('hire-holes').fill('20');
  await page.getByTestId('price-orderedHoleMoney').fill('0,5');
  await page.getByTestId('price-orderedTripMoney').fill('0');
  await expect(page.getByTestId('hire-verdict')).toContainText('have it drilled costs least');
});

test('the force is practised on the pretended scale', async ({ page, request }, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Press ${info.project.name}`);
  const path = await openHole(page, jobId, 'Arbor');
  await page.clock.install();
  await page.goto(`${path}/press`);
  await page.getByTestId('press-start').click();
  await page.clock.runFor(1000);
  await expect(page.getByTestId('scale-reading')).not.toHaveText('0 kg');
  await page.clock.runFor(7500);
  await page.getByTestId('let-go').click();
  await expect(page.getByTestId('steadiness')).toContainText('That is the hand for it.');
});

test(
  'bits come in from a spreadsheet, good rows beside bad',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/kit');
    const pick = page.waitForEvent('filechooser');
    await page.getByTestId('csv-open').click();
    await (
      await pick
    ).setFiles({
      name: 'bits.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'name;family;diameter_mm;price\nCsv cup 19;plated cup saw;19,5;7,20\nCsv saw;chainsaw;3;1\nCsv rod;sintered-rod;0;1\n',
      ),
    });
    const report = page.getByTestId('csv-report');
    await expect(report).toContainText('3 rows: 1 good, 0 owned already, 2 will not do.');
    await expect(report).toContainText('“chainsaw” is not one of');
    await page.getByTestId('csv-take').click();
    await expect(page.getByTestId('csv-said')).toHaveText('1 bit added.');
    await page.getByTestId('kit-search').fill('csv');
    await page.getByRole('button', { name: /Csv cup 19/ }).click();
    const download = page.waitForEvent('download');
    await page.getByTestId('csv-save').click();
    expect((await download).suggestedFilename()).toBe('bits.csv');
    await page.getByRole('button', { name: 'Delete' }).click();
    await expect(page.getByRole('button', { name: /Csv cup 19/ })).toBeHidden();

    const wrong = page.waitForEvent('filechooser');
    await page.getByTestId('csv-open').click();
    await (
      await wrong
    ).setFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2\n') });
    await expect(page.getByTestId('csv-said')).toContainText('must name the columns');
  },
);

test('a common bit is in the kit in three taps', { tag: '@once' }, async ({ page }) => {
  await page.goto('/kit');
  await page.getByTestId('add-bit').click();
  await page.getByTestId('quick-family').getByRole('radio', { name: 'Thin plated tube' }).click();
  await page.getByTestId('quick-size').getByRole('radio', { name: '5 mm' }).click();
  await page.getByTestId('quick-add').click();
  await expect(page.getByTestId('quick-bit')).toContainText('is in your kit');
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: /Thin plated tube 5 mm/ }).click();
  await page.getByTestId('bit-retire').click();
  await page.getByTestId('bit-why-away').getByRole('radio', { name: 'Not needed' }).click();
  await expect(page.getByRole('button', { name: /Thin plated tube 5 mm/ })).toBeHidden();
  await page.getByTestId('show-away').click();
  await page.getByRole('button', { name: /Thin plated tube 5 mm/ }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
});
