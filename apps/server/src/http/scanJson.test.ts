import { scanJson } from './scanJson';

const bounds = { depth: 4, entries: 5, values: 12 };
const scan = (text: string) => scanJson(Buffer.from(text), bounds);

it.each([
  '{}',
  '[1,2,3,4,5]',
  '[[[[1]]]]',
  '{"a":"[[[[[[,,,,,,,,"}',
  '{"a":"\\"[[[[[["}',
  '{"a":"\\ud83d\\ude00"}',
  'no JSON at all',
])('lets %s through', (text) => {
  expect(scan(text)).toEqual({ kind: 'within' });
});

it.each([
  ['[[[[[1]]]]]', 'depth'],
  ['[1,2,3,4,5,6]', 'entries'],
  ['{"a":1,"b":1,"c":1,"d":1,"e":1,"f":1}', 'entries'],
  ['[[1,2,3,4],[1,2,3,4],[1,2,3,4],[1,2,3,4]]', 'values'],
])('stops at %s: %s', (text, what) => {
  expect(scan(text)).toEqual({ kind: 'beyond', what });
});

it.each(['\\ud83d', '\\ude00', '\\ud83dx', '\\ud83d\\u0041'])(
  'stops at half a character, %s',
  (text) => {
    expect(scan(`{"a":"${text}"}`)).toMatchObject({ kind: 'half-character' });
  },
);

it('counts megabytes in a small part of the time a request has', () => {
  const text = Buffer.from(`[${'"aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa",'.repeat(100_000)}1]`);
  const began = performance.now();
  scanJson(text, { depth: 9, entries: 1e6, values: 1e6 });
  expect((performance.now() - began) / (text.length / 1e6)).toBeLessThan(100);
});
