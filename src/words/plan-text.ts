import type { Block } from '#model/block'

/** Why a line of a pasted plan wants a second look, and what was made of it. */
export const planDoubtWords = {
  NAME_ALIKE: 'More than one thing is called that',
  NAME_LIKELY: 'Not quite a name of the shelf: is this meant?',
  NAME_UNKNOWN: 'No name of the shelf: choose one, or leave it as it stands',
  BREATH_UNNAMED: 'Which breath? Natural breath until you choose one',
  TIME_NONE: 'No time was said: 2:00 until you set one',
  TIME_RANGE: 'From one time to another: the shorter was taken',
  TIME_AS_SECONDS: 'So many minutes would be long: taken as seconds',
  TIME_OUT_OF_RANGE: 'A time that cannot be: it is in the note',
  TIME_FROM_CLOCK: 'The time is that until the next line, changes and set-up in it',
  TIMES_TWO: 'More than one time: the first was taken, the rest is in the note',
  BREATHS_AS_TIME: 'Breaths of six seconds each',
  TIME_AS_ROUNDS: 'The time as whole rounds',
  SIDES_OF_ONE: 'This pose has no sides: held once',
  ONE_SIDE: 'Only one side was said: both are planned alike',
  ROUNDS_OF_HOLD: 'How often is in the note: a hold is planned once',
  RATIO_OR_TIME: 'Taken as counts in and out; it could be a time',
  RATIO_SCALED: 'Only a ratio was said: its one is four counts here',
  PROPS_BESIDE: 'No set-up of this pose takes that: it is fetched beside the usual one',
  OTHER_SIDE_ALONE: 'The other side of what? No hold with sides stands right before it',
  CLOSING_EARLY: 'A closing is the last: this became a rest on the back',
  EXACT_UNREADABLE:
    'What only Zovrin reads at the end of the text was changed or cut off: the lines stand as they say, without it',
  EXACT_GONE: 'Some of what only Zovrin reads does not go with what is here: those lines stand as they say, without it',
} as const
export type PlanDoubt = keyof typeof planDoubtWords

/** What a line can be that is no block, and blocks that need no name. */
export const planRoleNames = {
  talk: 'A talk',
  rest: 'A rest',
  closing: 'The closing',
  under: 'Part of the line above',
  about: 'About the whole',
  nothing: 'Leave it out',
} as const

/** What a line was made into that joined the one before it. */
export const joinedWords = (block: Block | undefined): string =>
  block?.kind === 'closing' ? 'Goes with the closing' : 'The other side of it'
