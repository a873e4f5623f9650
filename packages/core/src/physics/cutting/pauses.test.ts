import { aroundS, coreBreakS, lastCoreS, liftS, START_S, TURN_S } from './pauses';

it('lifts in one second in a stand, in one and a half by hand', () => {
  expect([liftS('press'), liftS('rig')]).toEqual([1, 1]);
  expect([liftS('freehand'), liftS('guided')]).toEqual([1.5, 1.5]);
});

it('breaks a core by its diameter and length; behind a cavity it is only pushed out', () => {
  expect(coreBreakS({ why: 'barrel-full', lengthMm: 145 }, 100)).toBeCloseTo(25 + 50 + 14.5, 9);
  expect(coreBreakS({ why: 'cavity', lengthMm: 145 }, 100)).toBeCloseTo(40, 9);
});

it('wedges a blind core off, pushes a through one out, and has none in a solid bit', () => {
  expect(lastCoreS(false, true, 30)).toBeCloseTo(64, 9);
  expect(lastCoreS(false, false, 30)).toBeCloseTo(11, 9);
  expect(lastCoreS(true, true, 30)).toBe(0);
});

it('walks round a wall or under a floor in five minutes, turns a piece over in one', () => {
  expect(TURN_S).toEqual({ 'turn-over': 60, 'go-round': 300 });
});

it('starts quickest in a guide, slowest by a pilot', () => {
  const { guide, seat, tape, tilt, pilot } = START_S;
  expect([guide, seat, tape, tilt, pilot]).toEqual([2, 3, 6, 12, 20]);
});

it('fixes a stand before and takes it off after, with what the water needs beside', () => {
  expect(aroundS('rig', undefined, 'none')).toEqual({ setUp: 900, takeDown: 240 });
  expect(aroundS('rig', 'vacuum', 'spindle')).toEqual({ setUp: 420, takeDown: 60 });
  expect(aroundS('rig', 'prop', 'none')).toEqual({ setUp: 420, takeDown: 120 });
  expect(aroundS('guided', 'vacuum', 'pool')).toEqual({ setUp: 130, takeDown: 10 });
  expect(aroundS('press', undefined, 'still-bath')).toEqual({ setUp: 90, takeDown: 10 });
  expect(aroundS('freehand', undefined, 'running-tap')).toEqual({ setUp: 70, takeDown: 10 });
});
