import { readFileSync } from 'node:fs';
import { PUBLISHED_SCHEMAS } from './published';
import { readJobFile } from './readJobFile';

const sound = {
  format: 'nucleon-job',
  version: 1,
  job: { id: 'j', name: 'Round dial' },
  pieces: [
    {
      id: 'dial',
      name: 'Clock dial',
      form: 'sheet',
      material: 'float-glass',
      thicknessMm: 6,
      maker: 'kept',
      outline: { kind: 'circle', diameterMm: 420 },
      holes: [{ id: 'arbor', xMm: 210, yMm: 210, diameterMm: 22, depth: { kind: 'through' } }],
    },
  ],
};

function faultsOf(change: (file: Record<string, never> & typeof sound) => unknown): string[] {
  const copy = structuredClone(sound) as Parameters<typeof change>[0];
  change(copy);
  const read = readJobFile(JSON.stringify(copy));
  return read.kind === 'valid'
    ? []
    : read.faults.map((fault) => `${fault.pointer}: ${fault.message}`);
}

it('reads a sound file and keeps what it does not know', () => {
  const read = readJobFile(JSON.stringify(sound));
  expect(read).toEqual({ kind: 'valid', value: sound });
});

it.each<[string, (file: any) => unknown, string]>([
  [
    'a number with its unit',
    (f) => (f.pieces[0].thicknessMm = '6 mm'),
    '/pieces/0/thicknessMm: thicknessMm is “6 mm”; it must be a number of mm from 0.01, at most 5000.',
  ],
  [
    'a negative',
    (f) => (f.pieces[0].thicknessMm = -3),
    '/pieces/0/thicknessMm: thicknessMm is -3; it must be a number of mm from 0.01, at most 5000.',
  ],
  [
    'a huge one',
    (f) => (f.pieces[0].holes[0].diameterMm = 1e9),
    '/pieces/0/holes/0/diameterMm: diameterMm is 1000000000; it must be a number of mm from 0.01, at most 1000.',
  ],
  [
    'a missing one',
    (f) => delete f.pieces[0].outline,
    '/pieces/0/outline: outline is missing; it must be an object whose kind is one of rectangle, circle, polygon, cylinder, cone.',
  ],
  [
    'the wrong unit',
    (f) => {
      delete f.pieces[0].thicknessMm;
      f.pieces[0].thicknessIn = 0.25;
    },
    '/pieces/0/thicknessMm: thicknessMm is missing; it must be a number of mm from 0.01, at most 5000. Found “thicknessIn” instead: give thicknessMm, converted.',
  ],
  [
    'a wrong kind',
    (f) => (f.pieces[0].outline.kind = 'star'),
    '/pieces/0/outline/kind: kind is “star”; outline must be an object whose kind is one of rectangle, circle, polygon, cylinder, cone.',
  ],
  [
    'a wrong word',
    (f) => (f.pieces[0].form = 'plate'),
    '/pieces/0/form: form is “plate”; it must be one of sheet, slab, block, vessel, bead, wall, floor.',
  ],
  [
    'a wrong format',
    (f) => (f.format = 'other'),
    '/format: format is "other"; a job file says "nucleon-job".',
  ],
  [
    'a newer version',
    (f) => (f.version = 2),
    '/version: This file is version 2; this Nucleon reads up to version 1. Update Nucleon to open it.',
  ],
  [
    'a null',
    (f) => (f.pieces[0].holes[0].depth = null),
    '/pieces/0/holes/0/depth: depth is null; it must be an object whose kind is one of through, blind, ring.',
  ],
])('names %s', (_, change, fault) => {
  expect(faultsOf(change)).toEqual([fault]);
});

it('lists every fault, one a place', () => {
  expect(
    faultsOf((f: any) => {
      f.pieces[0].thicknessMm = 0;
      f.pieces[0].form = 1;
      delete f.pieces[0].holes[0].xMm;
    }),
  ).toHaveLength(3);
});

it.each([
  ['{"format": NaN}', /line 1, column 12 \(“NaN”\).*cannot be NaN/],
  ['{"a": 1,\n "b": }', /line 2, column 7/],
  ['', /empty/],
  ['[1]', /object in braces/],
  [
    '{"format":"nucleon-job","version":1,"job":{"id":"j","name":"n"},"pieces":[{"id":"p","name":"p","form":"sheet","material":"slate","thicknessMm":1e999,"outline":{"kind":"circle","diameterMm":9},"holes":[]}]}',
    /thicknessMm is Infinity/,
  ],
])('says where %s fails', (text, message) => {
  const read = readJobFile(text);
  expect(read.kind === 'faulty' && read.faults[0]?.message).toMatch(message);
});

it('is published as it is', () => {
  const published: unknown = JSON.parse(
    readFileSync(`${__dirname}/../../../docs/nucleon-job.schema.json`, 'utf8'),
  );
  expect(published).toEqual(PUBLISHED_SCHEMAS['nucleon-job']);
});
