#!/usr/bin/env node
/**
 * npm run release -- VERSION: gives every package of ours that version, and lists in docs/weaknesses.md what is known of the
 * packages that ship with it (npm’s own audit), where a registry answers.
 */
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { format } from 'prettier';
import { ROOT } from './setup/root.mjs';
import { capture } from './setup/run.mjs';

const OURS = [
  '.',
  'packages/core',
  'packages/contract',
  'packages/files',
  'apps/server',
  'apps/app',
  'cli',
];
const version = process.argv[2] ?? '';
if (!/^\d+\.\d+\.\d+$/.test(version)) {
  console.error(`The version is “${version}”; it must be three numbers, such as 0.8.0.`);
  process.exit(2);
}
const at = (path) => join(ROOT, path);
const change = async (path, how) => writeFile(at(path), how(await readFile(at(path), 'utf8')));

/** Ours among what a package needs. */
const NEEDS_OURS = /("@nucleon\/[a-z-]+": )"\d[^"]*"/g;

for (const folder of OURS)
  await change(join(folder, 'package.json'), (text) =>
    text
      .replace(/^( {2}"version": )"[^"]*"/m, `$1"${version}"`)
      .replace(NEEDS_OURS, `$1"${version}"`),
  );
await change('package-lock.json', (text) => {
  const lock = JSON.parse(text.replace(NEEDS_OURS, `$1"${version}"`));
  lock.version = version;
  for (const folder of OURS) lock.packages[folder === '.' ? '' : folder].version = version;
  return `${JSON.stringify(lock, null, 2)}\n`;
});
await change('cli/src/version.ts', (text) => text.replace(/\d+\.\d+\.\d+/, version));

const { out } = await capture('npm', ['audit', '--omit=dev', '--json', '--loglevel=silent'], {
  cwd: ROOT,
});
await writeFile(
  at('docs/weaknesses.md'),
  await format(weaknessesPage(JSON.parse(out.slice(out.indexOf('{')) || '{}')), {
    parser: 'markdown',
  }),
);
console.log(`${version}. Now CHANGELOG.md, npm test, docs/weaknesses.md.`);

/** @param audit npm’s report, version 2: a weakness is an advisory among what a package is weak by */
function weaknessesPage({ vulnerabilities }) {
  const head = `# Known weaknesses of what ships\n\nVersion ${version}, ${new Date().toISOString().slice(0, 10)}; written by \`npm run release\`. Packages for building and testing are not in it.\n\n`;
  if (!vulnerabilities)
    return `${head}The registry of that day answered no question about weaknesses, so none are listed: that is no sign that there are none. \`npm audit --omit=dev\` asks again.\n`;
  const rows = Object.values(vulnerabilities).flatMap(({ name, via, fixAvailable }) =>
    via
      .filter((one) => typeof one === 'object')
      .map(
        ({ title, severity, range, url }) =>
          `| ${name} ${range} | ${severity} | [${title}](${url}) | ${fixAvailable ? 'yes' : 'no'} |`,
      ),
  );
  if (rows.length === 0) return `${head}None is known.\n`;
  return `${head}| package | how grave | what | mended in a later one |\n| --- | --- | --- | --- |\n${rows.join('\n')}\n`;
}
