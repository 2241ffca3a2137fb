import type { Refusal, RefusalCode, RefusalFacts } from '#model/refusal'
import { formatDuration } from '#core/units'
import { fieldName } from './fields.ts'
import { counted } from './text.ts'

const typeWords: Readonly<Record<string, string>> = {
  int: 'a whole number',
  number: 'a number',
  string: 'some text',
  array: 'a list',
  object: 'an object',
  boolean: 'true or false',
  record: 'an object',
}
const typeWord = (expected: string): string => typeWords[expected] ?? expected

const formWords: Readonly<Record<string, string>> = {
  datetime: 'an instant like 2026-03-12T19:00:00+01:00',
  date: 'a day like 2026-03-12',
}

/** A size with its unit: times in minutes and seconds, texts in characters, lists in entries. */
function size(value: number, of: string, path: string): string {
  if (of === 'string') return counted(value, 'character')
  if (of === 'array') return counted(value, 'entry', 'entries')
  if (/[a-z]S$/.test(path) || /(^|\.)s$/.test(path)) return formatDuration(value)
  return path.endsWith('Mm') ? `${String(value / 10)} cm` : String(value)
}

/** Seconds as told in a sentence, to a tenth. */
const secondsText = (seconds: number): string => `${String(Math.round(seconds * 10) / 10)} s`

const quicker = 'take fewer counts or a quicker pace'

const isEmpty = ({ least, of }: RefusalFacts['TOO_SMALL']): boolean =>
  least === 1 && (of === 'string' || of === 'array')

/** What is wrong with the field and what to do, after its name. */
const mends: { readonly [Code in RefusalCode]: (facts: RefusalFacts[Code], path: string) => string } = {
  MISSING: ({ expected }) => ` is missing: give ${typeWord(expected)}`,
  WRONG_TYPE: ({ expected }) => ` has the wrong type: give ${typeWord(expected)}`,
  TOO_SMALL: (facts, path) =>
    isEmpty(facts)
      ? `: ${facts.of === 'array' ? 'choose or write at least one' : 'write something'}`
      : ` is too small: give at least ${size(facts.least, facts.of, path)}`,
  TOO_BIG: ({ most, of }, path) => ` is too large: give at most ${size(most, of, path)}`,
  NOT_A_CHOICE: ({ choices }) => ` must be one of: ${choices}`,
  UNKNOWN_FIELD: ({ fields }) => ` has a field that is not known: remove ${fields}`,
  WRONG_FORM: ({ form }) =>
    ` is not written as it should be: ${formWords[form] ? `give ${formWords[form]}` : 'use letters, figures, - and _ only, at most 64'}`,
  NO_FORM_FITS: () => ' fits none of the forms it may have: compare it with the schema',
  UNKNOWN_REFERENCE: ({ id }) => `: “${id}” is neither shipped nor in the file: add it to the file, or choose another`,
  TECHNIQUE_NOT_COUNTED: ({ id }) => `: “${id}” has no counts of its own: give it a pattern, or choose another`,
  CLOSING_NOT_LAST: () => ': a closing can only be last: move it to the end',
  ROUND_LENGTH: ({ isS, leastS, mostS }) =>
    `: a round of ${secondsText(isS)}, and it takes ${String(leastS)} s to ${String(mostS)} s: change the counts or the pace`,
  BREATH_LONG: ({ isS, mostS }) => `: ${secondsText(isS)}, at most ${String(mostS)} s: ${quicker}`,
  RETENTION_LONG: ({ isS, mostS }) => `: ${secondsText(isS)}, at most ${String(mostS)} s: ${quicker}`,
  ROUNDS_MANY: ({ is, most }) => `: ${String(is)} rounds in one block: at most ${String(most)}, or divide it`,
  COMPOSED_LONG: ({ isS, mostS }) =>
    ` come to ${formatDuration(isS)}: a session lasts at most ${formatDuration(mostS)}, so shorten or take out some`,
  CHIN_BEFORE_BELLY: () => ' lifts the chin before the belly is let go: let the belly go first',
  CUE_EMPTY: () => ' has neither words nor a sound: give it one',
  EVENTS_OUT_OF_ORDER: () => ' do not follow one another by their numbers: send them in order, without a gap',
  HOLD_UNDER_PHASES: ({ leastS }) => ` is shorter than its phases: give at least ${formatDuration(leastS)}`,
  HOLD_RANGE_ORDER: () => ': the usual time lies between the shortest and the longest',
  ID_RESERVED: () => ' is a word programs keep for themselves: choose another',
  ID_TWICE: ({ first }) => ` is also that of number ${String(first + 1)}: give each its own`,
  LOCKS_DIFFER: () => ' must let go each lock that is taken, once: name the same ones in both',
  NOSTRILS_OPEN: () => ' must go in and out by turns, and its end join its beginning',
  PACE_RANGE: () => ': one count lasts from 0.25 s to 10 s',
  PHASE_REST: () => ': exactly one of them is “the rest of it”',
  PILES_UNEVEN: () => ' cannot be divided into two equal piles: take an even number or one pile',
  QUIET_AFTER_END: () => ' lies after the last sentence: name one that is there',
  SENSATION_ORDER: () => ' goes from the lesser to the stronger',
  ONE_SESSION: () => ' must hold the one session of the class',
  SESSIONS_OR_BLOCKS: () => ' or blocks must be there, and not both',
  TIME_ZONE_UNKNOWN: () => ' is no time zone that is known: name one as “Europe/Amsterdam”, or leave it out',
  SIDE_IN_SYMMETRIC: () => ' names a side, but the pose has none: give it two sides or leave the side out',
  SIDES_ALIKE: () => ' says the same as the left side: say what is different in the body',
  SLOPE_STANDS: () => ' must grow or shrink: give it at least half a count',
  SLOPE_WITHOUT_SETS: () => ' changes between sets: give the section sets of rounds',
  STATIONS_ALONE: () => ' have rounds of their own: take out the amount, the nostrils and the steps',
  TIME_OR_BREATHS: () => ' or a number of breaths must be there, and not both',
}

const mendOf = <Code extends RefusalCode>(code: Code, facts: RefusalFacts[Code], path: string): string =>
  mends[code](facts, path)

/** One sentence that names the field as it is called on screen, and the mend. */
export const refusalSentence = ({ code, path, facts }: Refusal): string =>
  `${fieldName(path)}${mendOf(code, facts, path)}.`
