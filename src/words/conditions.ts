import { techniques } from '#library/techniques'
import { conditions } from '#library/cautions/conditions'
import { cautionPropNames, familyNames } from './families.ts'
import { cautionGroups } from '#library/cautions/groups'
import { lower } from './text.ts'
import { shortNames } from './condition-names.ts'

const names = new Map<string, string>([
  ...Object.entries(familyNames),
  ...Object.entries(cautionPropNames),
  ...techniques.map(({ cautionId, names: { english } }) => [cautionId, lower(english)] as const),
  ...conditions.map(({ id, name }) => [id, lower(name)] as const),
])

/** How a family is said within a sentence, as in "chair {seat}" or "inclined {sup_rest}". */
const withinText: Readonly<Record<string, string>> = {
  seat: 'seat',
  sup_rest: 'rest on the back',
  sup_bb: 'lying backbend',
}

/** A text of the reference with every `{id}` in it as a teacher would say it. */
export const sayCaution = (text: string): string =>
  text.replace(marks, '').replace(/\{([a-z0-9_]+)\}/g, (_, id: string) => withinText[id] ?? names.get(id) ?? id)

/** Marks of the reference on how well something is founded, of which the shelf speaks in words of its own. */
const marks = /\s*\((?:[ABC]d?|[^()]*: d|d)\)/g

/** Groups as one would say them; the others are said condition by condition. */
const groupNames: Readonly<Record<string, string>> = {
  '@preg': 'pregnancy',
  '@preg_late': 'pregnancy from week 14, or complicated',
  '@eye': 'raised eye pressure or retinal disease',
}

const severeWords = ' (severe, acute or unsure)'

/** What tells the severe form of a condition in a list at a glance. */
export const severely = ' (severe)'

type Say = (id: string, severe: boolean) => string

const openGroups = (entries: readonly string[], say: Say): string[] =>
  entries.flatMap((entry) => {
    const id = entry.replace('!', '')
    const severe = entry.endsWith('!')
    const group = groupNames[id]
    if (group) return [severe ? `${group}${severely}` : group]
    return (cautionGroups[id] ?? [id]).map((one) => say(one, severe))
  })

/** The conditions of a rule in words, groups opened where they have no word of their own. */
export const sayConditions = (entries: readonly string[]): string[] =>
  openGroups(entries, (id, severe) => `${lower(names.get(id) ?? id)}${severe ? severeWords : ''}`)

/** The same in a word or two each, for lists at a glance. */
export const sayShort = (entries: readonly string[]): string[] =>
  openGroups(entries, (id, severe) => `${shortNames[id] ?? id}${severe ? severely : ''}`)
