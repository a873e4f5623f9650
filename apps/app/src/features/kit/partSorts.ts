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
  mm === undefined ? '' : `, ${formatLengthShort(mm, units)} thick`;

export const COUPLING_WORDS = {
  adapter: 'Adapter',
  extension: 'Extension',
  swivel: 'Water swivel',
} as const satisfies Record<Coupling['kind'], string>;

export const GUIDE_WORDS: Readonly<Record<string, string>> = {
  board: 'Guide board',
  block: 'Drilled block',
  template: 'Template',
  suction: 'Suction guide',
  level: 'Level',
  laser: 'Laser',
};

/** How each sort of part is spoken of. */
export const PART_SORTS = {
  couplings: {
    title: 'Adapters, extensions, swivels',
    add: 'Add one',
    empty: 'Nothing between machine and bit yet: what does not fit straight in is ruled out.',
    line: (part, units) => {
      const { kind, into, takes, lengthMm } = part as Coupling;
      return `${COUPLING_WORDS[kind]}, ${connectionInLine(into.kind)} to ${connectionInLine(takes.kind)}${lengthMm ? `, ${formatLengthShort(lengthMm, units)}` : ''}`;
    },
  },
  supports: {
    title: 'Backings',
    add: 'Add a backing',
    empty: 'No backings yet: plans assume the usual one for the piece.',
    line: (part, units) => {
      const { kind, thicknessMm } = part as OwnedSupport;
      return `${SUPPORTS[kind].name}${thick(thicknessMm, units)}`;
    },
  },
  guides: {
    title: 'Guides',
    add: 'Add a guide',
    empty: 'No guides yet.',
    line: (part, units) => {
      const { kind, boreMm, thicknessMm } = part as OwnedGuide;
      return `${GUIDE_WORDS[kind] ?? kind}${boreMm ? `, for ${formatLengthShort(boreMm, units)}` : ''}${thick(thicknessMm, units)}`;
    },
  },
  water: {
    title: 'Water',
    add: 'Add a way of wetting',
    empty:
      'None listed: every way that suits the piece is thought of. List your own to be told of those alone.',
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
