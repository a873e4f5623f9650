import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's own folder, wherever the script was called from. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
