import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';

const CORE = join(__dirname, '../../core/src');
const APP = join(__dirname, '../../../apps/app');
const MAY_SPEAK = jest.requireActual<RegExp>('../../../scripts/setup/speakingRooms.cjs');
/** Two words of small letters beside each other: a sentence, or part of one. */
const ENGLISH = /[A-Za-z]{2,} [a-z]{2,}/;

function* sources(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(path);
    else if (/\.tsx?$/.test(path) && !/((\.test|Fixtures)\.tsx?|testing\w*\.tsx?)$/.test(path))
      yield path;
  }
}

/** Every text in a file but those thrown at a caller's bug and names given to new parts. */
function textsOf(path: string): readonly string[] {
  const file = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
  const texts: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isThrowStatement(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) texts.push(node.text);
    else if (ts.isJsxText(node)) texts.push(node.text.trim());
    else if (ts.isTemplateExpression(node))
      texts.push(node.head.text + node.templateSpans.map(({ literal }) => literal.text).join('#'));
    ts.forEachChild(node, visit);
  };
  visit(file);
  return texts;
}

it('says nothing below words: numbers and codes alone', () => {
  const spoken = [...sources(CORE)]
    .filter((path) => !MAY_SPEAK.test(relative(CORE, path)))
    .flatMap((path) =>
      textsOf(path)
        .filter((text) => ENGLISH.test(text))
        .map((text) => `${relative(CORE, path)}: ${text}`),
    );
  expect(spoken).toEqual([
    // Names that a person may change, given to what is made for them.
    'advice/choice/hireOrBuy.ts: New bit',
    'advice/practicePiece.ts: , for practice',
    // A kind of thing, as its code.
    'setup/checkJob.ts: marked place',
    'setup/jobFault.ts: marked place',
  ]);
});

/** Where only words go: a single word there is as English as a sentence. */
const LABELS = new Set(['does', 'label', 'title', 'text', 'note', 'placeholder', 'aria-label']);

function* labelsWrittenIn(path: string): Generator<string> {
  const file = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    ts.ScriptKind.TSX,
  );
  const labels: string[] = [];
  const visit = (node: ts.Node): void => {
    const isLabel =
      (ts.isPropertyAssignment(node) || ts.isJsxAttribute(node)) &&
      LABELS.has(node.name.getText(file)) &&
      node.initializer !== undefined &&
      ts.isStringLiteral(node.initializer) &&
      /[A-Za-z]{2,}/.test(node.initializer.text);
    if (isLabel) labels.push(node.getText(file));
    ts.forEachChild(node, visit);
  };
  visit(file);
  yield* labels;
}

it('labels nothing in place', () => {
  const written = [join(APP, 'src'), join(APP, 'app')]
    .flatMap((folder) => [...sources(folder)])
    .flatMap((path) =>
      [...labelsWrittenIn(path)].map((label) => `${relative(APP, path)}: ${label}`),
    );
  expect(written).toEqual([]);
});

it('says nothing in the app either: its labels are words too', () => {
  const spoken = [join(APP, 'src'), join(APP, 'app')]
    .flatMap((folder) => [...sources(folder)])
    .flatMap((path) =>
      textsOf(path)
        .filter((text) => ENGLISH.test(text))
        .map((text) => `${relative(APP, path)}: ${text.slice(0, 40)}`),
    );
  expect(spoken).toEqual([
    // Patterns of dates, what a step of Undo is known by, a style sheet.
    'src/features/gates/GateLine.tsx: d MMM yyyy, HH:mm',
    'src/features/kit/BitCard.tsx: d MMM yyyy',
    'src/features/log/LogRow.tsx: d MMM yyyy, HH:mm',
    'src/features/people/day.ts: d MMM yyyy',
    'src/features/place/PhotoPanel.tsx: photo away',
    'src/features/place/PhotoPanel.tsx: photo scale',
    'src/ui/PrintStyle.tsx: @media print {\n  html, body, #root, #roo',
  ]);
});
