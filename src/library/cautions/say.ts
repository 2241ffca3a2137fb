import { techniques } from '../techniques.ts'
import { conditions } from './conditions.ts'
import { cautionPropNames, familyNames } from './family-names.ts'
import { cautionGroups } from './groups.ts'

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)

const names = new Map<string, string>([
  ...Object.entries(familyNames),
  ...Object.entries(cautionPropNames),
  ...techniques.map(({ cautionId, names: { english } }) => [cautionId, lower(english)] as const),
  ...conditions.map(({ id, name }) => [id, lower(name)] as const),
])

/** A text of the reference with every `{id}` in it as a teacher would say it. */
export const sayCaution = (text: string): string => text.replace(/\{([a-z0-9_]+)\}/g, (_, id: string) => names.get(id) ?? id)

/** Groups as one would say them; the others are said condition by condition. */
const groupNames: Readonly<Record<string, string>> = {
  '@preg': 'pregnancy',
  '@preg_late': 'pregnancy from week 14, or complicated',
  '@eye': 'raised eye pressure or retinal disease',
}

const severeWords = ' (severe, acute or unsure)'

/** The conditions of a rule in words, groups opened where they have no word of their own. */
export function sayConditions(conditionsOfRule: readonly string[]): string[] {
  return conditionsOfRule.flatMap((entry) => {
    const id = entry.replace('!', '')
    const after = entry.endsWith('!') ? severeWords : ''
    if (!id.startsWith('@')) return [`${lower(names.get(id) ?? id)}${after}`]
    const group = groupNames[id]
    return group ? [group + after] : (cautionGroups[id] ?? []).map((one) => `${lower(names.get(one) ?? one)}${after}`)
  })
}
