import { boundingBox, isOnFace, type PointMm } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';
import { snap, unsnapped } from '@nucleon/core/layout/snap';
import type { StoredHole } from '@nucleon/contract/wire';
import { v7 as newId } from 'uuid';
import {
  addBand,
  addHoles,
  addKeepOff,
  changePiece,
  moveHoles,
  type LayoutEdit,
} from './layoutEdits';
import type { PlaceAction, PlaceState } from './placeState';
import { shapeBetween } from './shapeBetween';
import type { PlanTouch, TouchHow } from './usePlanGestures';
import type { LayoutContent } from './layoutDraft';

/** A gloved finger lands within this of what it means, px. */
const REACH_PX = 16;
const SNAP_PX = 7;

interface TouchScene {
  readonly content: LayoutContent;
  readonly outline: Outline;
  readonly shift: number;
  readonly holes: readonly StoredHole[];
  readonly state: PlaceState;
  readonly act: (action: PlaceAction) => void;
  readonly edit: (change: LayoutEdit, group: string) => void;
}

/** What touching the plan does with the tool at hand. */
export function placeTouch(scene: TouchScene): PlanTouch {
  const { state } = scene;
  switch (state.tool) {
    case 'move':
      return movingHoles(scene);
    case 'add':
      return { ...PANNING, onTap: (at) => addAt(scene, at) };
    case 'keep-off':
    case 'scan':
      return drawing(scene);
    case 'outline':
      return tracing(scene);
    case 'photo':
      return layingPhoto(scene);
  }
}

const nothing = (): void => undefined;
const PANNING: PlanTouch = {
  onGrab: () => false,
  onMove: nothing,
  onDrop: nothing,
  onTap: nothing,
};

function movingHoles({ outline, shift, holes, state, act, edit }: TouchScene): PlanTouch {
  const middle = (hole: StoredHole): PointMm => ({
    xMm: hole.xMm + shift,
    yMm: hole.yMm + shift,
  });
  const hit = (at: PointMm, { pxMm }: TouchHow): StoredHole | undefined =>
    holes
      .map((hole) => ({
        hole,
        away:
          Math.hypot(hole.xMm + shift - at.xMm, hole.yMm + shift - at.yMm) - hole.diameterMm / 2,
      }))
      .filter(({ away }) => away < REACH_PX * pxMm)
      .sort((a, b) => a.away - b.away)[0]?.hole;
  let ids: readonly string[] = state.carried?.ids ?? [];
  const carriedBy = (from: PointMm, to: PointMm, how: TouchHow) => {
    const [lead] = ids;
    const hole = holes.find(({ id }) => id === lead);
    if (!hole) return { ids, dx: 0, dy: 0, lines: [] };
    const at = middle(hole);
    const moved = { xMm: at.xMm + to.xMm - from.xMm, yMm: at.yMm + to.yMm - from.yMm };
    const others = holes.filter(({ id }) => !ids.includes(id)).map(middle);
    const rested =
      state.snaps && !how.shift
        ? snap(moved, boundingBox(outline), others, SNAP_PX * how.pxMm)
        : unsnapped(moved);
    return {
      ids,
      dx: rested.at.xMm - at.xMm,
      dy: rested.at.yMm - at.yMm,
      lines: rested.lines,
    };
  };
  return {
    onGrab: (at, how) => {
      const hole = hit(at, how);
      // Beside the holes a drag moves the view; with Shift it draws a box round those to choose.
      if (!hole) return how.shift;
      const rest = state.selected.includes(hole.id) ? state.selected : [hole.id];
      ids = [hole.id, ...rest.filter((id) => id !== hole.id)];
      act({ type: 'select', ids });
      act({ type: 'carry', carried: { ids, dx: 0, dy: 0, lines: [] } });
      return true;
    },
    onMove: (from, to, how) => {
      if (ids.length === 0) act({ type: 'draw', drawn: { from, to } });
      else act({ type: 'carry', carried: carriedBy(from, to, how) });
    },
    onDrop: (from, to, how) => {
      if (ids.length === 0) {
        act({ type: 'draw', drawn: null });
        act({
          type: 'select',
          ids: holes.filter((hole) => isBetween(middle(hole), from, to)).map(({ id }) => id),
        });
        return;
      }
      const { dx, dy } = carriedBy(from, to, how);
      act({ type: 'carry', carried: null });
      if (dx !== 0 || dy !== 0) edit(moveHoles(ids, dx, dy), `drag ${from.xMm} ${from.yMm}`);
    },
    onTap: (at, how) => {
      const hole = hit(at, how);
      if (!hole) act({ type: 'select', ids: [] });
      else if (how.shift) act({ type: 'toggle', id: hole.id });
      else act({ type: 'select', ids: [hole.id] });
    },
  };
}

