import type { HazardCheck } from '../../documents/hazardCheck';
import type { Piece } from '../../documents/piece';
import { makePlan } from '../../words/plan/makePlan';
import { caseWith, type JobParts } from '../jobFixtures';
import { answersHere, answersThere, coverage, gatedHole, type GatedHole } from './coverage';

const NOW = new Date('2026-05-04T14:00:00Z');
const TODAY = '2026-05-04T09:00:00Z';
const LAST_WEEK = '2026-04-27T09:00:00Z';

const WALL: Partial<Piece> = {
  form: 'wall',
  material: 'clay-brick',
  thicknessMm: 215,
  glassTreatment: undefined as never,
  outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2400 },
};
const CORE = { id: 'core', name: 'Core', family: 'segmented-core', diameterMm: 82 } as const;
const HAND_CORE = { id: 'hand', name: 'Core drill', kind: 'hand-core-drill' } as const;

/** A hole in a job, planned, with what was answered at it. */
function hole(
  parts: JobParts & { readonly id: string; readonly pieceId?: string },
  checks: readonly HazardCheck[] = [],
): GatedHole {
  const one = caseWith({
    ...parts,
    piece: { ...parts.piece, id: parts.pieceId ?? 'one' },
    hole: { ...parts.hole, id: parts.id, checks: [...checks] },
  });
  const outcome = makePlan(one);
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome.faults));
  return gatedHole(one.piece, one.hole, outcome.plan);
}

const inWall = (
  id: string,
  at: Partial<{
    diameterMm: number;
    xMm: number;
    pieceId: string;
    machine: JobParts['machine'];
  }> = {},
  checks: readonly HazardCheck[] = [],
): GatedHole =>
  hole(
    {
      id,
      pieceId: at.pieceId ?? 'wall',
      piece: WALL,
      hole: { diameterMm: at.diameterMm ?? 82, xMm: at.xMm ?? 600, yMm: 800 },
      bits: [{ ...CORE, diameterMm: at.diameterMm ?? 82 }],
      machine: at.machine ?? HAND_CORE,
      setup: { machine: at.machine?.id ?? 'hand', hold: 'guided', water: { kind: 'spindle' } },
    },
    checks,
  );

const check = (hazard: string, answer: string, more: Partial<HazardCheck> = {}): HazardCheck => ({
  hazard,
  answer,
  at: TODAY,
  ...more,
});
const why = (one: HazardCheck, given: GatedHole, other: GatedHole): string => {
  const found = coverage(one, given, other, NOW);
  return found === null ? 'not asked' : found.kind === 'covered' ? 'covered' : found.why;
};

const first = inWall('a');

it('takes a scan along the same wall, no deeper, and never to another wall', () => {
  const scan = check('hidden-services', 'scanned-clear', { note: 'Own scanner, 90 mm' });
  expect(why(scan, first, inWall('b', { xMm: 1400 }))).toBe('covered');
  expect(why(scan, first, inWall('b', { pieceId: 'other wall' }))).toBe('another-piece');
  expect(why(scan, { ...first, depthMm: 90 }, inWall('b'))).toBe('deeper');
});

it('keeps who said it, when and how, and changes only what it was answered for', () => {
  const scan = check('hidden-services', 'scanned-clear', { note: 'Own scanner', of: 'wall|12|16' });
  const found = coverage(scan, first, inWall('b', { xMm: 1400 }), NOW);
  expect(found).toEqual({ kind: 'covered', check: { ...scan, of: 'wall|28|16' } });
});

it('holds an engineer’s word for holes as wide, and a missed bar for its own hole', () => {
  const word = check('structure', 'engineer-agreed', { note: 'Letter of March' });
  expect(why(word, first, inWall('b', { xMm: 1400 }))).toBe('covered');
  expect(why(word, first, inWall('b', { diameterMm: 110 }))).toBe('wider');
  expect(why(check('structure', 'bars-missed'), first, inWall('b'))).toBe('each-its-own');
});

it('holds a tested supply for the day and the machine it was tested with', () => {
  const tested = check('mains-and-water', 'plug-tested');
  const other = inWall('b', { machine: { ...HAND_CORE, id: 'second' } });
  expect(why(tested, first, inWall('b'))).toBe('covered');
  expect(why({ ...tested, at: LAST_WEEK }, first, inWall('b'))).toBe('earlier-day');
  expect(why(tested, first, other)).toBe('another-machine');
  expect(why(check('mains-and-water', 'rcd-tested'), first, inWall('b'))).toBe('other-answers');
});

const pane = (id: string, piece: Partial<Piece> = {}, checks: readonly HazardCheck[] = []) =>
  hole({ id: `hole ${id}`, pieceId: id, piece: { glassTreatment: 'unknown', ...piece } }, checks);

it('takes a maker’s word to panes of the same make, and a label or test to none', () => {
  const word = check('unknown-treatment', 'maker-annealed');
  expect(why(word, pane('1'), pane('2'))).toBe('covered');
  expect(why(word, pane('1'), pane('2', { thicknessMm: 8 }))).toBe('unlike-piece');
  expect(why(word, pane('1'), pane('2', { glassTreatment: 'annealed' }))).toBe('not asked');
  for (const answer of ['label-annealed', 'polariser-clear'])
    expect(why(check('unknown-treatment', answer), pane('1'), pane('2'))).toBe('each-its-own');
});

it('asks nothing again that holds for the whole job', () => {
  expect(why(check('eyes', 'eyes-covered'), first, inWall('b'))).toBe('not asked');
});

it('lists where an answer may go, once a piece, with whom it leaves out', () => {
  const word = check('unknown-treatment', 'maker-annealed');
  const given = hole(
    { id: 'given', pieceId: '1', piece: { glassTreatment: 'unknown', checks: [word] } },
    [check('mains-and-water', 'rcd-tested')],
  );
  const second = hole({ id: 'second hole', pieceId: '2', piece: { glassTreatment: 'unknown' } });
  const thick = pane('thick', { thicknessMm: 8 });
  const offered = answersThere(given, [pane('2'), second, thick], NOW);
  const treatment = offered.find(({ gate }) => gate.code === 'unknown-treatment');
  expect(treatment?.covered.map(({ at }) => at.piece.id)).toEqual(['2']);
  expect(treatment?.exceptions.map(({ at, why }) => [at.piece.id, why])).toEqual([
    ['thick', 'unlike-piece'],
  ]);
  const supply = offered.find(({ gate }) => gate.code === 'mains-and-water');
  expect(supply?.covered.map(({ at }) => at.hole.id)).toEqual([
    'hole 2',
    'second hole',
    'hole thick',
  ]);
});

it('finds for an open gate the latest answer that holds here', () => {
  const early = inWall('early', {}, [check('structure', 'engineer-agreed', { note: 'Letter' })]);
  const late = inWall('late', {}, [
    check('structure', 'engineer-agreed', { note: 'By phone', at: '2026-05-04T11:00:00Z' }),
  ]);
  const here = answersHere(inWall('here', { xMm: 1400 }), [late, early], NOW);
  expect(here.map(({ gate, check: one, from }) => [gate.code, one.note, from.hole.id])).toEqual([
    ['structure', 'By phone', 'late'],
  ]);
});
