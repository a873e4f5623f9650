/** The rim goes this far past the far face before it is through everywhere, mm. */
export const OVERRUN_MM = 2;
/** Less room than this between chuck and piece is none, mm. */
export const MIN_CHUCK_ROOM_MM = 5;

export interface DepthStop {
  /** From the rim up the barrel to the collar or tape. */
  readonly collarAtMm: number;
  /** What is left between the chuck and the piece when the collar stops it; negative where it strikes first. */
  readonly chuckRoomMm: number;
  /** A block or finger stop beside the bit, as high as this, keeps the chuck off. */
  readonly stopHeightMm: number;
  readonly clears: boolean;
}

/**
 * Where to stop the drill so that it neither drops through nor strikes the piece with its chuck.
 * @param reachMm how far the bit goes in, with what it is put on, mm
 */
export function depthStop(depthMm: number, reachMm: number, isThrough: boolean): DepthStop {
  const collarAtMm = depthMm + (isThrough ? OVERRUN_MM : 0);
  const chuckRoomMm = reachMm - collarAtMm;
  return {
    collarAtMm,
    chuckRoomMm,
    stopHeightMm: Math.max(0, chuckRoomMm),
    clears: chuckRoomMm >= MIN_CHUCK_ROOM_MM,
  };
}
