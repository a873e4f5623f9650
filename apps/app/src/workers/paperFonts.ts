import { needsFont, type FontBytes } from '@nucleon/files/letters';
import { Asset } from 'expo-asset';
import bold from 'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf';
import plain from 'dejavu-fonts-ttf/ttf/DejaVuSans.ttf';

/** The type a text needs on paper; null where every reader of PDF has its letters. */
export async function paperFonts(text: string): Promise<FontBytes | null> {
  if (!needsFont(text)) return null;
  const read = async (module: number): Promise<Uint8Array> => {
    const response = await fetch(Asset.fromModule(module).uri);
    return new Uint8Array(await response.arrayBuffer());
  };
  return { plain: await read(plain), bold: await read(bold) };
}
