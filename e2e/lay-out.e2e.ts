import { readFile } from 'node:fs/promises';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { answerOf, isSaved, ownJob } from './demoJob';
import { dragOnPlan, shownMm, tapPlan } from './planTouch';

/** A porch of the test's own, with one of its pieces laid out on the screen. */
async function layOut(
  page: Page,
  request: APIRequestContext,
  demo: '1-dial-house' | '2-garden' | '3-porch',
  piece: string,
  name: string,
): Promise<string> {
  const jobId = await ownJob(request, demo, name);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId(`place-${piece}`).click();
  await expect(page.getByTestId('plan-canvas')).toBeVisible();
  return jobId;
}
const tool = (page: Page, name: string): Promise<void> => answerOf(page, 'place-tool', name);

test('a hole is dragged, told how near it comes, nudged, typed and taken back', async ({
  page,
  request,
  hasTouch,
}, info) => {
  await layOut(page, request, '3-porch', 'Lamp pad', `Drag ${info.project.name}`);
  await dragOnPlan(page, [0.5, 0.5], [0.5, 0.7], hasTouch);
  await expect(page.getByTestId('clash')).toContainText('Lower bar');
  await expect(page.getByTestId('edges')).toContainText('Three hole diameters to a free edge');
  await isSaved(page);
  // The drag rested on the centre line of the pad.
  expect(await shownMm(page.getByTestId('place-x'))).toBe(300);
  expect(await shownMm(page.getByTestId('place-y'))).toBeLessThan(200);

  await page.getByTestId('place-y').fill('260');
  await page.getByTestId('place-y').blur();
  await expect(page.getByTestId('clash')).toBeHidden();
  if (!hasTouch) {
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await expect(page.getByTestId('place-x')).toHaveValue('301.1 mm');
    await page.keyboard.press('Control+z');
  }
  await page.getByTestId('undo').click();
  await page.getByTestId('undo').click();
  await expect(page.getByTestId('place-y')).toHaveValue('300 mm');
  await isSaved(page);
});

test('a scanned cable in the way is a stop in the plan, until the hole is moved', async ({
  page,
  request,
  hasTouch,
}, info) => {
  await layOut(page, request, '3-porch', 'Marble basin', `Scan ${info.project.name}`);
  await tool(page, 'Scan');
  await answerOf(page, 'band-kind', 'Cable');
  await page.getByTestId('band-unsure').fill('15');
  await dragOnPlan(page, [0.5, 0.02], [0.5, 0.98], hasTouch);
  await expect(page.getByTestId('band-1')).toContainText('a band of 45 mm');
  await isSaved(page);
  await tool(page, 'Move');
  await page.getByTestId('pick-Tap').click();
  await expect(page.getByTestId('clash')).toBeVisible();
  await page.getByTestId('place-plan').click();
  await expect(page.getByText('The hole runs into what the scan found').first()).toBeVisible();
});

test('a pattern, a mirror and marked places', async ({ page, request, hasTouch }, info) => {
  await layOut(page, request, '3-porch', 'Porcelain threshold', `Pattern ${info.project.name}`);
  await page.getByTestId('pick-Bolt, left').click();
  await tool(page, 'Add holes');
  await page.getByTestId('pattern-count').fill('4');
  await page.getByTestId('pattern-pitchMm').fill('120');
  await page.getByTestId('pattern-set').click();
  await expect(page.getByTestId('hole-list')).toContainText('Hole 5');
  await expect(page.getByTestId('pick-Hole 5')).toContainText('420 mm × 75 mm');
  await page.getByTestId('pick-Hole 3').click();
  await page.getByTestId('place-y').fill('40');
  await page.getByTestId('choose-all').click();
  await page.getByTestId('align-level').click();
  await expect(page.getByTestId('pick-Hole 3')).toContainText('× 75 mm');
  await isSaved(page);

  await tool(page, 'Keep clear');
  await answerOf(page, 'keep-kind', 'Crack');
  await dragOnPlan(page, [0.55, 0.45], [0.55, 0.6], hasTouch);
  await expect(page.getByTestId('keep-1')).toContainText('Crack');
  await tool(page, 'Move');
  await page.getByTestId('pick-Hole 5').click();
  await expect(page.getByTestId('edges')).toContainText('Three thicknesses from a crack');
  await isSaved(page);
  await page.reload();
  await expect(page.getByTestId('hole-list')).toContainText('Hole 5');
});

