import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { ownJob } from './demoJob';

test(
  'a new bit joins the kit and the plans that may use it',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Kit');
    await page.goto('/kit');
    await page.getByTestId('add-bit').click();
    await page.getByTestId('every-detail').click();
    await page.getByTestId('bit-family').getByRole('radio', { name: 'Plated cup saw' }).click();
    await page.getByTestId('bit-diameter').fill('24');
    await page.getByTestId('bit-name').fill('Test cup 24');
    await page.getByTestId('bit-sharpness').fill('2');
    await expect(page.getByText('“2” will not do')).toBeVisible();
    await page.getByTestId('bit-sharpness').fill('0,9');
    await page.getByTestId('kit-save').click();
    await expect(page.getByRole('button', { name: /Test cup 24/ })).toBeVisible();
    await page.goto(`/jobs/${jobId}`);
    await page.getByText('Arbor').first().click();
    await page.getByTestId('fold-setup').click();
    await expect(page.getByTestId('bit').getByRole('radio', { name: /Test cup 24/ })).toBeVisible();

    await page.goto('/kit');
    await page.getByRole('button', { name: /Test cup 24/ }).click();
    await page.getByRole('button', { name: 'Delete' }).click();
    await expect(page.getByRole('button', { name: /Test cup 24/ })).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: /Test cup 24/ })).toBeVisible();
    await page.getByRole('button', { name: /Test cup 24/ }).click();
    await page.getByRole('button', { name: 'Delete' }).click();
  },
);

test(
  'jobs are searched, renamed, deleted and brought back',
  { tag: '@once' },
  async ({ page, request }) => {
    await ownJob(request, '2-garden', 'Orchard wall');
    await page.goto('/');
    await expect(page.getByTestId('jobs')).toBeVisible();
    await page.keyboard.press('/');
    await expect(page.getByTestId('search')).toBeFocused();
    await page.getByTestId('search').fill('orchard w');
    await expect(page.getByTestId('jobs').getByRole('listitem')).toHaveCount(1);
    await page.getByText('Orchard wall').click();
    await page.getByTestId('edit-job').click();
    await page.getByTestId('job-name').fill('Orchard gate');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Orchard gate' })).toBeVisible();
    await page.getByTestId('delete-job').click();
    // A search first read before the job is back, and answered after it, is read again.
    await page.route(
      /search=orchard$/,
      async (route) => {
        const early = await route.fetch();
        const back = page.waitForResponse(/restore$/);
        await page.getByRole('button', { name: 'Undo' }).click();
        await back;
        await route.fulfill({ response: early });
      },
      { times: 1 },
    );
    await page.getByTestId('search').fill('orchard');
    await expect(page.getByTestId('jobs').getByText('Orchard gate')).toBeVisible();
    await page.getByTestId('search').fill('no such thing');
    await expect(page.getByText('Nothing by that name')).toBeVisible();
  },
);

test(
  'a faulty job file is refused whole, with what is wrong where',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    const open = async (name: string, text: string): Promise<void> => {
      const chooser = page.waitForEvent('filechooser');
      await page.getByTestId('import').click();
      await (
        await chooser
      ).setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
    };
    await open('broken.json', '{"format": NaN}');
    await expect(page.getByTestId('import-trouble')).toContainText('“broken.json” is not JSON');
    await open(
      'wrong.json',
      JSON.stringify({
        format: 'nucleon-job',
        version: 1,
        job: { id: 'j', name: 'J' },
        pieces: [
          {
            id: 'p',
            name: 'P',
            form: 'sheet',
            material: 'slate',
            thicknessMm: '6 mm',
            outline: { kind: 'circle', diameterMm: 9 },
            holes: [],
          },
        ],
      }),
    );
    await expect(page.getByTestId('import-trouble')).toContainText(
      '/pieces/0/thicknessMm: thicknessMm is “6 mm”',
    );
  },
);

test('inches, pounds and the dark are remembered', { tag: '@once' }, async ({ page, request }) => {
  const jobId = await ownJob(request, '1-dial-house', 'Inches');
  await page.goto('/display');
  await page.getByTestId('length-units').getByRole('radio', { name: 'Inches' }).click();
  await page.getByTestId('theme').getByRole('radio', { name: 'Dark' }).click();
  await page.goto(`/jobs/${jobId}`);
  await page.getByText('Arbor').first().click();
  await expect(page.getByTestId('figure-feedForceN')).toContainText('lbf');
  await expect(page.getByTestId('figure-feedForceN')).toContainText('psi');
});

