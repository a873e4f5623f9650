import type { PieceLayout } from '@nucleon/contract/wire';
import { DETAIL, HOLE, PIECE } from '../../testingApi';
import { dueChange, layoutDraft, type LayoutAction, type LayoutDraft } from './layoutDraft';
import { addHoles, moveHoles, removeHoles, type LayoutEdit } from './layoutEdits';

const layout: PieceLayout = {
  job: DETAIL.job,
  piece: PIECE,
  holes: [HOLE, { ...HOLE, id: 'h2', xMm: 100 }],
};
const openLayout = layoutDraft.open;
const next = (draft: LayoutDraft, action: LayoutAction): LayoutDraft =>
  layoutDraft.reduce(draft, action);
const edited = (draft: LayoutDraft, change: LayoutEdit, group = 'g', atMs = 0): LayoutDraft =>
  next(draft, { type: 'edit', change, group, atMs });

it('sends only what was moved, added and taken away', () => {
  let draft = openLayout(layout);
  expect(dueChange(draft)).toBeNull();
  draft = edited(draft, moveHoles(['h1'], 5, -2), 'a');
  draft = edited(draft, removeHoles(['h2']), 'b');
  draft = edited(
    draft,
    addHoles([{ xMm: 50, yMm: 60 }], 'face', undefined, () => 'new'),
    'c',
  );
  const due = dueChange(draft);
  expect(due?.holes.map(({ id, version, xMm }) => [id, version, xMm])).toEqual([
    ['h1', 1, 215],
    ['new', 0, 50],
  ]);
  expect(due?.removed).toEqual(['h2']);
  expect(due).not.toHaveProperty('piece');
  expect(draft.save.kind).toBe('waiting');
});

it('takes a drag back as one step, and forth again', () => {
  let draft = openLayout(layout);
  draft = edited(draft, moveHoles(['h1'], 1, 0), 'drag', 0);
  draft = edited(draft, moveHoles(['h1'], 1, 0), 'drag', 100);
  draft = next(draft, { type: 'undo' });
  expect(draft.now.holes[0]?.xMm).toBe(210);
  expect(draft.save.kind).toBe('saved');
  draft = next(draft, { type: 'redo' });
  expect(draft.now.holes[0]?.xMm).toBe(212);
});

it('keeps what was moved while the last was being written, on the new version', () => {
  let draft = edited(openLayout(layout), moveHoles(['h1'], 1, 0), 'a');
  const sent = draft.now;
  draft = edited(draft, moveHoles(['h1'], 1, 0), 'b');
  const answered = {
    piece: PIECE,
    holes: sent.holes.map((hole) => (hole.id === 'h1' ? { ...hole, version: 2 } : hole)),
  };
  draft = next(draft, { type: 'saved', sent, stored: answered });
  expect(draft.now.holes[0]).toMatchObject({ xMm: 212, version: 2 });
  expect(dueChange(draft)?.holes).toMatchObject([{ id: 'h1', version: 2 }]);
});

it('brings back a hole that was new, saved and taken away, on the version the server has', () => {
  let draft = edited(
    openLayout(layout),
    addHoles([{ xMm: 50, yMm: 60 }], 'face', undefined, () => 'new'),
  );
  draft = edited(draft, moveHoles(['h1'], 1, 0), 'b');
  const saved = { piece: PIECE, holes: draft.now.holes.map((hole) => ({ ...hole, version: 1 })) };
  draft = next(draft, { type: 'saved', sent: draft.now, stored: saved });
  draft = next(next(draft, { type: 'undo' }), { type: 'undo' });
  expect(dueChange(draft)?.removed).toEqual(['new']);
  const without = { piece: PIECE, holes: draft.now.holes };
  draft = next(draft, { type: 'saved', sent: draft.now, stored: without });
  draft = next(draft, { type: 'redo' });
  expect(dueChange(draft)?.holes).toMatchObject([{ id: 'new', version: 1 }]);
});

it('puts holes that different people moved together, and asks about the same one', () => {
  const mine = edited(openLayout(layout), moveHoles(['h1'], 1, 0), 'a');
  const [h1, h2] = layout.holes;
  if (!h1 || !h2) throw new Error('two holes');
  const other = next(mine, {
    type: 'heard',
    stored: { piece: PIECE, holes: [h1, { ...h2, yMm: 33, version: 2 }] },
  });
  expect(other.now.holes.map(({ xMm, yMm }) => [xMm, yMm])).toEqual([
    [211, 210],
    [100, 33],
  ]);
  const current = { piece: PIECE, holes: [{ ...HOLE, xMm: 300, version: 7 }] };
  const conflict = next(mine, { type: 'heard', stored: current });
  expect(conflict.save.kind).toBe('conflict');
  const kept = next(conflict, { type: 'keep-mine' });
  expect(dueChange(kept)).toMatchObject({ holes: [{ id: 'h1', version: 7, xMm: 211 }] });
  // The hole that the other took away, and nobody here touched, stays away.
  expect(kept.now.holes).toHaveLength(1);
  const theirs = next(conflict, { type: 'take-theirs' });
  expect(theirs.now.holes[0]?.xMm).toBe(300);
  expect(theirs.save.kind).toBe('saved');
  expect(next(theirs, { type: 'undo' }).now.holes[0]?.xMm).toBe(211);
});

it('asks where one moved what the other deleted; mine brings it back', () => {
  const mine = edited(openLayout(layout), moveHoles(['h2'], 1, 0), 'a');
  const conflict = next(mine, { type: 'heard', stored: { piece: PIECE, holes: [HOLE] } });
  expect(conflict.save).toMatchObject({ kind: 'conflict', clashes: [{ part: 'h2', path: [] }] });
  const kept = next(conflict, { type: 'keep-mine' });
  expect(dueChange(kept)).toMatchObject({ holes: [{ id: 'h2', version: 1 }], restored: ['h2'] });
  expect(next(kept, { type: 'undo' }).now.holes).toHaveLength(1);
});

it('opens with what was kept on the device, to be sent', () => {
  const { piece, holes } = layout;
  const base = { piece, holes };
  const now = { piece: PIECE, holes: [{ ...HOLE, xMm: 99 }] };
  const draft = openLayout(base, { base, now });
  expect(draft.save.kind).toBe('waiting');
  expect(dueChange(draft)).toMatchObject({ holes: [{ id: 'h1', xMm: 99 }], removed: ['h2'] });
});
