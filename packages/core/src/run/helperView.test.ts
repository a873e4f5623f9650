import { HELPS, type Help } from '../data/operations';
import { METRIC } from '../data/unitSystem';
import { helperView } from '../words/run/helperView';
import { promptBetween } from '../words/run/prompts';
import { advance } from './advance';
import { comingUp } from './runFigures';
import { writeRun } from './runFixtures';
import type { RunState } from './runState';

/** A run of the usual pane whose one cut has a second person. */
const helped = (helper: Help) =>
  writeRun({ hole: { operations: [{ id: 'a', does: 'core', helper }] } });

function cutting(helper: Help): RunState {
  const run = helped(helper);
  run.at(0, { kind: 'start' });
  const state = run.state();
  return advance(state, (comingUp(state)?.inS ?? 0) / 2);
}

it('is there only where an operation has a second person, and until it is over', () => {
  expect(helperView(writeRun().state(), METRIC)).toBeNull();
  const run = helped('light');
  expect(helperView(run.state(), METRIC)?.line).toBe('Light on the mark, from the side');
  run.at(0, { kind: 'start' });
  run.at(1, { kind: 'abort', why: 'enough' });
  expect(helperView(run.state(), METRIC)).toBeNull();
});

it('says to the one at the mark what depth to call, and what the drill is doing', () => {
  const state = cutting('depth-mark');
  const ease = state.legs[0]?.strokes.find(({ kind }) => kind === 'exit');
  expect(helperView(state, METRIC)).toEqual({
    line: 'Watch the mark, call it',
    detail: expect.stringMatching(
      new RegExp(
        `^At the drill: .*\\. Call ${(ease?.fromMm ?? 0).toFixed(1).replace('.0', '')}\\s?mm\\.$`,
      ),
    ) as unknown,
  });
});

it.each(HELPS)('calls out a part of its own at each turn: %s', (helper) => {
  const state = cutting(helper);
  const stopped: RunState = { ...state, phase: 'paused', resumeTo: state.phase };
  const spoken = promptBetween(state, stopped, METRIC, 'helper');
  expect(spoken?.words).toBe(helperView(stopped, METRIC)?.line);
  expect(spoken?.words).not.toBe(promptBetween(state, stopped, METRIC)?.words);
  const lines = [state, stopped, { ...state, phase: 'ease-off' } as const].map(
    (one) => helperView(one, METRIC)?.line,
  );
  expect(new Set(lines).size).toBeGreaterThan(1);
});
