import type { ClassCode, ClassFacts, ClassNoticed } from '#core/class'
import { formatDuration } from '#core/units'
import type { FindingWords } from './findings.ts'
import { propNames } from './props.ts'
import { wavesWords } from './room.ts'
import { capital, counted } from './text.ts'

const whoMend = 'See who takes what'

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
  NOTHING_LEFT: ({ people }) => ({
    title: `No form fits ${counted(people, 'person', 'people')}`,
    reason: 'Everything on the shelf is left out for what they told: ask a professional.',
    mend: whoMend,
  }),
  MUST_NOT: ({ people }) => ({
    title: `To be left out for ${counted(people, 'person', 'people')}, and nothing else is chosen`,
    reason: 'What is suggested in its place stands in the table until it is taken.',
    mend: whoMend,
  }),
  NEEDS_LOOK: ({ people }) => ({
    title: `To be changed for ${counted(people, 'person', 'people')}, and no form is chosen`,
    reason: 'It is offered to them in a changed form alone.',
    mend: whoMend,
  }),
  GATE_OPEN: ({ people, gate }) => ({
    title: {
      ask: `${counted(people, 'person', 'people')}: check first that their clinician set no limits`,
      clear: `${counted(people, 'person', 'people')}: quiet rests alone until clearance is noted`,
      stop: `${counted(people, 'person', 'people')}: no practice today`,
    }[gate],
    reason: 'A clearance is noted on their page, with who gave it and when.',
    mend: whoMend,
  }),
  ASK_AGAIN: ({ people }) => ({
    title: `${counted(people, 'person', 'people')} to be asked again`,
    reason: 'What they told is some weeks old. Nothing of it lapses.',
    mend: whoMend,
  }),
  CEILING_OF_PERSON: ({ people, leastS }) => ({
    title: `${counted(people, 'person comes', 'people come')} half way out early, the first after ${formatDuration(leastS)}`,
    reason: 'Then the same rest as all; it is set with them before the class, and no bell rings for it.',
    mend: whoMend,
  }),
  MIXED_FORMS: ({ forms, people }) => ({
    title: `${String(forms)} forms at once, for ${counted(people, 'person', 'people')}`,
    reason: 'More than one can look at. The same form for several of them would do.',
    mend: whoMend,
  }),
  HOLD_PAST_STAGE: ({ people, why }) => ({
    title:
      why === 'minor'
        ? `A breath is held, and ${counted(people, 'minor comes', 'minors come')}`
        : `What is held or pumped is past the stage of ${counted(people, 'person', 'people')}`,
    reason:
      why === 'minor'
        ? 'Nobody is led through a held breath with a minor among them.'
        : 'They breathe naturally meanwhile; the stage is noted on their page.',
    mend: whoMend,
  }),
  CHANGE_OF_PERSON: ({ people, mostS, hasS }) => ({
    title: `${counted(people, 'person changes', 'people change')} over in ${formatDuration(mostS)}, the class has ${formatDuration(hasS)}`,
    reason: 'From their own form, or into it. Begin with them, or give them a form they can stay in.',
    mend: whoMend,
  }),
  THINGS_SHORT: ({ people, known }) => ({
    title: `${String(people)} of ${String(known)} lack something at home of what is planned`,
    reason: 'Of those whose own things are noted on their page.',
    mend: 'See who gets what',
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
