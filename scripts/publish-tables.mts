/** Writes the tables of docs/ that are the code's own registries: `npm run schema`. */
import { writeFileSync } from 'node:fs';
import { ABRASIVE_IDS, ABRASIVES, specificEnergy } from '@nucleon/core/data/bits/abrasives';
import { BIT_FAMILIES, BIT_FAMILY_IDS, type BitFamily } from '@nucleon/core/data/bits/bitFamilies';
import { EVIDENCE } from '@nucleon/core/advice/evidence/evidence';
import { GENERAL } from '@nucleon/core/advice/evidence/evidenceRow';
import { bandWords, modelWords } from '@nucleon/core/words/advice/evidenceWords';
import { MIN_SPREAD_SHARE, weighEvidence } from '@nucleon/core/advice/evidence/weighEvidence';
import { IDENTIFIERS } from '@nucleon/core/advice/identify/identify';
import type { Field } from '@nucleon/core/layout/purposes/field';
import { PURPOSES } from '@nucleon/core/layout/purposes/purposes';
import { BY_ITSELF, CAUSE_IDS, CAUSES } from '@nucleon/core/data/signs/causes';
import { SIGN_IDS, SIGNS, type SignEffect } from '@nucleon/core/data/signs/signs';
import { gateTable } from './gateTable.mts';
import { MATERIAL_IDS, MATERIALS } from '@nucleon/core/data/materials/materials';
import { formatSignificant } from '@nucleon/core/words/units/roundNumber';
import { MODEL_VERSION } from '@nucleon/core/documents/plan';
import { ROUTE_ACCESS } from '../apps/server/src/people/routeAccess.ts';
import { plateTables } from './plateTable.mts';

const table = (head: readonly string[], rows: readonly (readonly string[])[]): string =>
  [head, head.map(() => '---'), ...rows].map((row) => `| ${row.join(' | ')} |`).join('\n');

function fieldText(name: string, field: Field): string {
  const usual = field.usual === undefined ? '' : `, usually ${field.usual}`;
  if (field.kind === 'choice')
    return `\`${name}\` (${Object.keys(field.options).join(', ')}; usually ${field.usual})`;
  const unit = field.kind === 'length' ? 'mm' : field.unit;
  return `\`${name}\`${field.optional ? '?' : ''}${unit ? ` ${unit}` : ''}${usual}`;
}

const HALT_WORDS = {
  'water-change': 'waits for clear water',
  'core-break': 'waits for the core',
  chisel: 'waits until it is chiselled clear',
} as const satisfies Record<Extract<SignEffect, { kind: 'halt' }>['phase'], string>;

/** What a sign does to the run, in a few words. */
function effectWords(effect: SignEffect): string {
  switch (effect.kind) {
    case 'force':
      return `force × ${effect.factor}`;
    case 'stop':
      return 'pauses';
    case 'cool':
      return 'waits until it is cool';
    case 'lift':
      return 'lifts';
    case 'bar':
      return 'pauses; then through the bar';
    case 'halt':
      return HALT_WORDS[effect.phase];
    case 'nearly-through':
      return 'eases off; the rim is near the end';
  }
}

const write = (name: string, text: string): void => {
  writeFileSync(new URL(`../docs/${name}`, import.meta.url), text);
};

write(
  'purposes.md',
  `# From the part to the hole

Each purpose gives diameter and range, depth, fall, the chips it hides, what else it needs and what follows. A hole
names it as \`purpose\`: \`{ "kind": "pipe", "outerDiameterMm": 110, "fallOneIn": 60 }\`; the command line runs it alone:
\`nucleon fit pipe --json '{…}'\`. Lengths are mm, or texts such as "1 1/2 in"; \`thicknessMm\` beside them is the piece's.

${table(
  ['kind', 'for', 'fields'],
  Object.entries(PURPOSES).map(([kind, { title, fields }]) => [
    kind,
    title,
    Object.entries(fields as Record<string, Field>)
      .map(([name, field]) => fieldText(name, field))
      .join(', '),
  ]),
)}
`,
);

