import type { StoredHole, StoredPiece } from '@nucleon/contract/wire';
import {
  bodyOf,
  dirtyParts,
  holeDraft,
  openDraft,
  type DraftAction,
  type HoleDraft,
} from './holeDraft';

const piece: StoredPiece = {
  id: 'p',
  jobId: 'j',
  name: 'Dial',
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  outline: { kind: 'circle', diameterMm: 400 },
  version: 3,
  updatedAt: 't',
};
const hole: StoredHole = {
  id: 'h',
  pieceId: 'p',
  xMm: 200,
  yMm: 200,
  diameterMm: 22,
  depth: { kind: 'through' },
  version: 5,
  updatedAt: 't',
};
const start = (): HoleDraft => openDraft({ piece, hole });
const run = (draft: HoleDraft, ...actions: DraftAction[]): HoleDraft =>
  actions.reduce(holeDraft, draft);
const thickness = (thicknessMm: number, atMs: number): DraftAction => ({
  type: 'edit',
  change: { piece: { thicknessMm } },
  group: 'thickness',
  atMs,
});
const diameter = (diameterMm: number, atMs: number): DraftAction => ({
  type: 'edit',
  change: { hole: { diameterMm } },
  group: 'diameter',
  atMs,
});

it('waits to save what differs, piece before hole', () => {
  const draft = run(start(), diameter(24, 0), thickness(8, 5000));
  expect(draft.save.kind).toBe('waiting');
  expect(dirtyParts(draft)).toEqual(['piece', 'hole']);
});

it('undoes a typed number as one, and does it again', () => {
  const typed = run(start(), thickness(1, 0), thickness(10, 300), diameter(24, 5000));
  const back = run(typed, { type: 'undo' }, { type: 'undo' });
  expect(back.now.piece.thicknessMm).toBe(6);
  expect(back.save.kind).toBe('saved');
  expect(run(back, { type: 'redo' }).now.piece.thicknessMm).toBe(10);
  expect(run(back, { type: 'undo' })).toBe(back);
});

it('is saved once the server has it, and not when more was typed meanwhile', () => {
  const saved: DraftAction = {
    type: 'saved',
    part: 'piece',
    sent: { ...piece, thicknessMm: 8 },
    stored: { ...piece, thicknessMm: 8, version: 4 },
  };
  expect(
    run(start(), thickness(8, 0), { type: 'saving' }, saved, { type: 'settled' }).save.kind,
  ).toBe('saved');
  expect(
    run(start(), thickness(8, 0), { type: 'saving' }, thickness(9, 100), saved, { type: 'settled' })
      .save.kind,
  ).toBe('waiting');
});

describe('when someone else changed it first', () => {
  const conflict: DraftAction = {
    type: 'failed',
    save: { kind: 'conflict', part: 'hole', current: { ...hole, diameterMm: 30, version: 6 } },
  };
  const met = run(start(), diameter(24, 0), { type: 'saving' }, conflict);

  it('keeps mine over theirs', () => {
    const mine = run(met, { type: 'keep-mine' });
    expect(mine.now.hole.diameterMm).toBe(24);
    expect(mine.stored.hole.version).toBe(6);
    expect(mine.save.kind).toBe('waiting');
  });

  it('takes theirs, and mine can be had back', () => {
    const taken = run(met, { type: 'take-theirs' });
    expect(taken.now.hole.diameterMm).toBe(30);
    expect(taken.save.kind).toBe('saved');
    expect(run(taken, { type: 'undo' }).now.hole.diameterMm).toBe(24);
  });
});

it('picks up what was kept on the device', () => {
  const kept = openDraft({ piece, hole }, { piece: { ...piece, thicknessMm: 9 }, hole });
  expect(kept.save.kind).toBe('waiting');
  expect(openDraft({ piece, hole }, { piece, hole }).save.kind).toBe('saved');
});

it('takes newer data only when nothing is unsaved', () => {
  const newer: DraftAction = {
    type: 'refetched',
    detail: { piece: { ...piece, name: 'Face', version: 4 }, hole },
  };
  expect(run(start(), newer).now.piece.name).toBe('Face');
  expect(run(start(), diameter(24, 0), newer).now.piece.name).toBe('Dial');
});

it('sends own fields and the version, nothing the server keeps', () => {
  expect(bodyOf(hole, 5)).toEqual({
    xMm: 200,
    yMm: 200,
    diameterMm: 22,
    depth: { kind: 'through' },
    version: 5,
  });
});

it('takes what the server made of it, so that it is not sent for ever', () => {
  const typed = run(start(), thickness(8, 0), { type: 'saving' });
  const stored = { ...typed.now.piece, name: 'Dial, tidied', version: 4 };
  const done = run(
    typed,
    { type: 'saved', part: 'piece', sent: typed.now.piece, stored },
    { type: 'settled' },
  );
  expect(done.now.piece.name).toBe('Dial, tidied');
  expect(done.save.kind).toBe('saved');
});
