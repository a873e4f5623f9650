import type { StoredHole } from '@nucleon/contract/wire';
import { HOLE, PIECE } from '../../testingApi';
import type { LayoutContent } from './layoutDraft';
import { addHoles, alignHoles, mirrorHoles, spreadHoles, type LayoutEdit } from './layoutEdits';
import { openPlace, placeState, type PlaceAction, type PlaceState } from './placeState';
import { placeTouch } from './placeTouch';
import { pointAt } from '../../drawing/faceView';
import { fitView, panned, zoomed } from './planView';
import { shapeBetween } from './shapeBetween';

const OUTLINE = { kind: 'rectangle', widthMm: 400, heightMm: 300 } as const;
const piece = { ...PIECE, outline: OUTLINE };
const at = (id: string, xMm: number, yMm: number): StoredHole => ({ ...HOLE, id, xMm, yMm });
const content: LayoutContent = { piece, holes: [at('a', 60, 60), at('b', 300, 90)] };
const how = { shift: false, pxMm: 1 };

/** A room of one tool, acting on its own state and layout. */
function room(start: Partial<PlaceState> = {}) {
  let state: PlaceState = { ...openPlace('face', []), ...start };
  let now = content;
  const act = (action: PlaceAction): void => {
    state = placeState(state, action);
  };
  const edit = (change: LayoutEdit): void => {
    now = change(now);
  };
  const touch = () =>
    placeTouch({ content: now, outline: OUTLINE, shift: 0, holes: now.holes, state, act, edit });
  return { touch, state: () => state, now: () => now };
}

describe('moving holes', () => {
  it('takes up what a finger lands near, rests it on lines, and puts it down once', () => {
    const { touch, state, now } = room();
    expect(touch().onGrab({ xMm: 70, yMm: 75 }, how)).toBe(true);
    touch().onMove({ xMm: 70, yMm: 75 }, { xMm: 208, yMm: 113 }, how);
    expect(state().carried?.lines.map(({ why }) => why)).toEqual(['centre', 'third']);
    touch().onDrop({ xMm: 70, yMm: 75 }, { xMm: 208, yMm: 113 }, how);
    expect(now().holes[0]).toMatchObject({ xMm: 200, yMm: 100 });
    expect(state().carried).toBeNull();
  });
  it('lets the view be moved beside the holes, and goes free with Shift', () => {
    const { touch, now } = room();
    expect(touch().onGrab({ xMm: 200, yMm: 250 }, how)).toBe(false);
    touch().onGrab({ xMm: 60, yMm: 60 }, how);
    touch().onDrop({ xMm: 60, yMm: 60 }, { xMm: 198.5, yMm: 60 }, { ...how, shift: true });
    expect(now().holes[0]?.xMm).toBe(198.5);
  });
  it('chooses all in a box that is drawn with Shift', () => {
    const { touch, state } = room();
    const shift = { ...how, shift: true };
    expect(touch().onGrab({ xMm: 10, yMm: 10 }, shift)).toBe(true);
    touch().onMove({ xMm: 10, yMm: 10 }, { xMm: 350, yMm: 80 }, shift);
    expect(state().drawn).not.toBeNull();
    touch().onDrop({ xMm: 10, yMm: 10 }, { xMm: 350, yMm: 80 }, shift);
    expect(state()).toMatchObject({ drawn: null, selected: ['a'] });
  });
  it('carries all that are chosen, chooses by tap, adds with Shift', () => {
    const { touch, state, now } = room({ selected: ['a', 'b'], snaps: false });
    touch().onGrab({ xMm: 300, yMm: 90 }, how);
    touch().onDrop({ xMm: 300, yMm: 90 }, { xMm: 310, yMm: 95 }, how);
    expect(now().holes.map(({ xMm, yMm }) => [xMm, yMm])).toEqual([
      [70, 65],
      [310, 95],
    ]);
    touch().onTap({ xMm: 70, yMm: 65 }, how);
    expect(state().selected).toEqual(['a']);
    touch().onTap({ xMm: 310, yMm: 95 }, { ...how, shift: true });
    expect(state().selected).toEqual(['a', 'b']);
    touch().onTap({ xMm: 200, yMm: 250 }, how);
    expect(state().selected).toEqual([]);
  });
});

it('draws places to keep clear of and bands by a drag', () => {
  const keep = room({ tool: 'keep-off', keepOffKind: 'cut-out', keepOffShape: 'rectangle' });
  keep.touch().onDrop({ xMm: 100, yMm: 100 }, { xMm: 50, yMm: 160 }, how);
  expect(keep.now().piece.keepOff?.[0]).toMatchObject({
    kind: 'cut-out',
    shape: { xMm: 50, yMm: 100, widthMm: 50, heightMm: 60 },
  });
  const scan = room({ tool: 'scan' });
  scan.touch().onDrop({ xMm: 0, yMm: 10 }, { xMm: 400, yMm: 10 }, how);
  expect(scan.now().piece.services?.[0]).toMatchObject({
    kind: 'pipe',
    pointsMm: [
      [0, 10],
      [400, 10],
    ],
  });
  expect(shapeBetween('circle', { from: { xMm: 5, yMm: 5 }, to: { xMm: 5.2, yMm: 5 } })).toBeNull();
});

it('traces points, and moves the one under the finger', () => {
  const { touch, state } = room({ tool: 'outline' });
  touch().onTap({ xMm: 10, yMm: 10 }, how);
  touch().onTap({ xMm: 200, yMm: 10 }, how);
  expect(touch().onGrab({ xMm: 205, yMm: 12 }, how)).toBe(true);
  touch().onMove({ xMm: 205, yMm: 12 }, { xMm: 260, yMm: 40 }, how);
  touch().onDrop({ xMm: 205, yMm: 12 }, { xMm: 265, yMm: 42 }, how);
  expect(state().points).toEqual([
    { xMm: 10, yMm: 10 },
    { xMm: 265, yMm: 42 },
  ]);
  expect(state().held).toBeNull();
});

it('adds, mirrors, spreads and aligns', () => {
  const ids = ['c', 'd'];
  const nextId = (): string => ids.shift() ?? 'e';
  const added = addHoles([{ xMm: 100, yMm: 200 }], 'face', content.holes[1], nextId)(content);
  expect(added.holes[2]).toMatchObject({ id: 'c', label: 'Hole 3', version: 0, diameterMm: 22 });
  expect(mirrorHoles(['a'], 'upright', nextId)(content).holes[2]).toMatchObject({
    xMm: 340,
    yMm: 60,
  });
  const spread = spreadHoles(['a', 'b', 'c'], 'x')(added);
  expect(spread.holes.map(({ xMm }) => xMm)).toEqual([60, 300, 180]);
  expect(alignHoles(['b', 'a'], 'x')(content).holes.map(({ yMm }) => yMm)).toEqual([90, 90]);
});

it('fits, zooms about a point and pans', () => {
  const fit = fitView({ widthMm: 400, heightMm: 300 }, 498, 368);
  expect(fit.scale).toBe(1);
  expect(pointAt(fit, 34, 334)).toEqual({ xMm: 0, yMm: 0 });
  const near = zoomed(fit, 2, 134, 234, fit);
  expect(pointAt(near, 134, 234)).toEqual({ xMm: 100, yMm: 100 });
  expect(zoomed(fit, 1e6, 0, 0, fit).scale).toBe(60);
  expect(pointAt(panned(fit, 10, 0), 44, 334).xMm).toBe(0);
});
