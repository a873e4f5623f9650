/** Copying and putting back, killed at any moment while people write: a copy is whole or none, the data old or new. */
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../setup/root.mjs';
import { ended, sleep } from '../setup/run.mjs';
import { openLedger } from './ledger.mjs';
import { newFolder, openStack } from './stack.mjs';

const CLI = join(ROOT, 'cli', 'bin', 'nucleon.mjs');
const WRITES = 12;

/** Runs `nucleon WORDS` on the folder; killed after so long, where that is said. @returns whether it ended well */
async function nucleon(words, data, killAfterMs) {
  const child = spawn(process.execPath, [CLI, ...words, '--data', data], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
  if (killAfterMs !== undefined) await Promise.race([sleep(killAfterMs), ended(child)]);
  if (killAfterMs !== undefined && child.exitCode === null) child.kill('SIGKILL');
  await ended(child);
  return { ok: child.exitCode === 0, said };
}

const writeSome = async (ledger) => {
  for (let n = 0; n < WRITES; n++) await ledger.writeOne();
};

export async function backups({ work, random, short }) {
  const data = await newFolder(work, 'backups-');
  const stack = await openStack(data, { words: ['--empty'] });
  const result = { tried: 0, lost: 0, failedToStart: 0, unsaid: 0, putBack: 0 };
  const note = (what, said) => {
    result[what]++;
    console.log(`  ${what}: ${said.slice(-400)}`);
  };
  try {
    const kept = await openLedger({ addresses: [stack.address] });
    await writeSome(kept);
    const file = join(work, 'kept.sql.gz');
    const made = await nucleon(['backup', file], data);
    if (!made.ok) note('unsaid', made.said);
    const began = Date.now();
    await nucleon(['restore', file], data);
    const takesMs = Date.now() - began;
    if (!(await stack.isHealthy(60_000))) note('failedToStart', stack.said());
    const rounds = short ? 3 : 12;
    for (let round = 0; round < rounds; round++) {
      result.tried++;
      // A copy that is killed: no file of that name, or one that can be put back.
      const half = join(work, `half-${round}.sql.gz`);
      await nucleon(['backup', half], data, 600 + random() * 1500);
      if (existsSync(half) && !(await nucleon(['restore', half], data)).ok)
        note('lost', `${half} is there and is no copy`);
      if (!(await stack.isHealthy(60_000))) note('failedToStart', stack.said());
      // A restore that is killed: all that was written since is there, or none of it.
      const since = await openLedger({ addresses: [stack.address] });
      await writeSome(since);
      // Early, in the midst, and about when it is done.
      const share = (round + random()) / rounds;
      await nucleon(['restore', file], data, takesMs * (0.3 + 0.8 * share));
      await sleep(300);
      if (!(await stack.isHealthy(60_000))) note('failedToStart', stack.said());
      const [old, new_] = [await kept.audit(), await since.audit().catch(() => null)];
      if (old.lost > 0) note('lost', `${old.lost} of what was copied`);
      if (new_ === null) result.putBack++;
      else if (new_.lost > 0)
        note('lost', `${new_.lost} of ${WRITES} written since: half is there`);
    }
    const last = await nucleon(['restore', file], data);
    if (!last.ok) note('unsaid', last.said);
    if (!(await stack.isHealthy(60_000))) note('failedToStart', stack.said());
    result.lost += (await kept.audit()).lost;
    return result;
  } finally {
    await stack.stop();
  }
}
