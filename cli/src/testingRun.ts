import { main } from './main';

/** The command line as a person meets it: its exit code, and what it wrote. */
export async function runNucleon(
  ...words: string[]
): Promise<{ code: number; out: string; err: string }> {
  const lines = { out: [] as string[], err: [] as string[] };
  const code = await main(words, {
    out: (line) => lines.out.push(line),
    err: (line) => lines.err.push(line),
  });
  return { code, out: lines.out.join('\n'), err: lines.err.join('\n') };
}
