import { COLUMN_WORDS, columnShown, columnStored, copyMaterial } from './columns';
import { MATERIALS } from './materials';

it('shows stiffness in GPa and expansion in millionths, and stores them back', () => {
  const glass = MATERIALS['float-glass'];
  expect(columnShown(glass, 'youngModulusMpa')).toBe(70);
  expect(columnShown(glass, 'expansionPerK')).toBe(9);
  expect(columnStored('youngModulusMpa', 70)).toBeCloseTo(glass.youngModulusMpa);
  expect(columnStored('expansionPerK', 9)).toBeCloseTo(glass.expansionPerK, 12);
});

it('names every column of a material', () => {
  const {
    id: _id,
    name: _name,
    class: _class,
    usualForm: _form,
    traits: _traits,
    ...columns
  } = MATERIALS.slate;
  expect(Object.keys(COLUMN_WORDS).sort()).toEqual(Object.keys(columns).sort());
  expect(copyMaterial(MATERIALS.slate, 'own', 'Own')).toEqual({
    ...MATERIALS.slate,
    id: 'own',
    name: 'Own',
  });
});
