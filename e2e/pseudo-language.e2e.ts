import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { PSEUDO_FOLDER } from '../scripts/setup/web.mjs';

const JOB = '/jobs/0192d0c0-0010-7000-8000-000000000001';
const HOLE = `${JOB}/holes/0192d0c0-0030-7000-8000-000000000001`;
const GLASS_HOLE = `${JOB}/holes/0192d0c0-0030-7000-8000-000000000003`;
const PIECE = `${JOB}/pieces/0192d0c0-0020-7000-8000-000000000001`;
const RUN = '/runs/0192d0c0-0040-7000-8000-000000000001';
const ROOMS = [
  'choose',
  'window',
  'compare',
  'press',
  'held',
  'water',
  'through',
  'operations',
  'risk',
  'hire',
  'know',
  'purpose',
  'instead',
  'guide',
  'ready',
];
const PLACES = [
  ...['/', '/new', '/bin', '/display', '/kit', '/log', '/nowhere'],
  ...[JOB, `${JOB}/bin`, `${JOB}/materials`, `${PIECE}/place`, `${PIECE}/marks`],
  ...[RUN, `${RUN}/result`, GLASS_HOLE, HOLE],
  ...ROOMS.map((room) => `${HOLE}/${room}`),
];
/** Two words of plain letters beside each other, or one that begins a label. */
const ENGLISH = /[A-Za-z]{2,} [a-z]{2,}|^[A-Z][a-z]{2,}$/;
/** The library of dates writes them out by itself; names of the product and of paper are the same in every language. */
const OWN_WORDS =
  /Nucleon|Letter|((about|over|almost|less than) )?\ba?n? ?\d* (second|minute|hour|day|month|year)s? ago\b|\d+ [A-Z][a-z]{2}\b( \d{4})?/g;

/** Serves the files of the pseudo-language build in place of the app's own; what is asked of the server goes on. */
async function inPseudoLanguage(page: Page): Promise<void> {
  await page.route(
    ({ pathname }) => !pathname.startsWith('/api/'),
    async (route) => {
      const path = join(PSEUDO_FOLDER, decodeURIComponent(new URL(route.request().url()).pathname));
      const isFile = existsSync(path) && !path.endsWith('/');
      await route.fulfill({ path: isFile ? path : join(PSEUDO_FOLDER, 'index.html') });
    },
  );
}

function* textsIn(value: unknown): Generator<string> {
  if (typeof value === 'string') yield value;
  else if (typeof value === 'object' && value !== null)
    for (const part of Object.values(value)) yield* textsIn(part);
}

/** What people wrote themselves, and what the server says of their jobs: it is shown as it is. */
async function writtenByPeople(request: APIRequestContext): Promise<readonly string[]> {
  const paths = ['/jobs', JOB, `${JOB}/export`, '/bits', '/machines', '/kit/parts', '/runs'];
  const texts = new Set<string>();
  for (const path of paths) {
    const response = await request.get(`/api/v1${path}`);
    expect(response.ok(), path).toBe(true);
    for (const text of textsIn(await response.json()))
      if (/[A-Za-z]{3}/.test(text)) texts.add(text);
  }
  return [...texts].sort((a, b) => b.length - a.length);
}

/** All that is to be seen or read out on the page. */
const shownOn = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const texts: string[] = [document.title];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const { parentElement, textContent } = walker.currentNode;
      if (!parentElement?.closest('script, style, noscript, textarea'))
        texts.push(textContent ?? '');
    }
    for (const name of ['aria-label', 'placeholder', 'title'])
      for (const element of document.body.querySelectorAll(`[${name}]`))
        texts.push(element.getAttribute(name) ?? '');
    return texts.map((text) => text.trim());
  });

test('every word on every screen comes through words @once', async ({ page, request }) => {
  test.setTimeout(300_000);
  await inPseudoLanguage(page);
  const theirs = await writtenByPeople(request);
  const raw: string[] = [];
  for (const place of PLACES) {
    await page.goto(place);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    const folds = page.locator('[aria-expanded="false"]');
    for (let left = await folds.count(); left > 0; left--) await folds.nth(left - 1).click();
    for (const shown of await shownOn(page)) {
      const text = theirs
        .reduce((rest, own) => rest.replaceAll(own, '').replaceAll(own.toLowerCase(), ''), shown)
        .replaceAll(OWN_WORDS, '')
        .trim();
      if (ENGLISH.test(text)) raw.push(`${place}: ${text.slice(0, 120)}`);
    }
  }
  expect([...new Set(raw)]).toEqual([]);
});
