import type { RankedSetup } from '../../advice/choice/rankSetups';
import { COOLANTS } from '../../data/coolants';

/** Short name of a set of means. */
export const meansInWords = ({
  bit,
  machine,
  water,
}: Pick<RankedSetup, 'bit' | 'machine' | 'water'>): string =>
  `${bit.name}, ${machine.name}, ${COOLANTS[water].name.toLowerCase()}`;
