/** Kinds of time other than holding, as a teacher calls them. */
export const otherNames: Readonly<Record<string, string>> = {
  talk: 'Talk',
  change: 'Changes',
  setUp: 'Set-up',
  settle: 'Settling',
  comingOut: 'Coming out',
  betweenSides: 'Between sides',
  afterRest: 'Rests after',
  breath: 'Breath work',
  movement: 'Movement',
  rest: 'Rest',
  closing: 'Closing',
  'natural breath put in': 'Natural breath put in',
  'begun again': 'Attempts begun again',
}
