import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { toTheBench } from './bench';
import { ownJob } from './demoJob';
import { dragWithin, stillBox } from './planTouch';

declare global {
  interface Window {
    said: string[];
    beats: number[][];
    tones: number[];
    awake: number;
  }
}

/** Stands in for voice, motor, loudspeaker and screen lock, and notes what each was asked for. */
const listen = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    window.said = [];
    window.beats = [];
    window.tones = [];
    window.awake = 0;
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        speak: ({ text }: SpeechSynthesisUtterance) => window.said.push(text),
        cancel: () => undefined,
        getVoices: () => [],
        addEventListener: () => undefined,
      },
    });
    Object.defineProperty(navigator, 'vibrate', {
      value: (pattern: number[]) => {
        window.beats.push(pattern);
        return true;
      },
    });
    Object.defineProperty(navigator, 'wakeLock', {
      value: {
        request: () => {
          window.awake++;
          return Promise.resolve({
            release: () => Promise.resolve(),
            addEventListener: () => undefined,
            removeEventListener: () => undefined,
          });
        },
      },
    });
    const begin = Object.getOwnPropertyDescriptor(AudioScheduledSourceNode.prototype, 'start')
      ?.value as (this: OscillatorNode, at?: number) => void;
    OscillatorNode.prototype.start = function (at?: number) {
      window.tones.push(this.frequency.value);
      begin.call(this, at);
    };
  });

test('it speaks, sounds and shakes differently for lift and ease off, and keeps the screen on', async ({
  page,
  request,
}, info) => {
  await listen(page);
  const jobId = await ownJob(request, '1-dial-house', `Hands free ${info.project.name}`);
  await page.goto('/display');
  await page.getByTestId('bench-speak').getByRole('radio', { name: 'On' }).click();
  await page.getByTestId('bench-hand').getByRole('radio', { name: 'Left' }).click();
  await page.goto(`/jobs/${jobId}`);
  await page.clock.install();
  await page.getByTestId('hole-Arbor').click();
  await page.getByTestId('drill').click();
  await toTheBench(page);
  await page.getByTestId('run-main').click();
  await page.clock.runFor(70_000);
  await expect.poll(() => page.evaluate(() => window.said.join('; '))).toContain('Press, 23 N');
  await page.clock.runFor(30_000);
  const said = await page.evaluate(() => window.said);
  expect(said).toEqual(expect.arrayContaining(['Lift in five seconds', 'Lift']));
  const beats = await page.evaluate(() => window.beats.map(String));
  expect(new Set(beats).size).toBeGreaterThan(1);
  expect(await page.evaluate(() => new Set(window.tones).size)).toBeGreaterThan(2);
  expect(await page.evaluate(() => window.awake)).toBeGreaterThan(0);

  // The free hand is the left: the big button lies on its side.
  const [main, end] = [
    await page.getByTestId('run-main').boundingBox(),
    await page.getByTestId('run-end').boundingBox(),
  ];
  expect(main?.x ?? 0).toBeLessThan(end?.x ?? 0);
  // Large enough for a wet glove, the numbers for an arm's length.
  expect(Math.min(main?.height ?? 0, end?.height ?? 0)).toBeGreaterThanOrEqual(72);
  const size = await page
    .getByTestId('run-line')
    .evaluate((node) => parseFloat(getComputedStyle(node).fontSize));
  expect(size).toBeGreaterThanOrEqual(22);
});

test('the rim is dragged to where it really is, and the rest is timed anew', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Drag the rim ${info.project.name}`);
  await page.clock.install();
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Arbor').click();
  await page.getByTestId('drill').click();
  await toTheBench(page);
  await page.getByTestId('run-main').click();
  await page.clock.runFor(100_000);
  const drawing = page.getByTestId('run-drawing');
  const depth = async (): Promise<number> => Number(await drawing.getAttribute('aria-valuenow'));
  const before = await depth();
  const box = await stillBox(drawing);
  await dragWithin(page, box, [0.4, 0.5], [0.4, 0.58], info.project.name === 'phone');
  await expect.poll(depth).toBeGreaterThan(before + 0.5);
  await expect(page.getByTestId('story')).toContainText('Moved on the drawing');
});

test(
  'pictures of what came out are kept; what is no picture is refused with a word',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Pictures');
    await page.goto(`/jobs/${jobId}`);
    await page.getByTestId('hole-Arbor').click();
    await page.getByTestId('drill').click();
    const runId = await toTheBench(page);
    await page.getByTestId('run-main').click();
    await page.getByTestId('open-stop').click();
    await page.getByTestId('cracked').click();
    await page.getByTestId('to-result').click();
    const pick = async (name: string, buffer: Buffer): Promise<void> => {
      const chooser = page.waitForEvent('filechooser');
      await page.getByTestId('add-photo').click();
      await (await chooser).setFiles({ name, mimeType: 'image/jpeg', buffer });
    };
    await pick('fake.jpg', Buffer.from('not a picture at all'));
    await expect(page.getByTestId('photo-said')).toContainText('not a picture that can be opened');
    await expect(page.getByTestId('photos').locator('img')).toHaveCount(0);
    await pick('hole.jpg', await page.screenshot({ type: 'jpeg' }));
    await expect(page.getByTestId('photos').locator('img')).toHaveCount(1);
    await page.getByTestId('keep-result').click();
    await expect(page.getByTestId('run-mark')).toContainText('Logged');
    const { events } = (await (await request.get(`/api/v1/runs/${runId}`)).json()) as {
      events: { act: { kind: string; result?: { photoIds: string[]; crack: string } } }[];
    };
    const result = events.find(({ act }) => act.kind === 'result')?.act.result;
    expect(result).toMatchObject({ crack: 'hairline' });
    const kept = await request.get(`/api/v1/runs/${runId}/photos/${result?.photoIds[0] ?? ''}`);
    expect([kept.status(), kept.headers()['content-type']]).toEqual([200, 'image/jpeg']);
  },
);

test(
  'the log goes out and comes in again, and a list of past holes with it',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/log');
    const saved = page.waitForEvent('download');
    await page.getByTestId('log-json').click();
    expect((await saved).suggestedFilename()).toBe('log.nucleon-log.json');
    const path = await (await saved).path();
    const open = async (file: {
      name: string;
      mimeType: string;
      buffer: Buffer;
    }): Promise<void> => {
      const chooser = page.waitForEvent('filechooser');
      await page.getByTestId('log-open').click();
      await (await chooser).setFiles(file);
    };
    await open({
      name: 'log.nucleon-log.json',
      mimeType: 'application/json',
      buffer: readFileSync(path),
    });
    await expect(page.getByTestId('log-said')).toContainText(
      /^(\d+) of \1 runs are in the log now/,
    );
    const list =
      'date,material,thickness_mm,diameter_mm,minutes,outcome,hole\n2025-04-01,slate,14,12,4.2,fine,Old post\n2025-04-02,cheese,5,6,1,fine,No\n';
    await open({ name: 'past.csv', mimeType: 'text/csv', buffer: Buffer.from(list) });
    await expect(page.getByTestId('log-said')).toContainText('1 of 1 runs are in the log now');
    await expect(page.getByTestId('log-files')).toContainText('Row 3: material is “cheese”');
    await page.getByTestId('log-search').fill('Old post');
    await expect(page.getByTestId('run-Old post')).toContainText('Fine');
  },
);
