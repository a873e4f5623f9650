import { expect, test, type Page } from '@playwright/test';
import { answerOf, isSaved, ownJob } from './demoJob';

/** Opens the lantern pane that nobody vouches for. */
async function openUnknownPane(page: Page, jobId: string): Promise<void> {
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Cable').click();
  await expect(page.getByTestId('gate-unknown-treatment')).toBeVisible();
}

/** Answers or skips the questions of the test until the list of what it may be. */
async function answerUntilFound(page: Page, answers: Record<string, string>): Promise<void> {
  for (let asked = 0; asked < 8; asked++) {
    const at = page.locator('[data-testid^="know-at-"]');
    const id = ((await at.getAttribute('data-testid')) ?? '').replace('know-at-', '');
    if (id === 'found') return;
    const label = answers[id.replace('q:', '')];
    if (label === undefined) await page.getByTestId('know-skip').click();
    else await page.getByTestId('know-answers').getByRole('radio', { name: label }).click();
    await expect(page.getByTestId(`know-at-${id}`)).toBeHidden();
  }
  await expect(page.getByTestId('know-at-found')).toBeVisible();
}

test('an unknown pane goes from stop to drillable by the polariser test', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Pane ${info.project.name}`);
  await openUnknownPane(page, jobId);
  await page.getByTestId('stop-know').click();
  await answerOf(page, 'know-kind', 'Glass');
  await page.getByTestId('know-help').click();
  await answerUntilFound(page, {
    thing: 'Picture frame, old window, shelf of a cabinet',
    label: 'None anywhere',
    edge: 'A cut edge, straight and sharp or just broken off',
    control: 'Yes: the known pane shows spots or bands',
    pattern: 'Evenly dark, clear all over',
  });
  await expect(page.getByTestId('found-conclusion')).toContainText('It may be drilled');
  await page.getByTestId('found-take').click();
  await answerOf(page, 'know-form', 'Sheet');
  await page.getByTestId('reading').fill('3.9');
  await page.getByTestId('add-reading').click();
  await page.getByTestId('reading').fill('4.1');
  await page.getByTestId('add-reading').click();
  await page.getByTestId('know-thickness-done').click();
  await answerOf(page, 'know-loose', 'Loose: it can be turned over and laid on a backing');
  await answerOf(page, 'know-damage', 'None that I can find');
  await answerOf(page, 'know-spare', 'It is the only one');
  await expect(page.getByTestId('know-at-done')).toContainText('vouched for: polariser clear');
  await isSaved(page);
  await page.getByTestId('know-to-plan').click();

  // One stop is left: a turn of a knob.
  await expect(page.getByTestId('gate-unknown-treatment')).toContainText(
    'Polariser test clear, after it showed a tempered pane',
  );
  await page.getByTestId('answer-rotation-only').click();
  await expect(page.getByTestId('stops')).toBeHidden();
  await isSaved(page);
  await page.reload();
  await expect(page.getByTestId('checks')).toBeVisible();
  await expect(page.getByTestId('stops')).toBeHidden();
});

test('another pane turns out tempered and stays blocked, with other ways shown', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Blocked ${info.project.name}`);
  await openUnknownPane(page, jobId);
  await page.getByTestId('stop-know').click();
  await answerOf(page, 'know-kind', 'Glass');
  await page.getByTestId('know-help').click();
  await answerUntilFound(page, {
    thing: 'Door, shower, balustrade',
    control: 'Yes: the known pane shows spots or bands',
    pattern: 'Spots or bands all over, in a pattern',
  });
  await expect(page.getByTestId('found-conclusion')).toContainText('It must not be drilled');
  await page.getByTestId('found-take').click();
  await page.getByRole('button', { name: 'Back to the plan' }).click();
  await expect(page.getByTestId('gate-strengthened-glass')).toContainText('no way round');
  await page.getByTestId('stop-instead').click();
  await expect(page.getByTestId('instead-must')).toContainText('Order it made with the hole');
  await expect(page.getByTestId('add-practice')).toBeHidden();
});

test('a stone nobody is sure of widens the plan, and is left and resumed', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '2-garden', `Stone ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Gnomon foot').click();
  const before = await page.getByTestId('figure-drillTimeS').innerText();
  await page.goto(`${page.url()}/know`);
  await answerOf(page, 'know-kind', 'Stone, shell, gem');
  await page.getByTestId('know-help').click();
  await answerOf(page, 'know-answers', /Splits in thin flat layers|Nothing|A steel nail/);
  await isSaved(page);
  // Left half way, gone on with later.
  await page.goto(page.url().split('/know')[0] ?? '/');
  await page.goto(`${page.url()}/know`);
  await expect(page.locator('[data-testid^="know-at-q:"]')).toBeVisible();
  await answerUntilFound(page, {});
  await expect(page.getByTestId('shares')).toContainText('in 100');
  await page.getByTestId('found-not-sure').click();
  await isSaved(page);
  await page.goto(page.url().split('/know')[0] ?? '/');
  await expect(page.getByTestId('warnings')).toContainText('Planned for');
  await expect.poll(() => page.getByTestId('figure-drillTimeS').innerText()).not.toBe(before);
});

test('a scan is recorded in writing, and a hole that is moved asks again @once', async ({
  page,
  request,
}) => {
  const jobId = await ownJob(request, '2-garden', 'Scan');
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Basin overflow').click();
  await expect(page.getByTestId('checks')).toContainText('Wall scanner of the workshop');
  await page.getByRole('button', { name: 'Take back the answer on What runs' }).click();
  await expect(page.getByTestId('gate-hidden-services')).toContainText(
    'Nobody has recorded a scan',
  );
  await page.getByTestId('answer-scanned-marked').click();
  await expect(page.getByTestId('record-hidden-services')).toBeDisabled();
  await page.getByTestId('note-hidden-services').fill('Own scanner, both faces, 90 mm');
  await page.getByTestId('record-hidden-services').click();
  await expect(page.getByTestId('stops')).toBeHidden();
  await page.getByTestId('fold-hole').click();
  await page.getByTestId('place-y').fill('600');
  await expect(page.getByTestId('gate-hidden-services')).toContainText('answered before');
  await page.getByTestId('undo').click();
  await expect(page.getByTestId('stops')).toBeHidden();
});

test('eye protection is confirmed once for the whole job @once', async ({ page, request }) => {
  const jobId = await ownJob(request, '3-porch', 'Eyes');
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Tap').click();
  await page.getByTestId('answer-eyes-covered').click();
  await expect(page.getByTestId('gate-eyes')).toContainText('Eye protection is on');
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Bolt, left').click();
  await expect(page.getByTestId('gate-eyes')).toContainText('Eye protection is on');
});
