import { kitWords } from '@nucleon/core/words/screens/kit';
import { commonWords } from '@nucleon/core/words/screens/common';
import type {
  KitPartSort,
  Coupling,
  OwnedGuide,
  OwnedSupport,
  OwnedWater,
} from '@nucleon/core/documents/kit';
import { COOLANTS } from '@nucleon/core/data/coolants';
import { connectionInLine } from '@nucleon/core/data/couplings/connections';
import { SUPPORTS } from '@nucleon/core/data/supports';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import type { StoredPart } from '../../api/kit';

interface PartSort {
  readonly title: string;
  readonly add: string;
  readonly empty: string;
  /** One line of what it is. */
  readonly line: (part: StoredPart, units: UnitSystem) => string;
}

const thick = (mm: number | undefined, units: UnitSystem): string =>
  mm === undefined ? '' : kitWords.thickMm(formatLengthShort(mm, units));

export const COUPLING_WORDS = {
  adapter: kitWords.adapter,
  extension: kitWords.extension,
  swivel: kitWords.waterSwivel,
} as const satisfies Record<Coupling['kind'], string>;

export const GUIDE_WORDS: Readonly<Record<string, string>> = {
  board: kitWords.guideBoard,
  block: kitWords.drilledBlock,
  template: kitWords.template,
  suction: kitWords.suctionGuide,
  level: kitWords.level,
  laser: kitWords.laser,
};

/** How each sort of part is spoken of. */
export const PART_SORTS = {
  couplings: {
    title: kitWords.adaptersExtensionsSwivels,
    add: kitWords.addOne,
    empty: kitWords.nothingBetweenMachineAnd,
    line: (part, units) => {
      const { kind, into, takes, lengthMm } = part as Coupling;
      return kitWords.couplingLine(
        COUPLING_WORDS[kind],
        connectionInLine(into.kind),
        connectionInLine(takes.kind),
        lengthMm ? `, ${formatLengthShort(lengthMm, units)}` : '',
      );
    },
  },
  supports: {
    title: kitWords.backings,
    add: kitWords.addBacking,
    empty: kitWords.noBackingsYetPlans,
    line: (part, units) => {
      const { kind, thicknessMm } = part as OwnedSupport;
      return `${SUPPORTS[kind].name}${thick(thicknessMm, units)}`;
    },
  },
  guides: {
    title: kitWords.guides,
    add: kitWords.addGuide,
    empty: kitWords.noGuidesYet,
    line: (part, units) => {
      const { kind, boreMm, thicknessMm } = part as OwnedGuide;
      return `${GUIDE_WORDS[kind] ?? kind}${boreMm ? kitWords.for(formatLengthShort(boreMm, units)) : ''}${thick(thicknessMm, units)}`;
    },
  },
  water: {
    title: commonWords.water,
    add: kitWords.addWayOfWetting,
    empty: kitWords.noneListedEveryWay,
    line: (part, units) => {
      const { kind, trayLengthMm, trayWidthMm } = part as OwnedWater;
      const size =
        trayLengthMm && trayWidthMm
          ? `, ${formatLengthShort(trayLengthMm, units)} × ${formatLengthShort(trayWidthMm, units)}`
          : '';
      return `${COOLANTS[kind].name}${size}`;
    },
  },
} as const satisfies Record<KitPartSort, PartSort>;
