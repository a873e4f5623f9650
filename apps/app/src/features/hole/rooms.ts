import { routes, type HoleRoomPath, type Route } from '../../routes';
import type { HoleDetail } from '@nucleon/contract/wire';

/** The rooms round one hole's plan that are listed under it. */
export const CLOSER_ROOMS = {
  choose: { title: 'Bit and machine', note: 'Everything you own, ranked for this hole.' },
  window: { title: 'Working window', note: 'Speed against force, and what goes wrong where.' },
  compare: { title: 'Compare methods', note: 'Soft or hard, one side or two, slow or fast.' },
  press: { title: 'Feed force', note: 'On a scale, on the lever, on the arms.' },
  held: { title: 'Support', note: 'What bends where, what to lay it on, pads and clamps.' },
  water: { title: 'Water', note: 'How much, how often, how hot without it.' },
  through: { title: 'Depth plan', note: 'Leaf by leaf, breaks, water off, ease off.' },
  risk: { title: 'Risk', note: 'Odds and ranges, and what to find out first.' },
  hire: { title: 'Hire or buy?', note: 'One hole or sixty: what costs least.' },
} as const satisfies Partial<Record<HoleRoomPath, unknown>>;

export type CloserRoom = keyof typeof CLOSER_ROOMS;
export const CLOSER_ROOM_IDS = Object.keys(CLOSER_ROOMS) as readonly CloserRoom[];

/** Every room that opens from a hole's plan. */
export type HoleRoomName = HoleRoomPath | 'place';

export function roomHref({ job, piece, hole }: HoleDetail, name: HoleRoomName): Route {
  return name === 'place'
    ? routes.place(job.id, piece.id, hole.id)
    : routes.hole(job.id, hole.id, name);
}

export const planHref = ({ job, hole }: HoleDetail): Route => routes.hole(job.id, hole.id);
