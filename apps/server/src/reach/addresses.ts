import { hostname, networkInterfaces } from 'node:os';
import { isIP } from 'node:net';

/** What this machine goes by where others can reach it, the likeliest first. */
export interface OwnNames {
  readonly addresses: readonly string[];
  readonly names: readonly string[];
}

/** Means the same on no other machine: it is no address to print. */
const isLinkLocal = (address: string): boolean => /^(fe80:|169\.254\.)/i.test(address);

/** @param given the host the server was started for: all of this machine’s addresses, one of them, or a name */
export function ownNames(given: string): OwnNames {
  const all = Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ internal, address }) => !internal && !isLinkLocal(address))
    // People type the short ones.
    .sort((a, b) => a.family.localeCompare(b.family))
    .map(({ address }) => address);
  const host = hostname().toLowerCase();
  const names = [host, ...(host.includes('.') ? [] : [`${host}.local`])];
  if (isEveryAddress(given)) return { addresses: all, names };
  return isIP(given) === 0
    ? { addresses: all, names: [...new Set([given.toLowerCase(), ...names])] }
    : { addresses: [given], names };
}

export const isEveryAddress = (host: string): boolean => host === '0.0.0.0' || host === '::';

/** Of an address, as it stands in front of `:port`. */
export const inUrl = (host: string): string => (isIP(host) === 6 ? `[${host}]` : host);
