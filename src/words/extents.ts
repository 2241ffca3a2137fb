import type { SetUp } from '#model/set-up'

const extentNames: Readonly<Record<SetUp['extent'], string>> = {
  full: 'all props',
  few: 'few props',
  household: 'what a house has',
}
/** How much the set-ups of a session take. */
export const extentChoices = (['full', 'few', 'household'] as const).map((value) => ({
  value,
  words: extentNames[value],
}))
