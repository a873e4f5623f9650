import { coverageText } from './coverageWords';

const post = (n: number) => ({ holeName: `Post ${n}`, pieceName: 'Terrace' });

it('names a few, counts the others and says whom an answer leaves out', () => {
  expect(
    coverageText(
      [1, 2, 3, 4, 5, 6].map(post),
      [
        { ...post(7), why: 'another-machine' },
        { holeName: null, pieceName: 'Wall', why: 'wider' },
      ],
      'hole',
    ),
  ).toBe(
    'For Post 1 in Terrace, Post 2 in Terrace, Post 3 in Terrace, Post 4 in Terrace, 2 more. ' +
      'Not for Post 7 in Terrace: it is drilled with another machine. Not for the hole in Wall: a wider hole.',
  );
});

it('goes by the piece where a piece is asked once', () => {
  expect(coverageText([{ holeName: 'Rod', pieceName: 'Pane 2' }], [], 'piece')).toBe('For Pane 2.');
});
