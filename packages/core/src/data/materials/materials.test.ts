import { isBuiltWith, findMaterial, MATERIAL_IDS, MATERIALS } from './materials';
import { provenance } from './provenance';
import type { MaterialColumn } from './material';

it.each(MATERIAL_IDS)('%s has windows in order and physical values', (id) => {
  const m = MATERIALS[id];
  const { glaze, low, best, high } = m.pressureMpa;
  expect([glaze, low, best, high]).toEqual([glaze, low, best, high].sort((a, b) => a - b));
  expect(m.rimSpeedMPerS.low).toBeLessThan(m.rimSpeedMPerS.best);
  expect(m.rimSpeedMPerS.best).toBeLessThan(m.rimSpeedMPerS.high);
  expect(m.poisson).toBeGreaterThan(0);
  expect(m.poisson).toBeLessThan(0.5);
  expect(m.heatConstraint).toBeLessThanOrEqual(0.5);
  expect(m.finesColour).toMatch(/^#[0-9A-F]{6}$/);
});

it('names a source and a spread for every value', () => {
  const {
    id: _id,
    name: _name,
    class: _class,
    usualForm: _form,
    traits: _traits,
    ...columns
  } = MATERIALS.granite;
  for (const column of Object.keys(columns) as MaterialColumn[]) {
    const { source, relativeSd } = provenance(MATERIALS.granite, column);
    expect(source.length).toBeGreaterThan(10);
    expect(relativeSd).toBeGreaterThanOrEqual(0);
  }
});

it('has the whole table and prefers the job’s own material', () => {
  expect(MATERIAL_IDS).toHaveLength(27);
  const own = { ...MATERIALS.slate, name: 'My slate', mohs: 5 };
  expect(findMaterial('slate', [own])?.name).toBe('My slate');
  expect(findMaterial('wood')).toBeUndefined();
});

it('marks silica dust but not that of marble, limestone, shell or glass', () => {
  expect(['granite', 'concrete', 'porcelain-tile'].map((id) => findMaterial(id)?.dust)).toEqual([
    'silica',
    'silica',
    'silica',
  ]);
  expect(
    ['marble', 'limestone', 'float-glass', 'shell'].map((id) => findMaterial(id)?.dust),
  ).toEqual(['nuisance', 'nuisance', 'nuisance', 'shell']);
});

it('builds walls of masonry, tile and building stone', () => {
  const built = MATERIAL_IDS.filter((id) => isBuiltWith(MATERIALS[id]));
  expect(built).toEqual(
    expect.arrayContaining(['clay-brick', 'concrete', 'porcelain-tile', 'granite', 'sandstone']),
  );
  for (const id of ['float-glass', 'marble', 'quartzite-agate'] as const)
    expect(built).not.toContain(id);
});
