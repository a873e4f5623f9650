import { HOLE } from '../testingApi';
import { putHole } from './holes';
import { ApiProblem, Unreachable } from './problem';

interface Asked {
  readonly method: string;
  readonly body: { readonly version: number } & Record<string, unknown>;
}

/** Answers in turn; null is no answer at all. */
function answers(...turns: ({ status: number; body: unknown } | null)[]): Asked[] {
  const asked: Asked[] = [];
  globalThis.fetch = ((_url: string, { method, body }: { method: string; body?: string }) => {
    asked.push({ method, body: JSON.parse(body ?? '{}') as Asked['body'] });
    const turn = turns.shift();
    if (!turn) return Promise.reject(new TypeError('frozen'));
    const { status } = turn;
    return Promise.resolve({ status, ok: status < 400, json: () => Promise.resolve(turn.body) });
  }) as unknown as typeof fetch;
  return asked;
}

const { id, pieceId, version: _version, updatedAt: _at, ...fields } = HOLE;
const conflict = (current: unknown) => ({
  status: 409,
  body: { code: 'conflict', detail: 'Changed.', status: 409, current },
});

it('writes over its own edit whose answer was lost, and shows nobody a conflict', async () => {
  const first = { ...fields, xMm: 10, version: 1 };
  const second = { ...fields, xMm: 20, version: 1 };
  answers(null);
  await expect(putHole(pieceId, id, first)).rejects.toBeInstanceOf(Unreachable);
  const asked = answers(conflict({ ...HOLE, xMm: 10, version: 2 }), {
    status: 200,
    body: { ...HOLE, xMm: 20, version: 3 },
  });
  await expect(putHole(pieceId, id, second)).resolves.toMatchObject({ version: 3 });
  expect(asked.map(({ body }) => [body.xMm, body.version])).toEqual([
    [20, 1],
    [20, 2],
  ]);
});

it('still asks where another person was first', async () => {
  answers(null);
  await expect(putHole(pieceId, id, { ...fields, xMm: 10, version: 1 })).rejects.toBeInstanceOf(
    Unreachable,
  );
  answers(conflict({ ...HOLE, xMm: 99, version: 2 }));
  await expect(putHole(pieceId, id, { ...fields, xMm: 20, version: 1 })).rejects.toBeInstanceOf(
    ApiProblem,
  );
});
