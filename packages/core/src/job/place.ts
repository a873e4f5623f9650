/** What is drawn on a piece beside its holes, in the face's own coordinates, mm. */
export const KEEP_OFF_KINDS = ['handle', 'rib', 'curve', 'crack', 'hole', 'cut-out'] as const;
export type KeepOffKind = (typeof KEEP_OFF_KINDS)[number];

export type KeepOffShape =
  | {
      readonly kind: 'circle';
      /** Its middle. */
      readonly xMm: number;
      readonly yMm: number;
      readonly diameterMm: number;
    }
  | {
      readonly kind: 'rectangle';
      /** Its lower left corner. */
      readonly xMm: number;
      readonly yMm: number;
      readonly widthMm: number;
      readonly heightMm: number;
    }
  | { readonly kind: 'line'; readonly pointsMm: readonly (readonly [number, number])[] };

/** Somewhere on the face that a hole must keep clear of. */
export interface KeepOff {
  readonly id: string;
  readonly kind: KeepOffKind;
  readonly label?: string;
  readonly shape: KeepOffShape;
  /** How far to stay away, where the person knows better than the rule. */
  readonly marginMm?: number;
}

export const SERVICE_KINDS = ['pipe', 'cable', 'bar', 'unknown'] as const;
export type ServiceKind = (typeof SERVICE_KINDS)[number];

/** A pipe, cable or bar that a scan found behind the face: a band as wide as it is unsure. */
export interface ServiceBand {
  readonly id: string;
  readonly kind: ServiceKind;
  readonly label?: string;
  readonly pointsMm: readonly (readonly [number, number])[];
  readonly widthMm: number;
  /** How far to either side the scan may be off. */
  readonly uncertaintyMm: number;
  /** Depth of its near side from the face; a hole that stays above it is clear of it. */
  readonly depthMm?: number;
}

/** The two edges that everything is measured from. */
export interface Datum {
  readonly x: 'left' | 'right';
  readonly y: 'bottom' | 'top';
}

export const MARK_KINDS = ['dot', 'circle', 'ticks', 'tape-cross'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** What the tape said after marking: the two distances, and the check across. */
export interface MarkReading {
  readonly firstMm: number;
  readonly secondMm: number;
  readonly checkMm?: number;
  readonly at: string;
}

export interface HoleMark {
  readonly kind?: MarkKind;
  readonly measured?: MarkReading;
}

/** A picture laid under the outline: its lower left corner, size of a picture point, and turn. */
export interface PiecePhoto {
  readonly id: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly mmPerPx: number;
  readonly widthPx: number;
  readonly heightPx: number;
  /** Counter-clockwise about its lower left corner. */
  readonly turnDeg?: number;
}

/** How this workshop does things, remembered from one job to the next. */
export interface House {
  /** Its own rule of how near a hole may come to an edge. */
  readonly edge?: { readonly per: 'diameter' | 'thickness' | 'mm'; readonly value: number };
  /** Which school of edge distance binds; the strictest where none is chosen. */
  readonly school?: string;
  /** The way chosen in each dispute of schools, by question. */
  readonly habits?: Readonly<Record<string, string>>;
  /** What an hour at the bench is worth, in one's own money. */
  readonly hourMoney?: number;
}
