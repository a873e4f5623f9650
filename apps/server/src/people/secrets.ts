import { createHash, randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';

const TOKEN_BYTES = 32;
/** Cost of scrypt (RFC 7914): 32 MB and a tenth of a second or two a try. */
const COST = { N: 2 ** 15, r: 8, p: 1 } as const;
const MAX_MEMORY_BYTES = 64 * 1024 * 1024;
const KEY_BYTES = 32;
const SALT_BYTES = 16;

/** The secret of a link or a device: nobody guesses 256 bits. */
export const newToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url');

/** What is stored of it: whoever reads the database holds no key. */
export const hashOfToken = (token: string): string =>
  createHash('sha256').update(token).digest('hex');

const derive = (password: string, salt: Buffer, options: ScryptOptions): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    // The same letters typed on another keyboard are the same password.
    scrypt(
      password.normalize('NFKC'),
      salt,
      KEY_BYTES,
      { ...options, maxmem: MAX_MEMORY_BYTES },
      (error, key) => {
        if (error) reject(error);
        else resolve(key);
      },
    );
  });

/** @returns `scrypt$N$r$p$salt$key` */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES);
  const key = await derive(password, salt, COST);
  const { N, r, p } = COST;
  return ['scrypt', N, r, p, salt.toString('base64'), key.toString('base64')].join('$');
}

/** Stands for the password of somebody who is not here, so that a try takes as long. */
const NOBODY = hashPassword(newToken());

/** @param stored null where there is nobody, or none was set */
export async function isPassword(password: string, stored: string | null): Promise<boolean> {
  const [, N, r, p, salt = '', key = ''] = (stored ?? (await NOBODY)).split('$');
  const options = { N: Number(N), r: Number(r), p: Number(p) };
  const derived = await derive(password, Buffer.from(salt, 'base64'), options);
  return timingSafeEqual(derived, Buffer.from(key, 'base64')) && stored !== null;
}
