import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { figure, isSaved, openFold, ownJob } from './demoJob';

interface PrintedPlan {
  readonly depthMm: number;
  readonly feedForceN: number;
  readonly rpm: number;
  readonly drillTimeS: { readonly p50: number };
}

/** What the command line makes of the hole of this depth in a file. */
function printedPlan(file: string, depthMm: number): PrintedPlan {
  const out = execFileSync(
    process.execPath,
    [join(import.meta.dirname, '..', 'cli', 'bin', 'nucleon.mjs'), 'plan', file],
    { encoding: 'utf8' },
  );
  const { holes } = JSON.parse(out) as { holes: PrintedPlan[] };
  const found = holes.find((hole) => hole.depthMm === depthMm);
  if (!found) throw new Error('no plan printed');
  return found;
}

/** Jobs, the job's pieces and a plan stand side by side; the address holds what is shown, and back undoes it. */
async function fromBeside(page: Page): Promise<void> {
  const { job, hole } = {
    job: page.getByTestId('job-beside'),
    hole: page.getByTestId('tree-Arbor'),
  };
  await hole.click();
  await expect(hole).toHaveAttribute('aria-current', 'page');
  await expect(job.getByTestId('figure-rpm')).toBeVisible();
  await page.reload();
  await expect(hole).toHaveAttribute('aria-current', 'page');
  await page.getByTestId('open-plan').click();
}

test('a person changes glass and bit, and screen, file and command line agree', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Dial ${info.project.name}`);
  await page.goto('/');
  await page.getByTestId('jobs').getByText(`Dial ${info.project.name}`).click();
  if (info.project.name === 'wide') await fromBeside(page);
  else await page.getByText('Arbor').first().click();
  await expect(page.getByTestId('section')).toBeVisible();
  const before = [await figure(page, 'feedForceN'), await figure(page, 'drillTimeS')];

  await openFold(page, 'piece');
  await page.getByTestId('thickness').fill('10 mm');
  await page.getByTestId('thickness').press('Enter');
  await openFold(page, 'setup');
  await page
    .getByTestId('bit')
    .getByRole('radio', { name: /Cup saw 8/ })
    .click();
  await expect(page.getByTestId('warnings')).toContainText('makes a hole of 8 mm, not 22 mm');
  expect(await figure(page, 'feedForceN')).not.toBe(before[0]);
  expect(await figure(page, 'drillTimeS')).not.toBe(before[1]);
  await isSaved(page);

  const exported = await (await request.get(`/api/v1/jobs/${jobId}/export`)).text();
  const path = join(mkdtempSync(join(tmpdir(), 'nucleon-')), 'job.json');
  writeFileSync(path, exported);
  const printed = printedPlan(path, 10);
  const shownForce = (await figure(page, 'feedForceN')).split('\n')[1];
  const shownTime = (await figure(page, 'drillTimeS')).split('\n')[1];
  expect(Number(shownForce)).toBe(Number(printed.feedForceN.toPrecision(2)));
  expect(Number(shownTime)).toBe(
    Number((printed.drillTimeS.p50 / 60).toFixed(printed.drillTimeS.p50 < 600 ? 1 : 0)),
  );
  expect(await figure(page, 'rpm')).toContain(String(Math.round(printed.rpm)));

  await page.reload();
  await expect(page.getByTestId('figure-feedForceN')).toContainText(`${shownForce}`);
  await expect(page.getByTestId('walk')).toContainText('10 mm');
});

test('undo takes a change back, and saves it so', async ({ page, request }, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Undo ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByText('Arbor').first().click();
  await openFold(page, 'water');
  const poured = await figure(page, 'water');
  await page.getByTestId('water').getByRole('radio', { name: 'Drip at the groove' }).click();
  await expect(page.getByTestId('figure-water')).toContainText('Drip at the groove');
  await isSaved(page);
  await page.getByTestId('undo').click();
  await expect.poll(() => figure(page, 'water')).toBe(poured);
  await isSaved(page);
  await page.reload();
  await expect.poll(() => figure(page, 'water')).toBe(poured);
});

test('a number shows its working, and a step moves the rim', async ({ page, request }, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Why ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByText('Arbor').first().click();
  await page.getByTestId('figure-feedForceN').click();
  await expect(page.getByTestId('working-feedForceN')).toContainText('least of p·A_c');
  await expect(page.getByTestId('working-feedForceN')).toContainText('Spread');
  const drawing = page.getByTestId('section').getByRole('img');
  await expect(drawing).toHaveAttribute('aria-label', /press with 23 N/);
  await page.getByRole('button', { name: /Seat with 6\.9 N/ }).click();
  await expect(drawing).toHaveAttribute('aria-label', /press with 6\.9 N/);
});

test('clashing values are said at once and never sent', async ({ page, request }, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Clash ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByText('Arbor').first().click();
  await openFold(page, 'hole');
  await page.getByTestId('place-x').fill('900');
  await expect(page.getByTestId('fault')).toContainText('lies outside piece “Glass dial”');
  await expect(page.getByTestId('no-plan')).toBeVisible();
  await expect(page.getByTestId('drill')).toBeHidden();
  await page.getByTestId('diameter').fill('wide');
  await expect(page.getByText('“wide” is not a length.')).toBeVisible();
  await page.getByTestId('place-x').fill('200');
  await expect(page.getByTestId('fault')).toBeHidden();
  await isSaved(page);
});