write(
  'identify.md',
  `# What a piece may be

Each answer weighs the candidates by Bayes' rule with a plain table of odds (\`packages/core/src/advice/identify\`), never down to
nothing: a slip of the eye is always possible. The next question is the one that tells most, in bits. For stone the odds of
the scratch ladder follow from each stone's own hardness and its spread. Likelihood alone never vouches for glass: only a
label, its maker's word, or a clear polariser test after its control. On the command line:
\`nucleon identify --json '{"kind": "stone", "answers": {"scratch": "steel-nail", "acid": "none"}}'\`.

${Object.entries(IDENTIFIERS)
  .map(
    ([kind, { title, candidates, questions, staysUnknown }]) => `## ${kind}: ${title.toLowerCase()}

Candidates: ${Object.entries(candidates)
      .map(([id, { name }]) => `${id} (${name})`)
      .join(', ')}.

${table(
  ['question', 'asks', 'answers'],
  Object.entries(questions).map(([id, { ask, answers }]) => [
    id,
    ask,
    Object.keys(answers).join(', '),
  ]),
)}

${staysUnknown}
`,
  )
  .join('\n')}`,
);

write(
  'hazards.md',
  `# The gates

A stop cannot be run past; one without answers has no way round. A confirm is ticked. A note is to know. An answer is
stored as a check, \`{ "hazard", "answer", "at", "note"?, "of"? }\`, on the job, the piece or the hole: \`note\` is what must
be written with some answers (marked *), \`of\` what it was answered for; when that changes the gate opens again. A check
without \`of\`, written by hand, is taken as it stands.

${table(['code', 'title', 'answered for', 'levels and answers'], gateTable())}
`,
);

const range = ([low, high]: readonly [number, number], factor: number): string =>
  [low, high].map((m) => formatSignificant(m * 1000 * factor, 2)).join('–');

write(
  'rims.md',
  `# Rims: specific energy and life

How the grains are held sets chip thickness, and that the energy of a volume (Malkin): e, J/mm³, sharp and wet, is the
material's own column times its rim's factor (\`packages/core/src/data/bits/abrasives.ts\`). Known to a factor of two either
way until a log narrows it.

${table(
  ['material', ...ABRASIVE_IDS.map((id) => ABRASIVES[id].name.toLowerCase())],
  MATERIAL_IDS.map((id) => [
    MATERIALS[id].name,
    ...ABRASIVE_IDS.map((rim) => formatSignificant(specificEnergy(MATERIALS[id], rim), 2)),
  ]),
)}

Depth cut until half the bite is gone, mm: the tenth to the ninetieth of a hundred bits, handled calmly. Dry where the rim
is not made for it × 0.1, too fast × 0.5, pressed too hard × 0.4.

${table(
  ['material', ...ABRASIVE_IDS.map((id) => ABRASIVES[id].name.toLowerCase())],
  MATERIAL_IDS.map((id) => {
    const { class: kind, abrasiveness, name } = MATERIALS[id];
    return [
      name,
      ...ABRASIVE_IDS.map((rim) =>
        range(ABRASIVES[rim].lifeDepthM[kind], ABRASIVES[rim].lifeFactor[abrasiveness]),
      ),
    ];
  }),
)}

${table(
  ['family', 'rim', 'sizes mm', 'pressure ×', 'speed ×', 'dry'],
  BIT_FAMILY_IDS.map((id) => {
    const family: BitFamily = BIT_FAMILIES[id];
    return [
      `\`${id}\` ${family.name}`,
      ABRASIVES[family.abrasive].name.toLowerCase(),
      family.diameterMm.join('–'),
      String(family.pressureFactor),
      String(family.speedFactor),
      family.mayRunDry ? 'made for it' : 'no',
    ];
  }),
)}
`,
);

const { forms, refined } = plateTables();
write(
  'plate.md',
  `# How the plate is calculated

A sheet or slab thinner than a quarter of its span is a Kirchhoff plate of discrete Kirchhoff triangles (Batoz, Bathe and
Ho 1980) on springs that hold from below only. The mesh is rings about the rim, growing outwards by about a fifth, and about
every hole that is there, joined by Delaunay's rule. Nodes are numbered by reverse Cuthill–McKee or swept along an axis,
whichever keeps the smaller envelope, and factored within it by Cholesky, three rows against three. Contact is an active set:
springs that would pull let go, those that are reached take hold, round by round; a round is solved by conjugate gradients
with the last factor before it, or factored anew where that is shorter. A load whose resultant falls outside everything that
could bear it is told as tipping, before anything is solved. A rim narrower than about its plate is thick is spread by
Westergaard's equivalent radius.

What holds it: a bed of one modulus times the share of it that touches, or pads and nothing else; edges held at no
deflection, free to turn; the piece's own weight where it lies flat; clamps as forces on round pads; boards that lie on it
unglued and add their own stiffness where they lie; a twist, as the gap of a saddle over a flat bed.

