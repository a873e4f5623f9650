import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { noteSign, pressMain, toTheBench } from './bench';
import { ownJob } from './demoJob';

test(
  'what the server will not have is said at once, kept, saved as a file and sent again',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Refused entries');
    await page.goto(`/jobs/${jobId}`);
    await page.getByTestId('hole-Arbor').click();
    await page.getByTestId('drill').click();
    const runId = await toTheBench(page);
    await expect(page.getByTestId('run-mark')).toContainText('Logged');
    // A server that will not have one kind of entry.
    await page.route('**/events', async (route) => {
      const { events } = route.request().postDataJSON() as { events: { act: { kind: string } }[] };
      const faults = events.flatMap(({ act }, index) =>
        act.kind === 'sign'
          ? [{ pointer: `/events/${index}/act`, message: 'This sign is not known here.' }]
          : [],
      );
      if (faults.length === 0) await route.continue();
      else
        await route.fulfill({
          status: 422,
          contentType: 'application/problem+json',
          body: JSON.stringify({ code: 'faulty', title: '', status: 422, detail: 'No.', faults }),
        });
    });
    await pressMain(page);
    await noteSign(page, 'plume');
    const refused = page.getByTestId('refused');
    await expect(refused).toContainText(
      '1 entry stays on this device, for the server will not take it: This sign is not known here.',
    );
    await expect(page.getByTestId('run-mark')).toContainText('Not taken');
    // Through a reload, and told in the logbook too.
    await page.goto('/log');
    await expect(refused).toContainText('1 entry stays on this device');
    const saving = page.waitForEvent('download');
    await page.getByTestId('refused-save').click();
    const saved = JSON.parse(readFileSync(await (await saving).path(), 'utf8')) as {
      runs: { runId: string; events: { act: { kind: string } }[] }[];
    };
    expect(saved.runs.map((run) => run.runId)).toEqual([runId]);
    expect(saved.runs[0]?.events.map(({ act }) => act.kind)).toEqual(['open', 'start', 'sign']);
    await page.unroute('**/events');
    await page.getByTestId('refused-again').click();
    await expect(refused).toBeHidden();
    const run = (await (await request.get(`/api/v1/runs/${runId}`)).json()) as {
      events: { act: { kind: string } }[];
    };
    expect(run.events.map(({ act }) => act.kind)).toEqual(['open', 'start', 'sign']);
  },
);

test(
  'a job goes out with all it has and comes in again',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await ownJob(request, '2-garden', 'Out and in');
    await page.goto(`/jobs/${jobId}`);
    const saving = page.waitForEvent('download');
    await page.getByTestId('export-whole').click();
    const archive = await saving;
    expect(archive.suggestedFilename()).toBe('out-and-in.nucleon.zip');
    await page.goto('/');
    const choosing = page.waitForEvent('filechooser');
    await page.getByTestId('import').click();
    await (
      await choosing
    ).setFiles(
      await archive.path().then((path) => ({
        name: archive.suggestedFilename(),
        mimeType: 'application/zip',
        buffer: readFileSync(path),
      })),
    );
    await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]{36}$/);
    expect(page.url()).not.toContain(jobId);
    await expect(page.getByText('Out and in').first()).toBeVisible();
  },
);

test(
  'a hole that no longer fits its piece is shown with the reason, and the job opens',
  { tag: '@once' },
  async ({ page, request }) => {
    const jobId = await ownJob(request, '1-dial-house', 'Too small now');
    const job = (await (await request.get(`/api/v1/jobs/${jobId}`)).json()) as {
      pieces: {
        id: string;
        name: string;
        version: number;
        holes: { id: string; label: string }[];
      }[];
    };
    const dial = job.pieces.find(({ name }) => name === 'Glass dial');
    const [arbor, ...others] = dial?.holes ?? [];
    for (const { id } of [arbor, ...others].flatMap((one) => one ?? []))
      await request.delete(`/api/v1/holes/${id}`);
    const { holes: _holes, ...piece } = dial ?? { holes: [] };
    const small = { ...piece, outline: { kind: 'circle', diameterMm: 60 } };
    const put = await request.put(`/api/v1/jobs/${jobId}/pieces/${dial?.id ?? ''}`, {
      data: small,
    });
    expect(put.status()).toBe(200);
    await request.post(`/api/v1/holes/${arbor?.id ?? ''}/restore`);
    await page.goto(`/jobs/${jobId}`);
    await expect(page.getByTestId('hole-faults')).toContainText(
      'Does not fit: The middle of hole “Arbor”',
    );
    await page.getByTestId('hole-Arbor').click();
    await expect(page.getByText('lies outside piece').first()).toBeVisible();
  },
);
