/** Hire or buy. */
export const hireWords = {
  anHourOfYours: 'An hour of yours',
  aCheapBit: 'A cheap bit',
  aGoodBit: 'A good bit',
  theRigDay: 'The rig, a day',
  drilledForYouHole: 'Drilled for you, a hole',
  andTrip: 'And the trip',
  holes: 'holes',
  hireOrBuy: 'Hire or buy?',
  theCosts: 'the costs',
  theChart: 'the chart',
  howManyHolesLike: 'How many holes like this?',
  pricesInYourOwn: (currency: string | undefined): string =>
    `Prices, in ${currency ?? 'your own money'}`,
  roughUntilYouType: 'Rough until you type your own. Nothing is remembered but for this page.',
  costByHoles: (currency: string | undefined): string =>
    `Cost in ${currency ?? 'your own money'}, by number of holes`,
  costOfHoles: (
    max: number,
    options: readonly { readonly title: string; readonly one: string; readonly all: string }[],
  ): string =>
    `Cost of one to ${max} holes: ${options.map(({ title, one, all }) => `${title} ${one} for one, ${all} for ${max}`).join('; ')}.`,
};
