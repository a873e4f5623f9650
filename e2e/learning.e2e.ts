import { expect, test, type Page } from '@playwright/test';
import { keepAsPlanned, pressMain, toTheBench } from './bench';
import { madeUpLog } from './madeUpLog';
import { ownStack } from './ownStack';

const ARBOR = '0192d0c0-0030-7000-8000-000000000001';
const DIAL_HOUSE = '0192d0c0-0010-7000-8000-000000000001';
const DIAL = { material: 'float-glass', thicknessMm: 6, diameterMm: 22 };
/** As `innerText` has it, by which figures are remembered. */
const AS_SHOWN = { useInnerText: true } as const;
const line = (page: Page) => expect(page.getByTestId('run-line'));

/** Drills what is planned, twice as slowly as that. */
async function drillSlowly(page: Page): Promise<void> {
  await page.getByTestId('drill').click();
  await toTheBench(page);
  await pressMain(page);
  await page.clock.fastForward(3 * 3600 * 1000);
  await page.clock.runFor(2000);
  await page.getByTestId('run-end').click();
  await line(page).toHaveText('Through');
  for (
    let now = 'Through';
    now !== 'Drilled';
    now = await page.getByTestId('run-line').innerText()
  ) {
    await pressMain(page);
    await line(page).not.toHaveText(now);
  }
  await keepAsPlanned(page);
  await page.clock.runFor(5000);
  await expect(page.getByTestId('run-mark')).toContainText('Logged');
}

test('a workshop of sixty holes: plans go by them, change with the next, and say how well they knew', async ({
  page,
  request,
}) => {
  const { startDatabase, startServer } = await ownStack();
  const database = await startDatabase();
  const server = await startServer(database.url);
  const { address } = server;
  const logged = { runs: 60, daysAgo: 130, times: 1.6, cracksEach: 15, ...DIAL };
  await madeUpLog(request, address, ARBOR, logged);
  await page.clock.install();
  await page.goto(`${address}/jobs/${DIAL_HOUSE}/holes/${ARBOR}`);
  await expect(page.getByTestId('from-log')).toContainText('By 61 holes of yours like this: 1.');
  const before = await page.getByTestId('figure-drillTimeS').innerText();

  await drillSlowly(page);
  await page.goto(`${address}/jobs/${DIAL_HOUSE}/holes/${ARBOR}`);
  await expect(page.getByTestId('from-log')).toContainText('By 62 holes of yours like this');
  await expect(page.getByTestId('figure-drillTimeS')).not.toHaveText(before, AS_SHOWN);

  const byLog = await page.getByTestId('figure-drillTimeS').innerText();
  await page.getByTestId('as-new').click();
  await expect(page.getByTestId('from-log')).toContainText('Without the log: calculation only');
  await expect(page.getByTestId('figure-drillTimeS')).not.toHaveText(byLog, AS_SHOWN);
  await page.getByTestId('as-new').click();
  await expect(page.getByTestId('figure-drillTimeS')).toHaveText(byLog, AS_SHOWN);

  await page.getByTestId('from-log').click();
  await expect(page.getByTestId('learning-held')).toContainText('fell within a span');
  await expect(page.getByTestId('learning-levels')).toContainText('Float glass');
  await expect(page.getByTestId('learning-bits')).toContainText('Cup saw 22');
  await expect(page.getByTestId('learning-bits')).toContainText('of your money');
  await page.getByTestId('plans-go-by').getByRole('radio', { name: 'Calculation only' }).click();
  await page.getByRole('button', { name: /^Back/ }).click();
  await expect(page.getByTestId('from-log')).toHaveCount(0);
  await expect(page.getByTestId('figure-drillTimeS')).not.toHaveText(before, AS_SHOWN);
  await server.stop();
  await database.stop();
});
