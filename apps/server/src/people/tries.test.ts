import type { Request } from 'express';
import { Problem } from '../http/problem';
import { countTries, type Tries } from './tries';

const from = (ip: string): Request => ({ ip }) as Request;
const wrong = () => Promise.reject(new Problem('not-found', 'wrong'));
const right = () => Promise.resolve('in');

let tried: Tries;
const failAs = async (ip: string, name: string, times: number): Promise<void> => {
  for (let n = 0; n < times; n++)
    await expect(tried(from(ip), name, wrong)).rejects.toThrow('wrong');
};
beforeEach(() => {
  tried = countTries();
});

it('lets whoever guesses wait, and not the same person elsewhere', async () => {
  await failAs('10.0.0.9', 'as ida', 5);
  await expect(tried(from('10.0.0.9'), 'as ida', right)).rejects.toThrow('Too many tries');
  expect(await tried(from('10.0.0.2'), 'as ida', right)).toBe('in');
  expect(await tried(from('10.0.0.9'), 'as bo', right)).toBe('in');
});

it('counts what goes wrong at many names from one place, and at one name from many', async () => {
  for (let n = 0; n < 10; n++) await failAs('10.0.0.9', `as ${n}`, 5);
  await expect(tried(from('10.0.0.9'), 'as bo', right)).rejects.toThrow('Too many tries');
  for (let n = 0; n < 10; n++) await failAs(`10.0.1.${n}`, 'as ida', 5);
  await expect(tried(from('10.0.2.1'), 'as ida', right)).rejects.toThrow('Too many tries');
});

it('counts anew after it went right, and never what was not its fault', async () => {
  await failAs('10.0.0.9', 'as ida', 4);
  expect(await tried(from('10.0.0.9'), 'as ida', right)).toBe('in');
  await failAs('10.0.0.9', 'as ida', 4);
  for (let n = 0; n < 9; n++)
    await expect(
      tried(from('10.0.0.9'), 'as ida', () => Promise.reject(new Error('the disk'))),
    ).rejects.toThrow('the disk');
  expect(await tried(from('10.0.0.9'), 'as ida', right)).toBe('in');
});
