import type { ClassCode, ClassFacts, ClassNoticed } from '#core/class'
import { formatDuration } from '#core/units'
import type { FindingWords } from './findings.ts'
import { propNames } from './props.ts'
import { wavesWords } from './room.ts'
import { capital, counted } from './text.ts'

const words: { readonly [Code in ClassCode]: (facts: ClassFacts[Code]) => FindingWords } = {
  STOCK_SHORT: ({ kind, wanted, here }) => ({
    title: `${capital(propNames[kind].many)}: ${String(wanted)} needed, ${String(here)} in the cupboard`,
    reason: 'Somebody would lie without what is planned.',
    mend: 'See who gets what',
  }),
  FETCH_NOT_SAID: ({ why, things, s, talkS }) => ({
    title: {
      noTalk: `${counted(things, 'thing')} to fetch, and no talk before them`,
      unsaid: `The first talk does not say what to fetch`,
      short: `The first talk has ${formatDuration(talkS)}, fetching takes about ${formatDuration(Math.round(s / 5) * 5)}`,
    }[why],
    reason: 'Everything is fetched once, at the start: said there, or before the class.',
    mend: 'See what is fetched',
  }),
  WALL_SHORT: ({ people, places, holdS }) => ({
    title:
      places === 0
        ? `No wall is free here for ${counted(people, 'person', 'people')}`
        : `At the wall: ${counted(people, 'person', 'people')}, ${counted(places, 'place')}`,
    reason: [
      'The others are offered it without the wall, or another wall, a door, a corner.',
      wavesWords({ people, places, holdS }),
    ]
      .filter((part) => part !== '')
      .join(' '),
    mend: 'See the room',
  }),
  ROOM_SHORT: ({ people, most }) => ({
    title: `${counted(people, 'person', 'people')} in a room for ${counted(most, 'mat')}`,
    reason: 'As far apart as the widest shape of the session wants.',
    mend: 'See the room',
  }),
  ROOM_TAKEN: ({ name, startsAt, inSameRoom }) => ({
    title: inSameRoom
      ? `The room is taken: ${name} at ${startsAt}`
      : `${name} at ${startsAt} has things of the same cupboard`,
    reason: inSameRoom
      ? 'Two classes want a quarter of an hour between them.'
      : 'What it has is counted off what there is, with a quarter of an hour between the two.',
    mend: 'See the class',
  }),
}

/** A finding of a class as a teacher reads it: numbers only, never who. */
export const classFindingWords = ({ code, facts }: ClassNoticed): FindingWords =>
  (words[code] as (facts: ClassFacts[ClassCode]) => FindingWords)(facts)
