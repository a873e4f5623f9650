import { fetchJson } from './fetchJson';
import { ApiProblem, Unreachable } from './problem';

const answer = (status: number, body: unknown): void => {
  globalThis.fetch = jest.fn(() =>
    Promise.resolve({ status, ok: status < 400, json: () => Promise.resolve(body) }),
  ) as unknown as typeof fetch;
};

it('gives what the API says', async () => {
  answer(200, { items: [] });
  await expect(fetchJson('/jobs')).resolves.toEqual({ items: [] });
});

it('tells a refusal from a server that is away', async () => {
  answer(422, { code: 'faulty', detail: 'No.', status: 422 });
  await expect(fetchJson('/jobs')).rejects.toBeInstanceOf(ApiProblem);
  answer(503, { code: 'database-unavailable', detail: 'Away.', status: 503 });
  await expect(fetchJson('/jobs')).rejects.toMatchObject({ what: 'database' });
  answer(502, 'bad gateway');
  await expect(fetchJson('/jobs')).rejects.toMatchObject({ what: 'server' });
  globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('failed')));
  await expect(fetchJson('/jobs')).rejects.toBeInstanceOf(Unreachable);
});
