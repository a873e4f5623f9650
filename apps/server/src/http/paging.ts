import { faultyProblem } from './problem';

const DEFAULT_PAGE = 20;
const LARGEST_PAGE = 200;
const LONGEST_SEARCH = 100;

export interface PageQuery {
  readonly page: number;
  readonly pageSize: number;
  readonly search: string;
}

/** `?page=1&pageSize=50&search=…`, with a fault that names what is off. */
export function pageQuery(query: Readonly<Record<string, unknown>>): PageQuery {
  const whole = (name: string, fallback: number, max: number): number => {
    const given = query[name];
    if (given === undefined) return fallback;
    const value = Number(given);
    if (typeof given !== 'string' || !Number.isInteger(value) || value < 1 || value > max) {
      throw faultyProblem([
        {
          pointer: `?${name}`,
          message: `${name} is “${JSON.stringify(given).slice(0, 40)}”; it must be a whole number from 1 to ${max}.`,
        },
      ]);
    }
    return value;
  };
  const search = typeof query.search === 'string' ? query.search.slice(0, LONGEST_SEARCH) : '';
  return {
    page: whole('page', 1, 1_000_000),
    pageSize: whole('pageSize', DEFAULT_PAGE, LARGEST_PAGE),
    search,
  };
}

/** For LIKE: what the person typed, wherever it stands, its own wildcards taken as letters. */
export const containing = (search: string): string => `%${search.replace(/[%_\\]/g, '\\$&')}%`;
