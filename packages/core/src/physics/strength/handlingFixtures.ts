import type { HandlingCase } from './handlingHazard';

/** A loose sheet of 6 mm in a held guide with a plated bit: what every factor is taken beside. */
export const LOOSE_PANE: HandlingCase = {
  hold: 'guided',
  start: 'guide',
  assembled: false,
  sheetThicknessMm: 6,
  abrasive: 'plated',
  wobbleMm: 0,
  dropShare: 0,
  damage: 'none',
  masonry: false,
  unsure: false,
  person: 0,
};
