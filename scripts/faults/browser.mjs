/** The browser killed right after it says that a tap at the bench is kept, with no server to send it to. */
import { readdir, readFile } from 'node:fs/promises';
import { CHROMIUM_ARGS, CHROMIUM_PATH, PHONE } from '../setup/chromium.mjs';
import { sleep } from '../setup/run.mjs';
import { newFolder, openStack } from './stack.mjs';

const WITHIN_MS = 30_000;

async function openBench(page) {
  await page.getByTestId('jobs').getByText('Clock court: dial house').click();
  await page.getByTestId('hole-Arbor').click();
  await page.getByTestId('drill').click();
  await page.getByTestId('ready-items').waitFor();
  const answers = page
    .locator('[data-testid^="gate-"]')
    .getByRole('button')
    .filter({ hasNotText: 'Take back' });
  for (let left = await answers.count(); left > 0; left = await answers.count()) {
    await answers.first().click();
    await sleep(300);
  }
  for (const box of await page.locator('[data-testid^="ready-"][role=checkbox]').all())
    if ((await box.getAttribute('aria-checked')) !== 'true') await box.click();
  await page.getByTestId('begin-run').click();
  await page.getByTestId('run-main').waitFor();
}

/** Ids of all that the device has written down. */
const keptIds = (page) =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const asked = indexedDB.open('nucleon-bench');
        asked.onerror = () => reject(asked.error);
        asked.onsuccess = () => {
          const keys = asked.result.transaction('events').objectStore('events').getAllKeys();
          keys.onsuccess = () => resolve(keys.result.map(([, event]) => event));
        };
      }),
  );

export async function browser({ work, random, short }) {
  const { chromium } = await import('@playwright/test');
  const stack = await openStack(await newFolder(work, 'bench-'));
  const profile = await newFolder(work, 'profile-');
  const open = async () => {
    const context = await chromium.launchPersistentContext(profile, {
      executablePath: CHROMIUM_PATH,
      args: CHROMIUM_ARGS,
      viewport: PHONE,
      serviceWorkers: 'allow',
    });
    context.setDefaultTimeout(WITHIN_MS);
    return context;
  };
  let context = await open();
  const result = { tried: 0, lost: 0, doubled: 0, failedToStart: 0 };
  try {
    let page = await context.newPage();
    await page.goto(stack.address);
    await openBench(page);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    const url = page.url();
    // The whole server away: the device alone has what happens now.
    await stack.stop();
    for (let round = 0; round < (short ? 3 : 12); round++) {
      result.tried++;
      const before = new Set(await keptIds(page));
      await page.getByTestId('run-main').click();
      await page.getByTestId('run-mark').getByText('Kept here').waitFor();
      const said = (await keptIds(page)).filter((id) => !before.has(id));
      await sleep(random() * 30);
      // The browser and all its processes at once, as an empty battery does.
      await killProfile(profile);
      await context.close().catch(() => undefined);
      context = await open();
      page = await context.newPage();
      await page.goto(url);
      await page.getByTestId('run-main').waitFor();
      const after = await keptIds(page);
      result.lost += said.filter((id) => !after.includes(id)).length + (said.length === 0 ? 1 : 0);
      result.doubled += after.length - new Set(after).size;
    }
  } finally {
    await context.close().catch(() => undefined);
    await stack.stop();
  }
  return result;
}

/** Kills every process of the browser that has this profile. */
async function killProfile(profile) {
  for (const pid of (await readdir('/proc')).filter((name) => /^\d+$/.test(name))) {
    const words = await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '');
    if (words.includes(profile) && words.includes('chromium'))
      try {
        process.kill(Number(pid), 'SIGKILL');
      } catch {
        // Gone with its parent already.
      }
  }
  await sleep(300);
}
