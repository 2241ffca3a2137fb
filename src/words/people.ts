import type { Gate } from '#model/caution'
import type { Condition, Person } from '#model/person'
import type { Level } from '#model/common'
import type { Roll } from '#core/cautions'
import { keysOf } from '#core/units'
import type { OldAnswer } from '#core/class'
import { conditions } from '#library/cautions/conditions'
import { notToday } from '#library/cautions/not-today'
import { techniques } from '#library/techniques'
import { shortNames } from './condition-names.ts'
import { sayCaution } from './conditions.ts'
import { familyNames } from './families.ts'
import { capital, namesInWords } from './text.ts'

/** What somebody wishes to be called. */
export const calledName = ({ name, calledAs }: Pick<Person, 'name' | 'calledAs'>): string => calledAs ?? name

export const levelChoices: readonly { readonly value: Level | ''; readonly words: string }[] = [
  { value: '', words: 'not said: as somebody new' },
  { value: 'new', words: 'new' },
  { value: 'regular', words: 'regular' },
  { value: 'experienced', words: 'experienced' },
]

/** Touch is never assumed: unsaid, nobody is touched. */
export const touchChoices: readonly { readonly value: NonNullable<Person['touch']> | ''; readonly words: string }[] = [
  { value: '', words: 'not asked' },
  { value: 'yes', words: 'yes' },
  { value: 'ask', words: 'ask each time' },
  { value: 'no', words: 'no' },
]

const byId = new Map(conditions.map((condition) => [condition.id, condition]))

/** Who may be touched, in numbers alone: as it is told before Start. */
export function touchWords(people: readonly Pick<Person, 'touch'>[]): string {
  const count = (touch: Person['touch']): number => people.filter((person) => person.touch === touch).length
  const parts = [
    [count('yes'), 'yes'],
    [count('ask'), 'ask each time'],
    [count('no'), 'no'],
    [count(undefined), 'not asked'],
  ] as const
  const told = parts.filter(([n]) => n > 0).map(([n, words]) => `${String(n)} ${words}`)
  return told.length === 0 ? '' : `Touch: ${told.join(', ')}.`
}

/** A condition by its name, as asked in private, with what makes it the severe form. */
export function conditionWords(id: string) {
  const condition = byId.get(id)
  return {
    name: condition?.name ?? id,
    short: shortNames[id] ?? condition?.name ?? id,
    asks: sayCaution(condition?.asks ?? ''),
    notes: sayCaution(condition?.notes ?? ''),
    severe: sayCaution(condition?.severe ?? ''),
    isAlwaysSevere: condition?.alwaysSevere ?? false,
  }
}

export const conditionChoices = conditions.map(({ id, name }) => ({ value: id, words: name }))

/** What somebody ticks for themselves, on paper or on their own page: what is asked, without what a teacher is told besides. */
export const askedOfThemselves = conditionChoices
  // Never asked of anybody: who likes tells it under “anything else” [cautions reference 1].
  .filter(({ value }) => value !== 'menstruation')
  .map(({ value, words }) => ({ id: value, name: words, asks: questionsIn(conditionWords(value).asks) }))

function questionsIn(asks: string): string {
  return (asks.match(/[^.?]+\?/g) ?? []).join('').trim()
}

/** Practices a clinician may agree to: families of poses and techniques of breath. */
export const practiceChoices: readonly { readonly value: string; readonly words: string }[] = [
  ...keysOf(familyNames).map((value) => ({ value, words: capital(familyNames[value]) })),
  ...[...new Map(techniques.map(({ cautionId, names }) => [cautionId, names.english]))].map(([value, words]) => ({
    value,
    words,
  })),
]

/** How it is with them, as one chooses it. */
export const severityChoices: readonly { readonly value: Condition['severe'] | 'newAche'; readonly words: string }[] = [
  { value: 'no', words: 'as usual' },
  { value: 'yes', words: 'severe' },
  { value: 'unsure', words: 'not sure' },
  { value: 'newAche', words: 'a new ache, not looked at yet' },
]

export const sideChoices: readonly { readonly value: NonNullable<Condition['side']> | ''; readonly words: string }[] = [
  { value: '', words: 'no side' },
  { value: 'left', words: 'left' },
  { value: 'right', words: 'right' },
  { value: 'both', words: 'both' },
]

/** What of someone's conditions is told in a few words, as in “knee, left; neck (not sure)”. */
export const toldShort = (told: readonly Pick<Condition, 'id' | 'severe' | 'side' | 'newAche'>[]): string =>
  told
    .map(({ id, severe, side, newAche }) => {
      const mark = newAche ? ' (new)' : severe === 'yes' ? ' (severe)' : severe === 'unsure' ? ' (not sure)' : ''
      const where = side === undefined ? '' : side === 'both' ? ', both' : `, ${side}`
      return `${shortNames[id] ?? id}${where}${mark}`
    })
    .join('; ')

const marksOfTheDay = new Map(notToday.map(({ id, name }) => [id, name]))

/** What stands before any practice of somebody, and what to do about it; nothing where nothing does. */
export function gateWords({ gate, by }: { readonly gate: Gate; readonly by: readonly string[] }): string {
  const why = namesInWords(by.map((id) => marksOfTheDay.get(id) ?? shortNames[id] ?? id))
  switch (gate) {
    case 'none':
      return ''
    case 'ask':
      return `Check first (${why}): does their clinician know they practise, and set no limits?`
    case 'clear':
      return `Until clearance is noted (${why}): only rest on the side, inclined rest or a seat on a chair, with natural breath.`
    case 'stop':
      return `No practice today (${why}): medical care first.`
  }
}

/** What is to be asked again, in a line for all of it; nothing where nothing is. */
export function askAgainWords(old: readonly OldAnswer[]): string {
  if (old.length === 0) return ''
  const names = namesInWords(old.map(({ conditionId }) => shortNames[conditionId] ?? conditionId))
  return `Ask again: ${names}, told ${String(Math.max(...old.map(({ weeks }) => weeks)))} weeks ago.`
}

/** Where they roll out of lying, if something of theirs decides it. */
export function rollWords({ side, by }: Roll): string {
  if (by.length === 0) return ''
  const why = namesInWords(by.map((id) => shortNames[id] ?? id))
  return side === 'either'
    ? `Rolls out to the side they prefer (${why} pull apart).`
    : `Rolls out to the ${side} (${why}), or the side they prefer.`
}

/** What was not understood of a list of people, and the mend. */
export function peopleSlipWords({
  line,
  text,
  why,
}: {
  readonly line: number
  readonly text: string
  readonly why: 'name' | 'long' | 'level' | 'height' | 'touch' | 'columns'
}): string {
  const at = `Line ${String(line)}${text === '' ? '' : `, “${text.length > 40 ? `${text.slice(0, 40)}…` : text}”`}`
  switch (why) {
    case 'columns':
      return `The first line has to name the columns, at least name; it says “${text}”.`
    case 'name':
      return `${at}: no name, so nobody is added.`
    case 'long':
      return `${at}: too long, left out.`
    case 'level':
      return `${at}: the level is new, regular or experienced; left unsaid.`
    case 'height':
      return `${at}: a height is a number of centimetres, as 171; left unsaid.`
    case 'touch':
      return `${at}: touch is yes, ask or no; left unsaid.`
  }
}