test('holes go evenly round a pot, and each says how to bed it', async ({
  page,
  request,
}, info) => {
  await layOut(page, request, '2-garden', 'Stoneware lantern', `Round ${info.project.name}`);
  await answerOf(page, 'place-face', 'Side, unrolled');
  await page.getByTestId('pick-Cord, side').click();
  await tool(page, 'Add holes');
  await answerOf(page, 'pattern-kind', 'Evenly round the wall');
  await page.getByTestId('pattern-count').fill('3');
  await page.getByTestId('pattern-set').click();
  await page.getByTestId('pick-Hole 3').click();
  // A third of the way round from 140 mm: 140 + 180π/3.
  await expect(page.getByTestId('place-x')).toHaveValue('328.5 mm');
  await expect(page.getByTestId('round-setting')).toContainText('so that the hole lies on top');
  await page.getByTestId('place-fold-round').click();
  await expect(page.getByRole('img', { name: /Looking down on it/ })).toBeVisible();
  await isSaved(page);
});

test('an outline is traced by taps and its holes keep their place on the piece', async ({
  page,
  request,
  hasTouch,
}, info) => {
  await layOut(page, request, '1-dial-house', 'Lantern side pane', `Trace ${info.project.name}`);
  await tool(page, 'Outline');
  await tapPlan(page, [0.42, 0.2], hasTouch);
  await tapPlan(page, [0.58, 0.8], hasTouch);
  await page.getByTestId('trace-use').click();
  await expect(page.getByTestId('trace-fault')).toContainText('at least three points');
  await tapPlan(page, [0.4, 0.85], hasTouch);
  await page.getByTestId('trace-use').click();
  await expect(page.getByText('Side 3')).toBeVisible();
  await page.getByTestId('undo').click();
  await expect(page.getByText('Side 3')).toBeHidden();
  await isSaved(page);
});

test('a 1:1 template is saved, and a drawing becomes outline and holes', async ({
  page,
  request,
}, info) => {
  await layOut(page, request, '1-dial-house', 'Glass dial', `Files ${info.project.name}`);
  await page.getByTestId('place-fold-files').click();
  const saved = page.waitForEvent('download');
  await page.getByTestId('write-pdf').click();
  const download = await saved;
  expect(download.suggestedFilename()).toBe('glass-dial.pdf');
  expect((await readFile(await download.path())).subarray(0, 5).toString()).toBe('%PDF-');
  await expect(page.getByTestId('write-said')).toContainText('Print at 100 %');

  const drawing = (content: string, name: string) => async (): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByTestId('read-open').click();
    await (
      await chooser
    ).setFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(content) });
  };
  await drawing('<!DOCTYPE svg [<!ENTITY a "b">]><svg>&a;</svg>', 'bomb.svg')();
  await expect(page.getByTestId('read-trouble')).toContainText('declares entities');
  await drawing(
    '<svg><g id="edge"><rect width="10" height="6"/></g><g id="bores"><circle cx="5" cy="3" r="0.5"/></g><text>hi</text></svg>',
    'plate.svg',
  )();
  await expect(page.getByTestId('read-found')).toContainText('does not say its unit');
  await answerOf(page, 'read-unit', 'inch');
  await expect(page.getByTestId('read-size')).toHaveText('254 mm × 152.4 mm');
  await expect(page.getByTestId('read-taken')).toContainText('1 outline, 1 holes');
  await expect(page.getByTestId('read-left')).toContainText('1 words');
  await page.getByRole('checkbox', { name: 'bores' }).click();
  await expect(page.getByTestId('read-taken')).not.toContainText('holes');
  await page.getByRole('checkbox', { name: 'bores' }).click();
  await page.getByTestId('read-use').click();
  await expect(page.getByTestId('hole-list')).toContainText('25.4 mm at 127 mm × 76.2 mm');
  await isSaved(page);
});

