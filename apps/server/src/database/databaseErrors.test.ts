import { createDataSource } from './dataSource';
import { doneByEither, isDatabaseDown, isDuplicateKey, isWorthRetrying } from './databaseErrors';

it('tells a database that is away from one that refuses', () => {
  expect(isDatabaseDown({ code: 'ECONNREFUSED' })).toBe(true);
  expect(isDatabaseDown({ driverError: { code: 'PROTOCOL_CONNECTION_LOST' } })).toBe(true);
  expect(
    isDatabaseDown(new Error("Can't add new command when connection is in closed state")),
  ).toBe(true);
  expect(isDatabaseDown({ code: 'ER_DUP_ENTRY' })).toBe(false);
  expect(isDuplicateKey({ driverError: { code: 'ER_DUP_ENTRY' } })).toBe(true);
  expect(isWorthRetrying({ code: 'ER_LOCK_DEADLOCK' })).toBe(true);
  expect([null, undefined, 'text'].map(isDatabaseDown)).toEqual([false, false, false]);
});

it('lets a lost race pass where either does the same, and nothing else', async () => {
  await doneByEither(
    Promise.reject(Object.assign(new Error('lost'), { code: 'ER_LOCK_DEADLOCK' })),
  );
  await expect(doneByEither(Promise.reject(new Error('the disk')))).rejects.toThrow('the disk');
});

it('knows the driver’s own word for a statement that took too long', async () => {
  const source = createDataSource(process.env.NUCLEON_TEST_DB ?? '', { longestStatementMs: 50 });
  await source.initialize();
  const late: unknown = await source.query('SELECT SLEEP(0.5)').catch((error: unknown) => error);
  expect(late).toBeInstanceOf(Error);
  expect(isDatabaseDown(late)).toBe(true);
  await source.destroy();
});
