import type { StoredHole, StoredPiece } from '@nucleon/contract/wire';
import {
  bodyOf,
  holeDraft,
  type Content,
  type HoleAction,
  type HoleDraft,
} from '../hole/holeDraft';

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
  setup: { water: { kind: 'pool' }, hold: 'press' },
  version: 5,
  updatedAt: 't',
};
const base: Content = { piece, hole };
const start = (): HoleDraft => holeDraft.open(base);
const run = (draft: HoleDraft, ...actions: HoleAction[]): HoleDraft =>
  actions.reduce(holeDraft.reduce, draft);
const ofPiece = (change: Partial<StoredPiece>, group = 'piece', atMs = 0): HoleAction => ({
  type: 'edit',
  change: (now) => ({ ...now, piece: { ...now.piece, ...change } }),
  group,
  atMs,
});
const ofHole = (change: Partial<StoredHole>, group = 'hole', atMs = 0): HoleAction => ({
  type: 'edit',
  change: (now) => ({ ...now, hole: { ...now.hole, ...change } }),
  group,
  atMs,
});
/** What the server has after someone else changed the hole. */
const theirs = (change: Partial<StoredHole>): HoleAction => ({
  type: 'heard',
  stored: { piece, hole: { ...hole, ...change, version: 6 } },
});
const dueNames = (draft: HoleDraft): readonly string[] =>
  holeDraft.due(draft)?.changed.map(({ name }) => name) ?? [];

it('waits to save what differs, piece before hole, over the versions it knows', () => {
  const draft = run(start(), ofHole({ diameterMm: 24 }), ofPiece({ thicknessMm: 8 }, 'p', 5000));
  expect(draft.save.kind).toBe('waiting');
  expect(holeDraft.due(draft)?.changed.map(({ name, version }) => [name, version])).toEqual([
    ['piece', 3],
    ['hole', 5],
  ]);
  expect(run(start(), ofHole({ diameterMm: 22 }))).toEqual(start());
});

it('undoes a typed number as one, and does it again', () => {
  const typed = run(
    start(),
    ofPiece({ thicknessMm: 1 }, 'thickness', 0),
    ofPiece({ thicknessMm: 10 }, 'thickness', 300),
    ofHole({ diameterMm: 24 }, 'diameter', 5000),
  );
  const back = run(typed, { type: 'undo' }, { type: 'undo' });
  expect(back.now.piece.thicknessMm).toBe(6);
  expect(back.save.kind).toBe('saved');
  expect(run(back, { type: 'redo' }).now.piece.thicknessMm).toBe(10);
  expect(run(back, { type: 'undo' })).toBe(back);
});

it('is saved once the server has it, and not when more was typed meanwhile', () => {
  const typed = run(start(), ofPiece({ thicknessMm: 8 }), { type: 'saving' });
  const saved: HoleAction = {
    type: 'saved',
    sent: typed.now,
    stored: { piece: { ...typed.now.piece, name: 'Dial, tidied', version: 4 }, hole },
  };
  const done = run(typed, saved);
  expect([done.save.kind, done.now.piece.name]).toEqual(['saved', 'Dial, tidied']);
  const more = run(typed, ofPiece({ thicknessMm: 9 }, 'more', 9000), saved);
  expect(more.save.kind).toBe('waiting');
  expect(more.now.piece).toMatchObject({ thicknessMm: 9, name: 'Dial, tidied' });
});

it('is not left saving where another screen had written it already', () => {
  const heard = run(start(), ofHole({ diameterMm: 24 }), theirs({ diameterMm: 24 }));
  expect(heard.save.kind).toBe('saved');
  const begun = run(heard, { type: 'saving' });
  expect(run(begun, { type: 'unwritten' }).save.kind).toBe('saved');
  // What was typed meanwhile is still to be written.
  expect(run(begun, ofHole({ diameterMm: 26 }), { type: 'unwritten' }).save.kind).toBe('waiting');
});

