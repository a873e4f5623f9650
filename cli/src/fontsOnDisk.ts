import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { resolve as absolute } from 'node:path';
import { needsFont, type FontBytes } from '@nucleon/files/letters';

/** The type a text needs, from the package that brings it; null where every reader of PDF has its letters. */
export async function fontsOnDisk(text: string): Promise<FontBytes | null> {
  if (!needsFont(text)) return null;
  const { resolve } = createRequire(absolute(process.argv[1] ?? '.'));
  const read = (name: string): Promise<Uint8Array> =>
    readFile(resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`));
  return { plain: await read('DejaVuSans'), bold: await read('DejaVuSans-Bold') };
}

/** Said of letters that even that type lacks. */
export const noTypeFor = (missing: string): string =>
  `There is no type here for ${missing}: each is printed as “?”.`;