const isBetween = (at: PointMm, a: PointMm, b: PointMm): boolean =>
  at.xMm >= Math.min(a.xMm, b.xMm) &&
  at.xMm <= Math.max(a.xMm, b.xMm) &&
  at.yMm >= Math.min(a.yMm, b.yMm) &&
  at.yMm <= Math.max(a.yMm, b.yMm);

function addAt({ outline, holes, state, act, edit }: TouchScene, at: PointMm): void {
  if (!isOnFace(outline, at)) return;
  const id = newId();
  const settled = { xMm: Math.round(at.xMm), yMm: Math.round(at.yMm) };
  const like = holes.find((hole) => hole.id === state.selected[0]);
  edit(
    addHoles([settled], state.face, like, () => id),
    `add ${id}`,
  );
  act({ type: 'select', ids: [id] });
}

function drawing({ state, act, edit }: TouchScene): PlanTouch {
  return {
    ...PANNING,
    onGrab: () => state.face === 'face',
    onMove: (from, to) => {
      act({ type: 'draw', drawn: { from, to } });
    },
    onDrop: (from, to) => {
      act({ type: 'draw', drawn: null });
      const id = newId();
      const { kind, widthMm, uncertaintyMm, depthMm } = state.band;
      if (state.tool === 'scan') {
        const line = shapeBetween('line', { from, to });
        if (line?.kind !== 'line') return;
        const depth = depthMm === undefined ? {} : { depthMm };
        const band = { id, kind, widthMm, uncertaintyMm, ...depth, pointsMm: line.pointsMm };
        edit(addBand(band), `band ${id}`);
        return;
      }
      const shape = shapeBetween(state.keepOffShape, { from, to });
      if (shape) edit(addKeepOff({ id, kind: state.keepOffKind, shape }), `keep ${id}`);
    },
  };
}

function tracing({ state, act }: TouchScene): PlanTouch {
  const { points } = state;
  const near = (at: PointMm, { pxMm }: TouchHow): number =>
    points.findIndex((p) => Math.hypot(p.xMm - at.xMm, p.yMm - at.yMm) < REACH_PX * pxMm);
  const round = (p: PointMm): PointMm => unsnapped(p).at;
  const put = (from: PointMm, to: PointMm, how: TouchHow): void => {
    const at = near(from, how);
    const index = state.held ?? at;
    if (index < 0) return;
    act({ type: 'points', points: points.map((p, i) => (i === index ? round(to) : p)) });
  };
  return {
    onGrab: (at, how) => {
      const index = near(at, how);
      if (index < 0) return false;
      act({ type: 'hold', index });
      return true;
    },
    onMove: put,
    onDrop: (from, to, how) => {
      put(from, to, how);
      act({ type: 'hold', index: null });
    },
    onTap: (at, how) => {
      if (near(at, how) < 0) act({ type: 'points', points: [...points, round(at)] });
    },
  };
}

function layingPhoto({ content, state, act, edit }: TouchScene): PlanTouch {
  const { photo } = content.piece;
  if (!photo) return PANNING;
  return {
    ...PANNING,
    onGrab: () => true,
    onDrop: (from, to) => {
      const moved = {
        ...photo,
        xMm: photo.xMm + to.xMm - from.xMm,
        yMm: photo.yMm + to.yMm - from.yMm,
      };
      edit(changePiece({ photo: moved }), `photo ${from.xMm}`);
    },
    onTap: (at) => {
      act({ type: 'points', points: [...state.points.slice(-1), at] });
    },
  };
}
