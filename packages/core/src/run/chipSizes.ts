/** Widths drawn life-size to hold beside a chip, mm. */
export const CHIP_SIZES_MM = [0, 0.3, 0.6, 1, 2, 3] as const;
