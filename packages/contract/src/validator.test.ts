import { putBit, putHole, putMachine, putPiece } from './bodies';
import { describeLimit, LIMITS } from '@nucleon/core/data/schema/limits';
import { validator } from './validator';

const checks = {
  bit: validator(putBit),
  machine: validator(putMachine),
  hole: validator(putHole),
  piece: validator(putPiece),
};
const faults = (kind: keyof typeof checks, body: object): string[] => {
  const checked = checks[kind](body);
  return checked.kind === 'valid' ? [] : checked.faults.map((fault) => fault.pointer);
};
const bit = { name: 'Cup', family: 'plated-cup-saw', diameterMm: 22, version: 0 };
const hole = { xMm: 0, yMm: -5, diameterMm: 8, depth: { kind: 'through' }, version: 1 };

it('takes what is whole', () => {
  expect(faults('bit', bit)).toEqual([]);
  expect(faults('hole', hole)).toEqual([]);
  expect(
    faults('machine', { name: 'M', kind: 'cordless-drill', clutchTorqueNm: null, version: 0 }),
  ).toEqual([]);
});

it.each<[keyof typeof checks, object, string[]]>([
  ['bit', { ...bit, version: undefined }, ['/version']],
  ['bit', { ...bit, version: 1.5 }, ['/version']],
  ['bit', { ...bit, sharpness: 0 }, ['/sharpness']],
  ['bit', { ...bit, family: 'laser' }, ['/family']],
  ['bit', { ...bit, name: '' }, ['/name']],
  ['hole', { ...hole, diameterMm: 1001 }, ['/diameterMm']],
  ['hole', { ...hole, depth: { kind: 'blind' } }, ['/depth/depthMm']],
  [
    'hole',
    { ...hole, setup: { hold: 'teeth', water: { kind: 'tea' } } },
    ['/setup/hold', '/setup/water/kind'],
  ],
  ['hole', { ...hole, checks: [{ hazard: 'x', answer: 'y', at: 'today' }] }, ['/checks/0/at']],
  [
    'machine',
    { name: 'M', kind: 'cordless-drill', speeds: { kind: 'steps', rpm: [] }, version: 0 },
    ['/speeds/rpm'],
  ],
  [
    'machine',
    { name: 'M', kind: 'cordless-drill', clutchTorqueNm: 0, version: 0 },
    ['/clutchTorqueNm'],
  ],
  ['piece', { version: 0 }, ['/name', '/form', '/material', '/thicknessMm', '/outline']],
])('names what is off in a %s', (kind, body, pointers) => {
  expect(faults(kind, body)).toEqual(pointers);
});

it('keeps fields it does not know', () => {
  expect(checks.bit({ ...bit, batch: 'B7' })).toMatchObject({
    kind: 'valid',
    value: { batch: 'B7' },
  });
});

it('says a limit in words', () => {
  expect(describeLimit(LIMITS.thicknessMm)).toBe('a number of mm from 0.01, at most 5000');
  expect(describeLimit(LIMITS.count)).toBe('a number from 0, at most 1000000');
  expect(describeLimit(LIMITS.sharpness)).toBe('a number from 0 bald to 1 new above 0, at most 1');
});
