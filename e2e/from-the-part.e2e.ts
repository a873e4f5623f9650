import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { answerOf, isSaved, openFold, ownJob } from './demoJob';

test('a sloping pipe through a cavity-brick pier gives both face heights', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '2-garden', `Pier ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Basin overflow').click();
  await openFold(page, 'hole');
  await page.getByTestId('purpose').click();
  await expect(page.getByTestId('fit-target')).toContainText('96 mm');
  await page.getByTestId('field-fallOneIn').fill('40');
  // 272 mm of pier, one in 40
  await expect(page.getByTestId('fit')).toContainText('6.8 mm down');
  await expect(page.getByTestId('fit')).toContainText('one in 40, lower at the far face');
  await answerOf(page, 'field-drilled', 'Level, the pipe slopes in it');
  await expect(page.getByTestId('fit-target')).toContainText('102.8 mm');
  await page.getByTestId('field-fallOneIn').fill('2');
  await expect(page.getByTestId('fit-faulty')).toContainText(
    'more than the pipe of 90 mm itself: it fouls a level hole',
  );
  await page.getByTestId('field-fallOneIn').fill('40');
  await answerOf(page, 'field-drilled', 'At the fall');
  await page.getByTestId('use-fit').click();
  await isSaved(page);
  await expect(page.getByTestId('steps')).toContainText('Mark the far face 6.8 mm lower');
  await expect(page.getByTestId('steps')).toContainText('Seal round the pipe');
});

test('a basin fitting rejects a bit whose chips the gasket cannot cover', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '3-porch', `Basin ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Tap').click();
  await openFold(page, 'hole');
  await page.getByTestId('purpose').click();
  await expect(page.getByTestId('fit-bit-Tile core 35')).toContainText('Fits');
  await page.getByTestId('field-flangeDiameterMm').fill('43');
  await expect(page.getByTestId('fit-bit-Tile core 35')).toContainText(
    /Rejected: chips of about .* but the part hides/,
  );
  await expect(page.getByTestId('fit-bits')).toContainText('too small');
  await page.getByTestId('field-flangeDiameterMm').fill('30');
  await expect(page.getByTestId('fit-faulty')).toContainText(
    'flange of 30 mm is not wider than the thread of 33 mm',
  );
  await expect(page.getByTestId('use-fit')).toBeDisabled();
});

test('the bit one has is turned round into what it would serve', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Reverse ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Stay, left').click();
  await page.goto(`${page.url()}/purpose`);
  await page.getByTestId('reverse').click();
  await page
    .getByTestId('reverse-bit')
    .getByRole('radio', { name: /Cup saw 8/ })
    .first()
    .click();
  await expect(page.getByTestId('choose-pipe')).toContainText('up to 4 mm');
  await page.getByTestId('choose-hanging-cord').click();
  await page.getByTestId('field-strandMm').fill('2.8');
  await expect(page.getByTestId('fit-target')).toContainText('7.28 mm');
  await page.getByTestId('use-fit').click();
  await isSaved(page);
  await page.reload();
  await openFold(page, 'hole');
  await expect(page.getByTestId('purpose')).toContainText('Cord or chain');
});

test('a practice piece comes first in the job', async ({ page, request }, info) => {
  const jobId = await ownJob(request, '3-porch', `Practice ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Tap').click();
  await page.getByTestId('instead').click();
  await page.getByTestId('add-practice').click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tap, for practice');
  await page.goto(`/jobs/${jobId}`);
  await expect(page.getByTestId(/^piece-/).first()).toContainText('Practice: Marble basin');
});

test('a material of one’s own is planned alike on screen and command line @once', async ({
  page,
  request,
}) => {
  const jobId = await ownJob(request, '2-garden', 'Own slate');
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('own-materials-link').click();
  await page.getByTestId('copy-material').click();
  await page.getByTestId('material-kind').getByRole('radio', { name: 'Stone' }).click();
  await page.getByTestId('material').getByRole('radio', { name: 'Slate' }).click();
  await page.getByTestId('material-name').fill('Slate of the court');
  await page.getByTestId('column-specificEnergyJPerMm3').fill('3.6');
  await page.getByTestId('column-pressureMpa-best').fill('0.05');
  await page.getByTestId('kit-save').click();
  await expect(page.getByTestId('kit-form')).toContainText('they must rise');
  await page.getByTestId('column-pressureMpa-best').fill('0.45');
  await page.getByTestId('kit-save').click();
  await expect(page.getByTestId('own-materials')).toContainText('Slate of the court');

  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Gnomon foot').click();
  const before = Number((await page.getByTestId('figure-rateMmPerS').innerText()).split('\n')[1]);
  await openFold(page, 'piece');
  await page.getByTestId('material').getByRole('radio', { name: 'Slate of the court' }).click();
  await expect
    .poll(async () =>
      Number((await page.getByTestId('figure-rateMmPerS').innerText()).split('\n')[1]),
    )
    .toBeLessThan(before * 0.6);
  await isSaved(page);
  const shown = Number((await page.getByTestId('figure-rateMmPerS').innerText()).split('\n')[1]);
  const file = join(mkdtempSync(join(tmpdir(), 'nucleon-')), 'job.json');
  writeFileSync(file, await (await request.get(`/api/v1/jobs/${jobId}/export`)).text());
  const cli = join(import.meta.dirname, '..', 'cli', 'bin', 'nucleon.mjs');
  const out = execFileSync(process.execPath, [cli, 'plan', file], { encoding: 'utf8' });
  const printed = (JSON.parse(out) as { holes: { rateMmPerS: number }[] }).holes[0];
  expect(Number(((printed?.rateMmPerS ?? 0) * 60).toPrecision(2))).toBe(shown);
});
