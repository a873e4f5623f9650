import { spawn } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { chmod, mkdtemp, rm } from 'node:fs/promises';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type Browser, type Page } from '@playwright/test';
import { pressMain, toTheBench } from './bench';
import { CHROMIUM_ARGS, CHROMIUM_PATH, PHONE, WIDE } from '../scripts/setup/chromium.mjs';
import { freePort } from '../scripts/setup/freePort.mjs';

const NAME = hostname().toLowerCase();
const PASSWORD = 'diamond and water';

/** A server of the journey’s own that lets phones in, on this machine’s own address. */
async function openWorkshop() {
  const folder = await mkdtemp(join(tmpdir(), 'nucleon-workshop-'));
  await chmod(folder, 0o711);
  const start = join(import.meta.dirname, '..', 'scripts', 'start.mjs');
  const words = ['--host', '0.0.0.0', '--port', String(await freePort()), '--data', folder];
  const child = spawn('setpriv', ['--pdeathsig', 'TERM', process.execPath, start, ...words]);
  let out = '';
  child.stderr.on('data', (text: Buffer) => (out += text.toString()));
  await new Promise<void>((resolve, reject) => {
    child.once('exit', () => {
      reject(new Error(out));
    });
    child.stdout.on('data', (text: Buffer) => {
      out += text.toString();
      if (out.includes('Nucleon is at')) resolve();
    });
  });
  child.removeAllListeners('exit');
  const said = (form: RegExp): string => form.exec(out)?.[1] ?? '';
  return {
    address: said(/Nucleon is at (\S+)/),
    trust: said(/trust this computer: (\S+)/),
    ownerLink: said(/by this link, once: (\S+)/),
    processes: [
      (JSON.parse(readFileSync(join(folder, 'start.lock'), 'utf8')) as { serverPid: number })
        .serverPid,
      Number(readFileSync(join(folder, 'mariadb', 'mysqld.pid'), 'utf8')),
    ],
    certificate: readFileSync(join(folder, 'authority', 'server.crt.pem'), 'utf8'),
    close: async () => {
      const ended = new Promise((resolve) => child.once('exit', resolve));
      child.kill('SIGTERM');
      await ended;
      await rm(folder, { recursive: true, force: true });
    },
  };
}
// One workshop, whose people the second journey meets again.
test.describe.configure({ mode: 'serial' });
let workshop: Awaited<ReturnType<typeof openWorkshop>>;
let browser: Browser;
test.beforeAll(async () => {
  workshop = await openWorkshop();
  // As a device that trusts the workshop: its key, and no other.
  const key = new X509Certificate(workshop.certificate).publicKey;
  const pin = createHash('sha256')
    .update(key.export({ type: 'spki', format: 'der' }))
    .digest('base64');
  browser = await chromium.launch({
    executablePath: CHROMIUM_PATH,
    args: [
      ...CHROMIUM_ARGS,
      `--ignore-certificate-errors-spki-list=${pin}`,
      // The machine’s name, which its network may not know.
      `--host-resolver-rules=MAP ${NAME} 127.0.0.1`,
    ],
  });
});
test.afterAll(async () => {
  await browser.close();
  await workshop.close();
});

const deviceOf = async (viewport: typeof PHONE, baseURL = workshop.address): Promise<Page> =>
  (await browser.newContext({ viewport, baseURL, serviceWorkers: 'allow' })).newPage();

/** Gives a page a device that keeps keys, and a user who shows a finger each time. */
async function keepKeys(page: Page): Promise<void> {
  const client = await page.context().newCDPSession(page);
  await client.send('WebAuthn.enable');
  await client.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
}

/** What the server says to the page itself, with all its browser knows of it. */
const asks = (page: Page, path: string): Promise<{ status: number; body: unknown }> =>
  page.evaluate(async (asked) => {
    const response = await fetch(asked);
    return { status: response.status, body: (await response.json()) as unknown };
  }, `/api/v1${path}`);

async function joinBy(page: Page, link: string, name: string): Promise<void> {
  await page.goto(link);
  await page.getByTestId('name').fill(name);
  await page.getByTestId('password').fill(PASSWORD);
  await page.getByTestId('enter').click();
  await expect(page.getByTestId('new-hole')).toBeVisible();
}

test('started as root, database and server are not', { tag: '@once' }, () => {
  test.skip(process.getuid?.() !== 0, 'nobody is root here');
  for (const pid of workshop.processes)
    expect(readFileSync(`/proc/${String(pid)}/status`, 'utf8')).toMatch(/^Uid:(\t[1-9]\d*){4}$/m);
});