test('an address that leads nowhere says so', { tag: '@once' }, async ({ page }) => {
  await page.goto('/nowhere/at/all');
  await expect(page.getByText('There is nothing at this address')).toBeVisible();
  await page.goto('/jobs/none/holes/none');
  await expect(page.getByTestId('failed')).toContainText('There is no hole “none”');
});

/** A bit of the demo's. */
const CUP_22 = '0192d0c0-0001-7000-8000-000000000002';

/** Every screen by its address, in two lots so that neither takes too long. */
const LOTS: Record<
  string,
  (jobId: string, holes: readonly string[], pieceId: string) => readonly string[]
> = {
  rooms: (jobId, holes) => [
    '/',
    '/new',
    '/kit',
    '/display',
    `/jobs/${jobId}`,
    `/jobs/${jobId}/holes/${holes[0] ?? ''}`,
    `/jobs/${jobId}/holes/${holes.at(-1) ?? ''}`,
  ],
  'place and marks': (jobId, holes, pieceId) => [
    `/jobs/${jobId}/pieces/${pieceId}/place?hole=${holes[0] ?? ''}`,
    `/jobs/${jobId}/pieces/${pieceId}/marks`,
    `/jobs/${jobId}/holes/${holes[0] ?? ''}/guide`,
  ],
  'kit and choice': (jobId, holes) => {
    const hole = `/jobs/${jobId}/holes/${holes[0] ?? ''}`;
    return [
      '/kit?shelf=couplings',
      `/kit?check=${CUP_22}`,
      ...['choose', 'window', 'compare', 'press', 'through', 'operations', 'risk', 'hire'].map(
        (room) => `${hole}/${room}`,
      ),
    ];
  },
  'held and wet': (jobId, holes) => {
    const hole = `/jobs/${jobId}/holes/${holes[0] ?? ''}`;
    return [`${hole}/held`, `${hole}/water`];
  },
  'at the bench': (jobId, holes) => [
    `/jobs/${jobId}/holes/${holes[1] ?? ''}/ready`,
    '/log',
    ...[1, 3, 6].map((n) => `/runs/0192d0c0-0040-7000-8000-00000000000${n}`),
    '/runs/0192d0c0-0040-7000-8000-000000000002/result',
  ],
  'piece and part': (jobId, holes) => {
    const hole = `/jobs/${jobId}/holes/${holes.at(-1) ?? ''}`;
    return [
      `${hole}/know?step=found`,
      `${hole}/know?step=thickness`,
      `${hole}/purpose`,
      `${hole}/purpose?kind=list`,
      `${hole}/instead`,
      `/jobs/${jobId}/materials`,
    ];
  },
};

for (const [lot, paths] of Object.entries(LOTS)) {
  test(`${lot}: screens are readable and reachable, light and dark`, async ({
    page,
    request,
  }, info) => {
    const jobId = await ownJob(request, '1-dial-house', `Reach ${lot} ${info.project.name}`);
    const job = (await (await request.get(`/api/v1/jobs/${jobId}`)).json()) as {
      pieces: { id: string; holes: { id: string }[] }[];
    };
    const holes = job.pieces.flatMap((piece) => piece.holes.map((hole) => hole.id));
    for (const path of paths(jobId, holes, job.pieces[0]?.id ?? '')) {
      await page.emulateMedia({ colorScheme: 'light' });
      await page.goto(path);
      await page.getByRole('heading').first().waitFor();
      await page.waitForTimeout(400);
      // Only what is wrong is carried over, and no frame of another origin is looked for: there is none.
      const axe = () =>
        new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
      const light = await axe().withTags(['wcag2a', 'wcag2aa']).analyze();
      const ground = (): Promise<string> =>
        page.getByRole('main').evaluate((main) => getComputedStyle(main).backgroundColor);
      const lightGround = await ground();
      await page.emulateMedia({ colorScheme: 'dark' });
      await expect.poll(ground, { message: `${path} goes dark` }).not.toBe(lightGround);
      // The same page in other colours: what it says and how it is reached do not change.
      const dark = await axe().withRules(['color-contrast', 'link-in-text-block']).analyze();
      expect(
        [...light.violations, ...dark.violations].map(
          (one) => `${path} ${one.id}: ${one.nodes[0]?.html ?? ''}`,
        ),
      ).toEqual([]);
    }
  });
}
