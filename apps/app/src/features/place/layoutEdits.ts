import { placeWords } from '@nucleon/core/words/screens/place';
import type { StoredHole, StoredPiece } from '@nucleon/contract/wire';
import { boundingBox, faceOutline, type PointMm } from '@nucleon/core/layout/outline';
import type { KeepOff, ServiceBand } from '@nucleon/core/documents/piece';
import { baseShift } from '@nucleon/core/layout/clearDistances';
import { evenlySpread, mirrored } from '@nucleon/core/layout/patterns';
import type { LayoutContent } from './layoutDraft';

/** One change of a layout: from what stands to what shall. */
export type LayoutEdit = (now: LayoutContent) => LayoutContent;

/** Lengths a person sets are kept to a thousandth of a millimetre. */
const settled = (mm: number): number => Math.round(mm * 1000) / 1000;
/** Places of a pattern, calculated, to a hundredth: nobody sets out finer. */
const setOut = (mm: number): number => Math.round(mm * 100) / 100;

const changeHoles =
  (ids: readonly string[], change: (hole: StoredHole) => StoredHole): LayoutEdit =>
  (now) => ({
    ...now,
    holes: now.holes.map((hole) => (ids.includes(hole.id) ? change(hole) : hole)),
  });

export const moveHoles = (ids: readonly string[], dx: number, dy: number): LayoutEdit =>
  changeHoles(ids, (hole) => ({
    ...hole,
    xMm: settled(hole.xMm + dx),
    yMm: settled(hole.yMm + dy),
  }));

export const changeHole = (id: string, change: Partial<StoredHole>): LayoutEdit =>
  changeHoles([id], (hole) => ({ ...hole, ...change }));

export const removeHoles =
  (ids: readonly string[]): LayoutEdit =>
  (now) => ({ ...now, holes: now.holes.filter(({ id }) => !ids.includes(id)) });

export type Face = 'face' | 'base';
export const faceOf = (hole: Pick<StoredHole, 'face'>): Face =>
  hole.face === 'base' ? 'base' : 'face';

/**
 * More holes at these places of a face, like another or like the last; named on from how many there
 * are.
 * @param newId makes one id a hole
 */
export const addHoles =
  (
    places: readonly PointMm[],
    face: Face,
    like: StoredHole | undefined,
    newId: () => string,
  ): LayoutEdit =>
  (now) => {
    const shift = baseShift(now.piece.outline, face === 'base' ? 'base' : 'top');
    const model = like ?? now.holes.at(-1);
    const added = places.map((place, index): StoredHole => {
      const {
        label: _label,
        mark: _mark,
        checks: _checks,
        ...rest
      } = model ?? {
        diameterMm: 10,
        depth: { kind: 'through' } as const,
      };
      const { face: _face, ...own } = rest as typeof rest & { face?: StoredHole['face'] };
      return {
        ...own,
        ...(face === 'base' ? { face: 'base' as const } : {}),
        id: newId(),
        pieceId: now.piece.id,
        version: 0,
        updatedAt: now.piece.updatedAt,
        label: placeWords.hole(now.holes.length + index + 1),
        xMm: setOut(place.xMm - shift),
        yMm: setOut(place.yMm - shift),
      };
    });
    return { ...now, holes: [...now.holes, ...added] };
  };

/** Copies of these holes seen in a mirror on a centre line of their face. */
export const mirrorHoles =
  (ids: readonly string[], across: 'upright' | 'level', newId: () => string): LayoutEdit =>
  (now) => {
    const copies = now.holes
      .filter(({ id }) => ids.includes(id))
      .map((hole, index) => {
        const box = boundingBox(faceOutline(now.piece.outline, hole.face ?? 'top'));
        const shift = baseShift(now.piece.outline, hole.face);
        const at = mirrored({ xMm: hole.xMm + shift, yMm: hole.yMm + shift }, box, across);
        return {
          ...hole,
          id: newId(),
          version: 0,
          label: placeWords.hole(now.holes.length + index + 1),
          xMm: settled(at.xMm - shift),
          yMm: settled(at.yMm - shift),
        };
      });
    return { ...now, holes: [...now.holes, ...copies] };
  };

/** Spread evenly between the outer two. */
export const spreadHoles =
  (ids: readonly string[], along: 'x' | 'y'): LayoutEdit =>
  (now) => {
    const chosen = now.holes.filter(({ id }) => ids.includes(id));
    const places = evenlySpread(chosen, along);
    const at = new Map(chosen.map(({ id }, index) => [id, places[index]]));
    return changeHoles(ids, (hole) => {
      const place = at.get(hole.id) ?? hole;
      return { ...hole, xMm: setOut(place.xMm), yMm: setOut(place.yMm) };
    })(now);
  };

/** All on one line with the first. */
export const alignHoles =
  (ids: readonly string[], along: 'x' | 'y'): LayoutEdit =>
  (now) => {
    const first = now.holes.find(({ id }) => id === ids[0]);
    if (!first) return now;
    return changeHoles(ids, (hole) =>
      along === 'x' ? { ...hole, yMm: first.yMm } : { ...hole, xMm: first.xMm },
    )(now);
  };

export const changePiece =
  (change: Partial<StoredPiece>): LayoutEdit =>
  (now) => ({ ...now, piece: { ...now.piece, ...change } });

export const addKeepOff =
  (place: KeepOff): LayoutEdit =>
  (now) =>
    changePiece({ keepOff: [...(now.piece.keepOff ?? []), place] })(now);

export const changeKeepOff =
  (id: string, change: Partial<KeepOff> | null): LayoutEdit =>
  (now) =>
    changePiece({ keepOff: changed(now.piece.keepOff ?? [], id, change) })(now);

export const addBand =
  (band: ServiceBand): LayoutEdit =>
  (now) =>
    changePiece({ services: [...(now.piece.services ?? []), band] })(now);

export const changeBand =
  (id: string, change: Partial<ServiceBand> | null): LayoutEdit =>
  (now) =>
    changePiece({ services: changed(now.piece.services ?? [], id, change) })(now);

/** One of a list changed, or taken away. */
const changed = <T extends { readonly id: string }>(
  list: readonly T[],
  id: string,
  change: Partial<T> | null,
): readonly T[] =>
  change === null
    ? list.filter((one) => one.id !== id)
    : list.map((one) => (one.id === id ? { ...one, ...change } : one));
