/** A way of bringing water (or oil, or nothing) to the rim. */
export interface Coolant {
  readonly name: string;
  /** h at the rim, W/(m²·K). */
  readonly heatTransferWPerM2K: number;
  /** The most that boiling at the rim carries off before it fails, W/m²; null where nothing boils. */
  readonly burnOutWPerM2: number | null;
  /** Rim speed above which it is thrown off, m/s; null where it cannot be. */
  readonly throwOffMPerS: number | null;
  /**
   * standing: fines stay in it and cloud it · flowing: must carry heat and fines away at a rate ·
   * wetted: renewed by hand, neither counted.
   */
  readonly kind: 'standing' | 'flowing' | 'wetted' | 'dry';
  /** Depth of water over the face, mm, where it stands. */
  readonly coverMm: number;
  /** Time to change clouded water, s. */
  readonly changeS: number;
  /** Water comes up inside the barrel: no lifting to flush. */
  readonly flushesGroove: boolean;
  /** Brought by hand now and then: the groove may run dry between times. */
  readonly nowAndThen: boolean;
  /** The piece lies in a tray of it. */
  readonly inTray: boolean;
  /** Nobody needs to own anything for it. */
  readonly atHand: boolean;
  readonly note: string;
}

const BATH_CHANGE_S = 90;
/** The most that boiling carries off under plenty of water (Zuber), W/m². */
export const BURN_OUT_W_PER_M2 = 1.1e6;
/** Pool boiling, and what water brought by the drop keeps up, W/m². */
const FULL = BURN_OUT_W_PER_M2;
const DROPS = 0.5e6;
const DAMP = 0.25e6;
/** A pool is sponged out and refilled in place, without touching the piece. */
const POOL_CHANGE_S = 20;

// prettier-ignore
export const COOLANTS = {
  'still-bath': { name: 'Still bath', heatTransferWPerM2K: 6000, burnOutWPerM2: FULL, throwOffMPerS: 2.5, kind: 'standing', coverMm: 6, changeS: BATH_CHANGE_S, flushesGroove: false, nowAndThen: false, inTray: true, atHand: false, note: 'Tray filled just over the face.' },
  pool: { name: 'Dam or gasket pool', heatTransferWPerM2K: 4000, burnOutWPerM2: FULL, throwOffMPerS: 2.0, kind: 'standing', coverMm: 10, changeS: POOL_CHANGE_S, flushesGroove: false, nowAndThen: false, inTray: false, atHand: false, note: 'A ring of putty or a gasket holds water round the mark.' },
  puddle: { name: 'Topped-up puddle', heatTransferWPerM2K: 2000, burnOutWPerM2: FULL, throwOffMPerS: 1.5, kind: 'wetted', coverMm: 2, changeS: 0, flushesGroove: false, nowAndThen: true, inTray: false, atHand: true, note: 'Keep topping it up; wipe the fines away.' },
  drip: { name: 'Drip at the groove', heatTransferWPerM2K: 3000, burnOutWPerM2: DROPS, throwOffMPerS: 1.5, kind: 'wetted', coverMm: 0, changeS: 0, flushesGroove: false, nowAndThen: false, inTray: false, atHand: false, note: 'A steady drip where the rim meets the piece.' },
  'running-tap': { name: 'Running tap or hose', heatTransferWPerM2K: 5000, burnOutWPerM2: FULL, throwOffMPerS: 2.5, kind: 'flowing', coverMm: 0, changeS: 0, flushesGroove: false, nowAndThen: false, inTray: false, atHand: false, note: 'Thin stream on to the groove.' },
  bottle: { name: 'Squeeze bottle', heatTransferWPerM2K: 1200, burnOutWPerM2: DROPS, throwOffMPerS: 1.5, kind: 'wetted', coverMm: 0, changeS: 0, flushesGroove: false, nowAndThen: true, inTray: false, atHand: true, note: 'Now and then: never let the groove run pale and dry.' },
  sponge: { name: 'Wet sponge', heatTransferWPerM2K: 800, burnOutWPerM2: DAMP, throwOffMPerS: 2.0, kind: 'wetted', coverMm: 0, changeS: 0, flushesGroove: false, nowAndThen: true, inTray: false, atHand: true, note: 'Squeeze it beside the rim.' },
  mist: { name: 'Mist', heatTransferWPerM2K: 800, burnOutWPerM2: DAMP, throwOffMPerS: null, kind: 'wetted', coverMm: 0, changeS: 0, flushesGroove: false, nowAndThen: true, inTray: false, atHand: false, note: 'Cools little; carries no fines.' },
  'oil-bath': { name: 'Light oil bath', heatTransferWPerM2K: 1500, burnOutWPerM2: null, throwOffMPerS: 2.5, kind: 'standing', coverMm: 6, changeS: BATH_CHANGE_S, flushesGroove: false, nowAndThen: false, inTray: true, atHand: false, note: 'For beads; wash the oil out before gluing.' },
  spindle: { name: 'Through the spindle', heatTransferWPerM2K: 15000, burnOutWPerM2: FULL, throwOffMPerS: 6, kind: 'flowing', coverMm: 0, changeS: 0, flushesGroove: true, nowAndThen: false, inTray: false, atHand: false, note: 'Water down the barrel and up the groove.' },
  'grinder-feed': { name: 'Grinder’s sponge feed', heatTransferWPerM2K: 2500, burnOutWPerM2: DROPS, throwOffMPerS: 2.0, kind: 'wetted', coverMm: 0, changeS: 0, flushesGroove: false, nowAndThen: false, inTray: true, atHand: false, note: 'It wets the drum, not the tip above: add mist.' },
  none: { name: 'Dry', heatTransferWPerM2K: 50, burnOutWPerM2: null, throwOffMPerS: null, kind: 'dry', coverMm: 0, changeS: 0, flushesGroove: false, nowAndThen: false, inTray: false, atHand: false, note: 'Masonry bits made for it only, with extraction and a respirator.' },
} as const satisfies Record<string, Coolant>;

/** h at a dry rim when air is drawn through a slotted barrel, W/(m²·K). */
export const DRY_WITH_EXTRACTION_W_PER_M2_K = 400;

export type CoolantId = keyof typeof COOLANTS;
export const COOLANT_IDS = Object.keys(COOLANTS) as readonly CoolantId[];
