import { holeWords } from '@nucleon/core/words/screens/hole';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes, type HoleRoomPath, type Route } from '../../routes';
import type { HoleDetail } from '@nucleon/contract/wire';

/** The rooms round one hole's plan that are listed under it. */
export const CLOSER_ROOMS = {
  operations: { title: holeWords.operations, note: holeWords.everyToolAndFace },
  choose: { title: holeWords.bitAndMachine, note: holeWords.everythingYouOwnRanked },
  window: { title: holeWords.workingWindow, note: holeWords.speedAgainstForceAnd },
  compare: { title: holeWords.compareMethods, note: holeWords.softOrHardOne },
  press: { title: holeWords.feedForce, note: holeWords.onScaleOnLever },
  held: { title: holeWords.support, note: holeWords.whatBendsWhereWhat },
  water: { title: commonWords.water, note: holeWords.howMuchHowOften },
  through: { title: holeWords.depthPlan, note: holeWords.leafByLeafBreaks },
  risk: { title: holeWords.risk, note: holeWords.oddsAndRangesAnd },
  hire: { title: holeWords.hireOrBuy, note: holeWords.oneHoleOrSixty },
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