test('what was marked is measured, and told whether it matters', async ({
  page,
  request,
}, info) => {
  await layOut(page, request, '1-dial-house', 'Lantern side pane', `Marks ${info.project.name}`);
  await page.getByTestId('to-marks').click();
  const card = page.getByTestId('mark-Cable');
  await expect(card).toContainText('90 mm');
  await page.getByTestId('measured-firstMm-1').fill('93');
  await page.getByTestId('measured-secondMm-1').fill('30');
  await expect(page.getByTestId('check-1')).toContainText('3 mm right');
  await page.getByTestId('measured-checkMm-1').fill('105');
  await expect(page.getByTestId('check-1')).toContainText('do not agree');
  await answerOf(page, 'datum-x', 'Right');
  await expect(card).toContainText('From the right edge');
  await isSaved(page);
});

test('the guide, the dam and the fall are calculated, and the guide counts in the plan', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '2-garden', `Guide ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Basin overflow').click();
  await page.getByTestId('fold-hole').click();
  await page.getByTestId('to-guide').click();
  await page.getByTestId('guide-thickness').fill('40');
  await page.getByTestId('guide-clearance').fill('0.4');
  // 272 × 0.4/40 + half the play.
  await expect(page.getByTestId('guide-board')).toContainText('2.9 mm after 272 mm');
  await page.getByTestId('fall-one-in').fill('50');
  await page.getByTestId('fall-base').fill('500');
  await expect(page.getByTestId('fall')).toContainText('10 mm under one end');
  await expect(page.getByTestId('dam')).toContainText('Water to pour in');
  await isSaved(page);
});

test('a house rule is kept for every job @once', async ({ page, request }) => {
  await layOut(page, request, '3-porch', 'Marble basin', 'House');
  await page.getByTestId('place-fold-house').click();
  await answerOf(page, 'house-per', 'Millimetres');
  await page.getByTestId('house-value').fill('30');
  await answerOf(page, 'house-school', 'Your house rule');
  await page.getByTestId('house-keep').click();
  await page.getByTestId('pick-Tap').click();
  await expect(page.getByTestId('edges')).toContainText(
    'Your house rule, to the edge: this one applies',
  );
  // Put back as it was found: the house is every test's.
  await answerOf(page, 'house-per', 'No house rule');
  await answerOf(page, 'house-school', 'The strictest');
  await page.getByTestId('house-keep').click();
  await expect(page.getByTestId('edges')).not.toContainText('Your house rule');
});

test('the same holes go onto more pieces like it @once', async ({ page, request }) => {
  const jobId = await layOut(page, request, '1-dial-house', 'Lantern side pane', 'Like');
  await page.getByTestId('place-fold-like').click();
  await page.getByTestId('like-count').fill('2');
  await page.getByTestId('like-more').click();
  await expect(page.getByTestId('like-said')).toContainText('Made 2 more');
  await page.goto(`/jobs/${jobId}`);
  await expect(page.getByTestId('piece-Lantern side pane 3')).toContainText('8 mm');
});

/** A grey picture of 4 × 2 points. */
const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAQAAAACCAIAAADwyuo0AAAAEElEQVR4nGPomFkORwzIHACmYgzBn6TtMgAAAABJRU5ErkJggg==',
  'base64',
);

test('a photograph is laid under the piece and brought to scale @once', async ({
  page,
  request,
  hasTouch,
}) => {
  await layOut(page, request, '2-garden', 'Slate sundial plate', 'Photo');
  await tool(page, 'Photo');
  const give = async (name: string, buffer: Buffer): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByTestId('photo-lay').click();
    await (await chooser).setFiles({ name, mimeType: 'image/png', buffer });
  };
  await give('fake.png', Buffer.from('not a picture'));
  await expect(page.getByText('This file is not a picture that can be read')).toBeVisible();
  await give('slate.png', PICTURE);
  await expect(page.getByText('Laid under the piece')).toBeVisible();
  await tapPlan(page, [0.3, 0.5], hasTouch);
  await tapPlan(page, [0.6, 0.5], hasTouch);
  await page.getByTestId('photo-true').fill('250');
  await page.getByTestId('photo-scale').click();
  await expect(page.getByTestId('photo-true')).toBeHidden();
  await isSaved(page);
});
