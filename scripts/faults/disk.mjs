/** A disk that fills up and is emptied again, and one that may not be written to: on a small mount of its own. */
import { mkdir, rm, writeFile } from 'node:fs/promises';
import { statfsSync } from 'node:fs';
import { join } from 'node:path';
import { capture, sleep } from '../setup/run.mjs';
import { openLedger } from './ledger.mjs';
import { openStack } from './stack.mjs';

const SIZE_MB = 260;

export async function disk({ work }) {
  const mount = join(work, 'small');
  await mkdir(mount, { recursive: true });
  const made = await capture('mount', ['-t', 'tmpfs', '-o', `size=${SIZE_MB}m`, 'tmpfs', mount]);
  if (made.code !== 0) return { tried: 0, skipped: 'no mount without root' };
  const result = { failedToStart: 0, unsaid: 0 };
  let audit = {};
  try {
    const data = join(mount, 'data');
    const stack = await openStack(data, { words: ['--empty'] });
    try {
      const ledger = await openLedger({ addresses: [stack.address] });
      for (let i = 0; i < 20; i++) await ledger.writeOne();
      const { bavail, bsize } = statfsSync(mount);
      await writeFile(join(mount, 'filler'), Buffer.alloc(Math.max(0, bavail * bsize - 4096), 1));
      // Until what MariaDB holds in reserve is used up it goes on; then it says so.
      let refused = null;
      for (let i = 0; i < 400 && refused === null; i++) {
        const wrote = await ledger.writeOne();
        if (wrote?.status !== 200) refused = wrote ?? { status: 0, text: '' };
      }
      if (refused === null || ![503, 507].includes(refused.status)) {
        result.unsaid++;
        console.log(`  a full disk was answered with ${JSON.stringify(refused)?.slice(0, 200)}`);
      }
      await rm(join(mount, 'filler'));
      if (!(await stack.isHealthy(60_000))) result.failedToStart++;
      await sleep(500);
      await ledger.resend();
      await ledger.resend();
      audit = await ledger.audit();
    } finally {
      await stack.stop();
    }
    await capture('mount', ['-o', 'remount,ro', mount]);
    const said = await openStack(data, { words: ['--empty'] }).then(
      (wrong) => wrong.stop().then(() => ''),
      (error) => error.message,
    );
    if (!/read-only/.test(said)) {
      result.unsaid++;
      console.log(`  a read-only folder: ${said.slice(0, 300)}`);
    }
    await capture('mount', ['-o', 'remount,rw', mount]);
    const again = await openStack(data, { words: ['--empty'] }).catch(() => null);
    if (!again) result.failedToStart++;
    await again?.stop();
  } finally {
    await capture('umount', ['-l', mount]);
  }
  return { ...audit, ...result };
}