describe('when someone else changed it first', () => {
  it('puts different fields together, down to single choices of the setup', () => {
    const mine = run(
      start(),
      ofHole({ diameterMm: 24, setup: { ...hole.setup, water: { kind: 'drip' } } }),
    );
    const both = run(mine, theirs({ xMm: 150, setup: { ...hole.setup, hold: 'guided' } }));
    expect(both.now.hole).toMatchObject({
      diameterMm: 24,
      xMm: 150,
      setup: { water: { kind: 'drip' }, hold: 'guided' },
      version: 6,
    });
    expect(both.save.kind).toBe('waiting');
    expect(holeDraft.due(both)?.changed[0]?.version).toBe(6);
    // Undo takes back what was done here, not what the other did.
    expect(run(both, { type: 'undo' }).now.hole).toMatchObject({ diameterMm: 22, xMm: 150 });
  });

  it('puts answers to different gates together', () => {
    const answer = (hazard: string, text: string) => ({ hazard, answer: text, at: 't' });
    const mine = run(start(), ofHole({ checks: [answer('eyes', 'yes')] }));
    const both = run(mine, theirs({ checks: [answer('dust', 'yes')] }));
    expect(both.now.hole.checks?.map(({ hazard }) => hazard).sort()).toEqual(['dust', 'eyes']);
  });

  it('asks where the same field was changed; either choice can be undone to the other', () => {
    const met = run(
      start(),
      ofHole({ diameterMm: 24, yMm: 90 }),
      theirs({ diameterMm: 30, xMm: 5 }),
    );
    expect(met.save).toMatchObject({
      kind: 'conflict',
      clashes: [{ part: 'hole', path: ['diameterMm'], mine: 24, theirs: 30 }],
    });
    const mine = run(met, { type: 'keep-mine' });
    expect(mine.now.hole).toMatchObject({ diameterMm: 24, yMm: 90, xMm: 5 });
    expect(mine.save.kind).toBe('waiting');
    expect(run(mine, { type: 'undo' }).now.hole).toMatchObject({ diameterMm: 30, yMm: 90, xMm: 5 });
    const taken = run(met, { type: 'take-theirs' });
    expect(taken.now.hole).toMatchObject({ diameterMm: 30, yMm: 90, xMm: 5 });
    const back = run(taken, { type: 'undo' });
    expect(back.now.hole).toMatchObject({ diameterMm: 24, yMm: 90, xMm: 5 });
    expect(dueNames(back)).toEqual(['hole']);
  });

  it('does not mix two kinds of outline', () => {
    const mine = run(start(), ofPiece({ outline: { kind: 'circle', diameterMm: 500 } }));
    const met = run(mine, {
      type: 'heard',
      stored: {
        piece: { ...piece, outline: { kind: 'rectangle', widthMm: 9, heightMm: 9 }, version: 4 },
        hole,
      },
    });
    expect(met.save).toMatchObject({ kind: 'conflict', clashes: [{ path: ['outline'] }] });
  });

  it('knows its own edit again whose answer was lost', () => {
    const sent = run(start(), ofHole({ diameterMm: 24 }), { type: 'saving' });
    const lost = run(sent, {
      type: 'failed',
      save: { kind: 'unreachable', message: 'Away.' },
      sent: sent.now,
    });
    const on = run(lost, ofHole({ diameterMm: 25 }, 'on', 9000), theirs({ diameterMm: 24 }));
    expect(on.now.hole).toMatchObject({ diameterMm: 25 });
    expect(on.save.kind).toBe('waiting');
    expect(holeDraft.due(on)?.changed[0]?.version).toBe(6);
  });
});

it('takes newer data as it comes, and leaves older alone', () => {
  const newer = run(start(), theirs({ label: 'Arbor' }));
  expect([newer.now.hole.label, newer.save.kind]).toEqual(['Arbor', 'saved']);
  expect(run(newer, { type: 'heard', stored: base })).toBe(newer);
});

it('picks up what was kept on the device, onto what the server has by now', () => {
  const now = { piece: { ...piece, thicknessMm: 9 }, hole };
  expect(holeDraft.open(base, { base, now }).save.kind).toBe('waiting');
  expect(holeDraft.open(base, { base, now: base }).save.kind).toBe('saved');
  const moved = { piece: { ...piece, name: 'Face', version: 4 }, hole };
  const put = holeDraft.open(moved, { base, now });
  expect(put.now.piece).toMatchObject({ name: 'Face', thicknessMm: 9, version: 4 });
  const same = { piece: { ...piece, thicknessMm: 10, version: 4 }, hole };
  expect(holeDraft.open(same, { base, now }).save.kind).toBe('conflict');
});

it('sends own fields and the version, nothing the server keeps', () => {
  const { setup: _setup, ...plain } = hole;
  expect(bodyOf(plain, 5)).toEqual({
    xMm: 200,
    yMm: 200,
    diameterMm: 22,
    depth: { kind: 'through' },
    version: 5,
  });
});