The map of odds presses an even mesh in the middle of every cell and is brought to the fine mesh's tension at the hole's own
place. A whole flat bed may pull a little there: under 1 % of the stress, a tenth at the corners on sponge; with pads or a
twist the contact is found at every place.

## Beside the closed forms

Float glass, E 70 GPa, ν 0.22, 6 mm; F 26.389 N; foam k_f 0.2 N/mm³. Written by \`npm run schema\`.

${table(['case', 'closed form', 'solved', 'off by', 'allowed', 'nodes'], forms)}

## As the mesh is refined

Held square under a point load, squares cut in two, off the closed form by:

${table(['mesh', 'off by'], refined)}
`,
);

write(
  'signs.md',
  `# Signs and what is the matter

What can be seen, heard or felt while drilling, what it means and the one thing to do (\`packages/core/src/data/signs/signs.ts\`).

${table(
  ['code', 'by', 'sign', 'means', 'do', 'the run'],
  SIGN_IDS.map((id) => {
    const { by, title, means, todo, effect } = SIGNS[id];
    return [id, by, title, means, todo, effect ? effectWords(effect) : '–'];
  }),
)}

## Ranked by Bayes' rule

P(cause | signs) ∝ prior × Π P(sign | cause)^w. The prior follows the run: sharpness, depth, rate beside the plan, since the
last lift, murk, force, core in the barrel, heat, held by hand or not. w halves every 120 s, since what was seen long ago may
have been mended; a sign that went after its remedy counts no more. A sign that a cause does not account for shows all the same
${BY_ITSELF * 100} % of the time. The chances are starting values judged from how each fault shows at the bench, not measured;
the log is what will correct them.

${table(
  ['cause', 'do', 'shows as', 'source'],
  CAUSE_IDS.map((id) => {
    const { title, todo, shows, source } = CAUSES[id];
    const chances = Object.entries(shows)
      .map(([sign, chance]) => `${sign} ${Math.round(chance * 1000) / 10} %`)
      .join(', ');
    return [title, todo, chances, source];
  }),
)}
`,
);

const weighed = weighEvidence(EVIDENCE);
const landed = weighed.filter(({ ok }) => ok).length;
write(
  'evidence.md',
  `# The model beside the bench

Model ${MODEL_VERSION}: ${landed} of ${weighed.length} land. What happens in everyday jobs, as people who do them often see it, and
what the model says of the same job (\`packages/core/src/advice/evidence\`): \`nucleon evidence\`, \`--json\` for programs. The bands
are wide because practice is: a new, sharp bit of fair quality, wet unless said. A row lands when the model's middle lies in
the band and its tenth to ninetieth of a hundred, where it has them, span at least ${MIN_SPREAD_SHARE * 100} % of it in logarithms. A row
that misses says why, or the test fails; so does a reason that is not true any more. Written by \`npm run schema\`.

${table(
  ['job', 'figure', 'bench', 'model', ''],
  weighed.map((row) => [
    row.job,
    row.figure,
    `${bandWords(row)}${row.source === GENERAL ? '' : ` (${row.source})`}`,
    modelWords(row),
    row.ok ? 'lands' : `misses: ${row.misses ?? 'and nothing says why'}`,
  ]),
)}
`,
);

const may = (allowed: boolean): string => (allowed ? 'yes' : '–');
write(
  'access.md',
  `# Who may ask what

Where another device can reach the server, people sign in ([running.md](running.md)). Every route of the API stands in one
table (\`apps/server/src/people/routeAccess.ts\`); what does not stand there is refused. \`routeAccess.test.ts\` tries each as
each role, as nobody and by a link to one job, and compares the table with what the server really answers. A link reads
things of its own job, and the kit plans need. Nobody is 401, too little 403, what a link does not show 404. On the
workshop’s own computer, at 127.0.0.1, nobody signs in and all may be asked. Written by \`npm run schema\`.

${table(
  ['route', 'nobody', 'by a link', 'viewer', 'worker', 'owner'],
  Object.entries(ROUTE_ACCESS).map(([route, { needs, shared }]) => {
    const anyone = needs === 'anyone';
    return [
      `\`${route}\``,
      may(anyone),
      may(anyone || shared !== undefined),
      may(anyone || needs === 'viewer'),
      may(anyone || needs !== 'owner'),
      'yes',
    ];
  }),
)}
`,
);
