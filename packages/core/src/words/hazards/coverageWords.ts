import type { GateScope } from '../../documents/gate';
import type { NotCovered } from '../../setup/hazards/coverage';

const WHY: Readonly<Record<NotCovered, string>> = {
  'each-its-own': 'each has its own',
  'other-answers': 'it asks for another answer',
  'another-piece': 'it is in another piece',
  'unlike-piece': 'it is not of the same make',
  'another-machine': 'it is drilled with another machine',
  'earlier-day': 'it was answered on an earlier day',
  wider: 'a wider hole',
  deeper: 'a deeper hole',
};

/** A hole by what it is called and where it is. */
interface Place {
  readonly holeName: string | null;
  readonly pieceName: string;
}

/** What is asked once a piece goes by the piece, else by the hole in it. */
export const placeText = ({ holeName, pieceName }: Place, scope: GateScope): string =>
  scope === 'piece'
    ? pieceName
    : holeName === null
      ? `the hole in ${pieceName}`
      : `${holeName} in ${pieceName}`;

/** So many are named; more are counted. */
const NAMED = 4;

function namesText(places: readonly Place[], scope: GateScope): string {
  const names = places.slice(0, NAMED).map((place) => placeText(place, scope));
  const more = places.length - names.length;
  return [...names, ...(more > 0 ? [`${more} more`] : [])].join(', ');
}

/** Where an answer holds too, and whom it leaves out with why. */
export function coverageText(
  covered: readonly Place[],
  exceptions: readonly (Place & { readonly why: NotCovered })[],
  scope: GateScope,
): string {
  const reasons = [...new Set(exceptions.map(({ why }) => why))];
  return [
    `For ${namesText(covered, scope)}.`,
    ...reasons.map((why) => {
      const left = exceptions.filter((one) => one.why === why);
      return `Not for ${namesText(left, scope)}: ${WHY[why]}.`;
    }),
  ].join(' ');
}
