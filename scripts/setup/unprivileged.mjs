/** Whoever starts Nucleon as root is root for the start alone: database and server run as a user that owns their folders and no more. */
import { capture } from './run.mjs';

const NAME = 'nucleon';

const entryOf = async (name) => {
  const { code, out } = await capture('getent', ['passwd', name]);
  return code === 0 ? out.trim() : null;
};

async function made() {
  const words = ['--system', '--user-group', '--no-create-home', '--home-dir', '/nonexistent'];
  if (!(await entryOf(NAME)))
    await capture('useradd', [...words, '--shell', '/usr/sbin/nologin', NAME]);
  // Where no user can be made, nobody is one too.
  const entry = (await entryOf(NAME)) ?? (await entryOf('nobody'));
  if (!entry) return null;
  const [name, , uid, gid] = entry.split(':');
  return { name, uid: Number(uid), gid: Number(gid) };
}

/** What setpriv is told so that a program runs as that user. */
export const asUser = ({ uid, gid }) => [`--reuid=${uid}`, `--regid=${gid}`, '--clear-groups'];

let user;
const said = new Set();

/**
 * @param {readonly string[]} paths what that user must be able to read
 * @returns {Promise<{ name: string, uid: number, gid: number } | null>} null where nobody is root here, or
 *   where root alone can read one of the paths, which is said once
 */
export async function unprivileged(paths) {
  if (process.getuid?.() !== 0) return null;
  user ??= made();
  const found = await user;
  if (!found) return null;
  for (const path of paths) {
    // A folder need only be entered.
    const test = ['sh', '-c', 'test -x "$0" -o \\( -f "$0" -a -r "$0" \\)', path];
    if ((await capture('setpriv', [...asUser(found), ...test])).code === 0) continue;
    if (!said.has(path))
      console.error(
        `The user ${found.name} may not read ${path}, so what needs it runs as root; put it where others may read it.`,
      );
    said.add(path);
    return null;
  }
  return found;
}

/** Gives folders and all in them to that user. */
export async function giveTo({ uid, gid }, folders) {
  const { code, out } = await capture('chown', ['-R', `${uid}:${gid}`, '--', ...folders]);
  if (code !== 0) throw new Error(`${folders.join(', ')} could not be given away: ${out.trim()}`);
}
