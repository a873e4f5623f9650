/** Paper sizes, mm. */
export const PAPERS = {
  a4: { widthMm: 210, heightMm: 297, name: 'A4' },
  letter: { widthMm: 215.9, heightMm: 279.4, name: 'Letter' },
} as const;
export type PaperId = keyof typeof PAPERS;

export const MARGIN_MM = 10;
/** Below the drawing: check square, scale bar and words. */
export const FOOT_MM = 34;
/** Neighbouring pages share a strip this wide. */
export const OVERLAP_MM = 12;
/** More pages than this are a plotter's work. */
export const MAX_PAGES = 80;

/** One page's window on the drawing: its lower left corner there, and its size, mm. */
export interface Tile {
  readonly column: number;
  readonly row: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface Tiling {
  /** The paper as it lies: upright or across. */
  readonly pageWidthMm: number;
  readonly pageHeightMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly tiles: readonly Tile[];
}

/**
 * Tiles that cover a drawing of this size from its lower left, left to right, bottom row first;
 * the paper lies upright unless it takes fewer pages across.
 */
export function tilesFor(widthMm: number, heightMm: number, paper: PaperId): Tiling {
  const { widthMm: short, heightMm: long } = PAPERS[paper];
  const upright = tilesOn(widthMm, heightMm, short, long);
  const across = tilesOn(widthMm, heightMm, long, short);
  return across.tiles.length < upright.tiles.length ? across : upright;
}

function tilesOn(
  widthMm: number,
  heightMm: number,
  pageWidthMm: number,
  pageHeightMm: number,
): Tiling {
  const [w, h] = [pageWidthMm - 2 * MARGIN_MM, pageHeightMm - 2 * MARGIN_MM - FOOT_MM];
  const [stepX, stepY] = [w - OVERLAP_MM, h - OVERLAP_MM];
  const columns = Math.max(1, Math.ceil((widthMm - OVERLAP_MM) / stepX));
  const rows = Math.max(1, Math.ceil((heightMm - OVERLAP_MM) / stepY));
  const tiles = Array.from({ length: rows * columns }, (_, index): Tile => {
    const [row, column] = [Math.floor(index / columns), index % columns];
    return { column, row, xMm: column * stepX, yMm: row * stepY, widthMm: w, heightMm: h };
  });
  return { pageWidthMm, pageHeightMm, columns, rows, tiles };
}

/** `A1`, `B1` … across, 1, 2 … up. */
export const tileName = ({ column, row }: Pick<Tile, 'column' | 'row'>): string =>
  `${columnLetters(column)}${row + 1}`;

const columnLetters = (column: number): string =>
  column < 26
    ? String.fromCharCode(65 + column)
    : columnLetters(Math.floor(column / 26) - 1) + columnLetters(column % 26);
