import { readConfig } from '../config';
import { containing, pageQuery } from './paging';
import { Problem } from './problem';

it('pages with sane defaults and refuses the rest by name', () => {
  expect(pageQuery({})).toEqual({ page: 1, pageSize: 20, search: '' });
  expect(pageQuery({ page: '3', pageSize: '200', search: 'dial' })).toEqual({
    page: 3,
    pageSize: 200,
    search: 'dial',
  });
  for (const query of [
    { page: '0' },
    { page: '1.5' },
    { pageSize: '201' },
    { page: ['1', '2'] },
    { pageSize: 'all' },
  ]) {
    expect(() => pageQuery(query)).toThrow(/must be a whole number from 1 to/);
  }
  expect(pageQuery({ search: 'x'.repeat(500) }).search).toHaveLength(100);
});

it('takes a person’s wildcards as letters', () => {
  expect(containing('50%_\\')).toBe('%50\\%\\_\\\\%');
});

it('speaks problem+json with a stable code', () => {
  expect(new Problem('conflict', 'Changed.', { current: { version: 2 } }).body()).toEqual({
    type: 'urn:nucleon:problem:conflict',
    code: 'conflict',
    title: 'Changed elsewhere',
    status: 409,
    detail: 'Changed.',
    current: { version: 2 },
  });
});

it('reads its environment at the door', () => {
  expect(() => readConfig({})).toThrow('NUCLEON_DB_URL is missing');
  expect(readConfig({ NUCLEON_DB_URL: 'mysql://u:p@x/db' })).toMatchObject({
    port: 0,
    host: '127.0.0.1',
    demo: 'none',
  });
  expect(
    readConfig({ NUCLEON_DB_URL: 'mysql://u:p@x/db', NUCLEON_DEMO: 'load', NUCLEON_PORT: '81' }),
  ).toMatchObject({ port: 81, demo: 'load' });
});
