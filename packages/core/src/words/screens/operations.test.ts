import { PRESET_IDS } from '../../advice/operationPresets';
import { caseIn, jobWith, wallOf } from '../../setup/jobFixtures';
import { couplingChips, howSummary, leafChips, presetChips } from './operations';

const presets = PRESET_IDS.map((id) => ({ id, setup: {}, inUse: false }));
const labels = (purpose: string | undefined) =>
  presetChips(presets, purpose).map(({ label }) => label);

it('names a way by what the hole is for, and plainly where that is not known', () => {
  expect(labels(undefined)).toEqual([
    'From one face',
    'From both faces',
    'A pilot through, then both faces',
    'In steps of growing size',
  ]);
  expect(labels('pipe').slice(0, 2)).toEqual([
    'Vent or pipe from this face',
    'Vent or pipe from both faces',
  ]);
  expect(labels('bead-bore')[1]).toBe('Bead, half from each end');
  expect(labels('from-a-later-version')).toEqual(labels(undefined));
});

it('counts solid leaves from the face they are met from', () => {
  const { piece } = caseIn(
    jobWith({ piece: wallOf(['clay-brick', 102], ['cavity', 70], ['lightweight-block', 100]) }),
  );
  expect(leafChips(piece, [], 'near').map(({ label }) => label)).toEqual([
    expect.stringMatching(/^1\. .*brick/i),
    expect.stringMatching(/^2\. .*block/i),
  ]);
  expect(leafChips(piece, [], 'far')[0]?.label).toMatch(/^1\. .*block/i);
  expect(leafChips(caseIn(jobWith()).piece, [], 'near')).toEqual([]);
});

it('says in a line how one cut is held, guided, fed, and on what', () => {
  const rod = {
    id: 'rod',
    name: 'Rod 200',
    kind: 'extension',
    into: { kind: 'thread-m14' },
    takes: { kind: 'thread-m14' },
    lengthMm: 200,
  } as const;
  const core = { id: 'a', does: 'core' } as const;
  expect(howSummary(core, [rod])).toBe('As planned');
  expect(howSummary({ ...core, hold: 'rig', couplingIds: ['rod'] }, [rod])).toBe(
    'Rig or stand, Rod 200',
  );
  expect(couplingChips([rod, { ...rod, id: 'old', retired: true }])).toHaveLength(1);
});
