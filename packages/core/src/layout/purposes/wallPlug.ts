import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, box, drawing, leaf, upright } from './sketch';

const ROOM_MM = { min: 0.5, usual: 0.75, max: 1 } as const;
/** Dust and screw tip below the plug. */
const BELOW_MM = { min: 5, usual: 7.5, max: 10 } as const;

/** Screw and wall plug through tile: the plug expands below the tile, never in it. */
export const wallPlug = definePurpose({
  title: 'Screw and wall plug through tile',
  about: 'The plug must sit below the tile, or the screw splits it.',
  fields: {
    plugDiameterMm: { kind: 'length', label: 'Plug across', sold: 'plug', max: 40 },
    plugLengthMm: { kind: 'length', label: 'Plug length', max: 300 },
    tileThicknessMm: { kind: 'length', label: 'Tile', usual: 'piece-thickness', max: 60 },
    adhesiveMm: { kind: 'length', label: 'Adhesive behind it', usual: 5, min: 0, max: 60 },
    fixtureMm: { kind: 'length', label: 'Thickness screwed on', usual: 5, min: 0, max: 200 },
    coverDiameterMm: { kind: 'length', label: 'Rose or foot across', optional: true, max: 400 },
    pairSpacingMm: { kind: 'length', label: 'Second screw, apart', optional: true, max: 3000 },
  },
  calculate: (v, { thicknessMm }) => {
    const targetMm = v.plugDiameterMm + ROOM_MM.usual;
    const recess = v.tileThicknessMm + v.adhesiveMm;
    const depthMm = recess + v.plugLengthMm + BELOW_MM.usual;
    const screw = v.fixtureMm + recess + v.plugLengthMm;
    const foot = v.coverDiameterMm;
    if (foot !== undefined && foot <= targetMm) {
      return clash(
        'coverDiameterMm',
        ({ L }) => `A rose of ${L(foot)} does not cover a hole of ${L(targetMm)}.`,
      );
    }
    const apart = v.pairSpacingMm;
    if (apart !== undefined && apart < 2 * targetMm) {
      return clash(
        'pairSpacingMm',
        ({ L }) =>
          `Two holes of ${L(targetMm)} only ${L(apart)} apart run into each other: at least ${L(2 * targetMm)}.`,
      );
    }
    const intoWall = depthMm < thicknessMm;
    const coverMm =
      foot === undefined ? null : Math.max(0, (foot - targetMm) / 2 - ROOM_MM.usual / 2);
    return {
      diameter: {
        targetMm,
        leastMm: v.plugDiameterMm + ROOM_MM.min,
        mostMm: v.plugDiameterMm + ROOM_MM.max,
      },
      depth: intoWall ? { kind: 'blind', depthMm } : { kind: 'through' },
      // The plug holds in the wall: room it has in the tile alone.
      behindMm: v.plugDiameterMm,
      coverMm,
      toleranceMm: v.pairSpacingMm === undefined ? null : 1,
      found: { targetMm, recess, depthMm, screw, intoWall, thicknessMm },
    };
  },
  says: (v, { targetMm, recess, depthMm, screw, intoWall, thicknessMm }, { L }) => ({
    why: `Plug of ${L(v.plugDiameterMm)} and half to one millimetre, so that it slides past the tile.`,
    working: [
      input('Hole in the tile', `plug + ${L(ROOM_MM.min)} to ${L(ROOM_MM.max)}: ${L(targetMm)}`),
      input('Plug set below the face', `tile + adhesive = ${L(recess)}`),
      input(
        'Depth from the face',
        `recess + plug + ${L(BELOW_MM.min)} to ${L(BELOW_MM.max)} = ${L(depthMm)}`,
      ),
      input('Screw', `fixture + recess + plug = ${L(screw)}`),
    ],
    source:
      'The expanding part must start below the tile body; rotation only until through the tile.',
    results: [
      { key: 'recessMm', label: 'Push the plug in', value: recess, text: L(recess) },
      { key: 'depthMm', label: 'Drill, from the face', value: depthMm, text: L(depthMm) },
      { key: 'screwLengthMm', label: 'Screw of at least', value: screw, text: L(screw) },
    ],
    followUps: [
      ...(v.pairSpacingMm === undefined
        ? []
        : [
            {
              when: 'before' as const,
              title: 'Mark the pair',
              detail: `${L(v.pairSpacingMm)} apart, on one level line; measure again after the tape is on.`,
            },
          ]),
      // Where the wall behind is part of the piece, its operations say so.
      ...(thicknessMm > recess
        ? []
        : [
            {
              when: 'after' as const,
              title: 'Change the bit below the tile',
              detail: `Diamond through tile and adhesive, rotation only; then a masonry bit of ${L(v.plugDiameterMm)} to ${L(depthMm)} from the face.`,
            },
          ]),
      {
        when: 'after',
        title: `Set the plug ${L(recess)} below the face`,
        detail: `Push it past the tile with the screw’s shank; screw of ${L(screw)} or a little longer, by hand at the end.`,
      },
    ],
    cautions: [
      ...(intoWall || thicknessMm <= v.tileThicknessMm + 1e-6
        ? []
        : [
            {
              code: 'reaches-past-tile' as const,
              message: `${L(depthMm)} goes through the ${L(thicknessMm)} you entered for the piece: is there wall enough behind the tile?`,
            },
          ]),
    ],
  }),
  draw: (v, { diameter }, _, { L }) => {
    const hole = diameter.targetMm;
    const recess = v.tileThicknessMm + v.adhesiveMm;
    const end = recess + v.plugLengthMm + BELOW_MM.usual;
    const half = Math.max(2.6 * hole, (v.coverDiameterMm ?? 0) * 0.6, 0.45 * end);
    const plug = v.plugDiameterMm;
    return drawing(
      [
        ...leaf(hole, half, [0, v.tileThicknessMm], 'ceramic'),
        ...leaf(hole, half, [v.tileThicknessMm, recess], 'soft'),
        ...leaf(plug, half, [recess, end], 'masonry'),
        box([-half, half], [end, end + 0.12 * end], 'masonry'),
        box([-plug / 2, plug / 2], [recess, recess + v.plugLengthMm], 'gasket'),
        box([-plug * 0.22, plug * 0.22], [-v.fixtureMm, recess + v.plugLengthMm * 0.95], 'part'),
        ...(v.coverDiameterMm === undefined
          ? []
          : [box([-v.coverDiameterMm / 2, v.coverDiameterMm / 2], [-v.fixtureMm, 0], 'barrel')]),
        across(hole, -v.fixtureMm - 0.08 * end, L(hole)),
        upright(half * 1.05, 0, recess, L(recess)),
        upright(-half * 1.05, 0, end, L(end), 'left'),
      ],
      [-half * 1.08, half * 1.08],
      [-v.fixtureMm - 0.16 * end, end * 1.12],
      `Section: tile, adhesive and wall; the plug starts ${L(recess)} below the face.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm >= 4 && diameterMm <= 20
      ? `A wall plug of ${L(diameterMm - ROOM_MM.usual)} through tile.`
      : null,
});