test(
  'the owner invites, a phone pairs and drills, the owner watches; another is refused',
  { tag: '@once' },
  async () => {
    const [bench, phone] = [await deviceOf(WIDE), await deviceOf(PHONE)];
    // Typed without https, a phone is led through trusting the computer.
    await phone.goto(workshop.trust);
    await expect(phone.getByRole('link', { name: 'Fetch the certificate' })).toBeVisible();
    await phone.getByRole('link', { name: 'Open Nucleon' }).click();
    await expect(phone.getByTestId('sign-in')).toContainText('Nobody has joined this workshop yet');

    await joinBy(bench, workshop.ownerLink, 'Ida');
    await bench.goto('/people');
    await bench.getByTestId('invite').click();
    const invitation = await bench.getByTestId('invitation-link').innerText();
    await joinBy(phone, invitation, 'Bo');

    // A phone that trusts the computer keeps the app and may use its camera.
    await phone.goto('/display');
    await expect(phone.getByTestId('works-secure')).toContainText('yes');
    await expect(phone.getByTestId('works-offline')).toContainText('yes');
    await expect(phone.getByTestId('own-session')).toContainText('Bo. Plans, drills, logs.');

    await phone.goto('/');
    await phone.getByText('Stay, left').first().click();
    await phone.getByTestId('drill').click();
    const runId = await toTheBench(phone);
    await pressMain(phone);
    const line = await phone.getByTestId('run-line').innerText();
    expect(line).not.toBe('');
    await bench.goto(`/runs/${runId}`);
    await expect(bench.getByText('Stay, left').first()).toBeVisible();
    await expect(bench.getByTestId('run-line')).toContainText(/Seat|Press|Rim|Notch|Start/);

    await bench.goto('/audit');
    await expect(bench.getByTestId('audit')).toContainText('Bo logged a run');

    // The same link lets nobody else in, and nobody reads without signing in.
    const stranger = await deviceOf(PHONE);
    await stranger.goto(invitation);
    await expect(stranger.getByTestId('failed')).toContainText('This link was used');
    expect((await asks(stranger, '/jobs')).status).toBe(401);
    await stranger.goto('/');
    await stranger.getByTestId('name').fill('Ida');
    await stranger.getByTestId('password').fill('a guess or two');
    await stranger.getByTestId('enter').click();
    await expect(stranger.getByTestId('trouble')).toContainText('do not belong together');

    // Signed out from the bench, the phone asks who it is.
    await bench.goto('/people');
    await bench.getByRole('button', { name: /^Sign out: .*Bo$/ }).click();
    await phone.goto('/');
    await expect(phone.getByTestId('sign-in')).toBeVisible();
  },
);

test(
  'one job is shown to somebody by a link, and to nobody once it ends',
  { tag: '@once' },
  async () => {
    const [bench, client] = [await deviceOf(WIDE), await deviceOf(PHONE)];
    await bench.goto('/');
    await bench.getByTestId('name').fill('Ida');
    await bench.getByTestId('password').fill(PASSWORD);
    await bench.getByTestId('enter').click();
    await expect(bench.getByTestId('new-hole')).toBeVisible();
    const jobs = (await asks(bench, '/jobs')).body as { items: { id: string; name: string }[] };
    const [shown, other] = jobs.items;
    await bench.goto(`/jobs/${shown?.id ?? ''}`);
    await bench.getByTestId('share-job').click();
    await bench.getByTestId('make-share').click();
    const link = await bench.getByTestId('share-link').innerText();

    await client.goto(link);
    await expect(client).toHaveURL(new RegExp(`/jobs/${shown?.id ?? ''}$`));
    await expect(client.getByTestId('reading')).toContainText('One job is shown to you');
    await expect(client.getByRole('heading', { name: shown?.name ?? '' })).toBeVisible();
    // Nothing is offered that would be refused.
    await expect(client.getByTestId('export')).toBeVisible();
    for (const change of ['new-piece', 'delete-job'])
      await expect(client.getByTestId(change)).toHaveCount(0);
    expect((await asks(client, `/jobs/${other?.id ?? ''}`)).status).toBe(404);

    await bench.getByTestId('end-share').click();
    await expect(bench.getByTestId('end-share')).toHaveCount(0);
    expect((await asks(client, `/jobs/${shown?.id ?? ''}`)).status).toBe(401);
  },
);

test(
  'a phone makes a passkey, and signs in with it instead of the password',
  { tag: '@once' },
  async () => {
    const phone = await deviceOf(PHONE, workshop.address.replace(/\/\/[^:]+/, `//${NAME}`));
    await keepKeys(phone);
    await phone.goto('/');
    await phone.getByTestId('name').fill('Ida');
    await phone.getByTestId('password').fill(PASSWORD);
    await phone.getByTestId('enter').click();
    await expect(phone.getByTestId('new-hole')).toBeVisible();
    await phone.goto('/display');
    await phone.getByTestId('passkeys').click();
    await phone.getByTestId('passkey-password').fill(PASSWORD);
    await phone.getByTestId('add-passkey').click();
    await expect(phone.getByText(`for ${NAME}, since`)).toBeVisible();

    await phone.getByTestId('sign-out').click();
    await phone.getByTestId('enter-by-passkey').click();
    await expect(phone.getByTestId('new-hole')).toBeVisible();
    await phone.goto('/display');
    await expect(phone.getByTestId('own-session')).toContainText('Ida. Owner: all.');

    // Taken off, it opens nothing any more.
    await phone.getByTestId('passkeys').click();
    await phone.getByRole('button', { name: /^Remove/ }).click();
    await expect(phone.getByText('None yet.')).toBeVisible();
    await phone.getByTestId('sign-out').click();
    await phone.getByTestId('enter-by-passkey').click();
    await expect(phone.getByTestId('sign-in')).toContainText('is not known here, or was taken off');
  },
);
