import { withLayers } from './withLayers';

it('adds the leaves up and is named for the first solid one', () => {
  const layers = [
    { material: 'cavity', thicknessMm: 0.1 },
    { material: 'clay-brick', thicknessMm: 0.2 },
  ];
  expect(withLayers(layers)).toEqual({
    layers,
    thicknessMm: 0.3,
    thicknessReadingsMm: [],
    material: 'clay-brick',
  });
});
