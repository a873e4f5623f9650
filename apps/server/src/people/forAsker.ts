import { askingNow } from './asking';

/** What things cost, and where they were bought, is the workshop’s own business. */
const OWN_BUSINESS: ReadonlySet<string> = new Set(['price', 'supplier', 'batch', 'hourMoney']);

/** A thing of the kit as whoever asks may see it: who came by a link to a job needs it for the plans alone. */
export function forAsker<T extends object>(thing: T): Partial<T> {
  if (askingNow()?.asker?.kind !== 'share') return thing;
  return Object.fromEntries(
    Object.entries(thing).filter(([name]) => !OWN_BUSINESS.has(name)),
  ) as Partial<T>;
}
