import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { isSaved, openFold, ownJob } from './demoJob';
import { dragWithin, stillBox } from './planTouch';

/** A plate of weak stone with its hole in the middle: what holds it decides, not the hand. */
async function thinPane(request: APIRequestContext, name: string): Promise<string> {
  const file = JSON.parse(
    readFileSync(join(import.meta.dirname, '..', 'demo', '1-dial-house.json'), 'utf8'),
  ) as { job: object; pieces: { name: string; holes: { setup: object }[] }[] };
  const pane = file.pieces.find((piece) => piece.name === 'Lantern side pane');
  const [hole] = pane?.holes ?? [];
  if (!pane || !hole) throw new Error('the demo has no side pane');
  const setup = {
    ...hole.setup,
    pace: 'brisk',
    support: {
      kind: 'dense-foam-board',
      pads: [
        { xMm: 4, yMm: 4, widthMm: 36, heightMm: 36 },
        { xMm: 140, yMm: 4, widthMm: 36, heightMm: 36 },
        { xMm: 140, yMm: 220, widthMm: 36, heightMm: 36 },
        { xMm: 4, yMm: 220, widthMm: 36, heightMm: 36 },
        { xMm: 70, yMm: 210, widthMm: 40, heightMm: 40 },
      ],
    },
  };
  const piece = {
    ...pane,
    material: 'sandstone',
    thicknessMm: 4,
    holes: [{ ...hole, label: 'Middle', xMm: 90, yMm: 130, setup }],
  };
  const response = await request.post('/api/v1/import', {
    data: { ...file, job: { ...file.job, id: name, name }, pieces: [piece] },
  });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { jobId: string }).jobId;
}

async function openHole(page: Page, jobId: string, label: string): Promise<string> {
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId(`hole-${label}`).click();
  await expect(page.getByTestId('figure-feedForceN')).toBeVisible();
  return new URL(page.url()).pathname;
}

test('a pad is dragged under the hole, and the odds of a crack fall', async ({
  page,
  request,
}, info) => {
  const jobId = await thinPane(request, `Pads ${info.project.name}`);
  await openHole(page, jobId, 'Middle');
  await openFold(page, 'water');
  await page.getByTestId('open-held').click();
  const map = page.getByTestId('held-map');
  await expect(page.getByTestId('held-text')).toContainText('most of it from');
  const odds = async (): Promise<number> =>
    Number(/1 in (\d+)/.exec(await page.getByTestId('held-odds').innerText())?.[1] ?? NaN);
  const before = await odds();
  const box = await stillBox(map);
  // From (90, 230) to the middle (90, 130) of a face 180 × 260, drawn upright in the middle.
  const up = (mm: number): number => 1 - (14 + (mm / 260) * (box.height - 28)) / box.height;
  await dragWithin(page, box, [0.5, up(230)], [0.5, up(130)], info.project.name === 'phone');
  await expect.poll(odds).toBeGreaterThan(1.5 * before);
  await isSaved(page);
  // Taken back, the odds are as they were.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(odds).toBe(before);
});

test('a pad is moved by the keys, and a tipping piece says what to add', async ({
  page,
  request,
}, info) => {
  const jobId = await thinPane(request, `Keys ${info.project.name}`);
  const path = await openHole(page, jobId, 'Middle');
  await page.goto(`${path}/held`);
  await page.getByTestId('pads').getByRole('radio', { name: 'Pad 5' }).click();
  await page.getByTestId('held-map').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('pad-y')).toHaveValue('200 mm');
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByTestId('pad-x')).toHaveValue('69 mm');
  await page.getByTestId('pad-x').fill('900');
  await expect(page.getByText('lies outside the piece, which is 180 mm × 260 mm')).toBeVisible();
  await page.getByTestId('pad-x').fill('70');
  for (const pad of [5, 2, 1, 1]) {
    await page
      .getByTestId('pads')
      .getByRole('radio', { name: `Pad ${pad}` })
      .click();
    await page.getByTestId('remove-pad').click();
  }
  await expect(page.getByTestId('held-text')).toContainText('Put a pad under the hole');
  await page.getByTestId('whole-bed').click();
  await expect(page.getByTestId('held-text')).toContainText(/It (hardly )?sinks/);
  await isSaved(page);
});

test(
  'the odds are mapped over the piece, and the hole moves to a place on it',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await thinPane(request, 'Map of odds');
    const path = await openHole(page, jobId, 'Middle');
    await page.goto(`${path}/held`);
    await page.getByText('Odds elsewhere').click();
    await expect(page.getByTestId('odds-text')).toContainText(/^From 1 in \d+, pale, to 1 in \d+/);
    const map = page.getByTestId('held-map');
    const box = await stillBox(map);
    await map.tap({ position: { x: box.width / 2, y: box.height * 0.25 } });
    await expect(page.getByTestId('odds-here')).toContainText(/^At .* 1 in \d+, bent to/);
    await page.getByTestId('move-here').click();
    await isSaved(page);
    const hole = (await (
      await request.get(`/api/v1${path.replace(/.*\/holes/, '/holes')}`)
    ).json()) as {
      hole: { yMm: number };
    };
    expect(hole.hole.yMm).toBeGreaterThan(150);
  },
);

test('the water is planned: poured, clouded, and what a dry spell does', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Water ${info.project.name}`);
  const path = await openHole(page, jobId, 'Arbor');
  await page.getByTestId('room-water').click();
  await expect(page).toHaveURL(new RegExp(`${path}/water$`));
  await expect(page.getByTestId('water-bath')).toContainText('Pour');
  await page.getByTestId('water-cover').fill('20');
  await expect(page.getByTestId('water-bath')).toContainText('20 mm over the face');
  await expect(page.getByTestId('rim-chart').locator('path').first()).toBeVisible();
  await page.getByTestId('dry-spell').getByRole('radio', { name: '20 s dry' }).click();
  await expect(page.getByTestId('rim-text')).toContainText('such a spell passes it');
  await expect(page.getByTestId('checks')).toContainText('Mains power and water');
  await page.getByTestId('use-means-drip').click();
  await expect(page.getByTestId('water-drip')).toContainText('a second where the rim meets');
  await isSaved(page);
});

test(
  'stress on screen and on the command line are the same',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Same stress');
    const path = await openHole(page, jobId, 'Arbor');
    const plan = (await (
      await request.get(`/api/v1${path.replace(/.*\/holes/, '/holes')}/plan?bent=true`)
    ).json()) as { bendingStressMpa: number; bending: { kind: string } };
    expect(plan.bending.kind).toBe('bent');
    await expect(page.getByTestId('figure-bendingStressMpa')).toContainText(
      plan.bendingStressMpa.toPrecision(2),
    );
  },
);
