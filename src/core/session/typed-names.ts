import type { Block } from '#model/block'
import type { Person } from '#model/person'
import type { Session } from '#model/session'

/** So short a name is no name to find in a text. */
const leastLetters = 3

/** Every name by which some people are called: first and last ones, and what they wish to be called. */
export const namesOf = (people: readonly Pick<Person, 'name' | 'calledAs'>[]): readonly string[] => [
  ...new Set(
    people
      .flatMap(({ name, calledAs = '' }) => `${name} ${calledAs}`.split(/\s+/))
      .filter((name) => name.length >= leastLetters && name.charAt(0) !== name.charAt(0).toLowerCase()),
  ),
]

const patterns = new WeakMap<readonly string[], RegExp>()

/** Whole words alone, as they are written: "Kat" is not in "Kathedrale". */
function patternOf(names: readonly string[]): RegExp {
  const known =
    patterns.get(names) ??
    new RegExp(
      `(?<!\\p{L})(?:${names.map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|')})(?:[’']s)?(?!\\p{L})`,
      'gu',
    )
  patterns.set(names, known)
  return known
}

/** A text with "somebody" in place of every name; the same text where there is none. */
export const withoutNames = (text: string, names: readonly string[]): string =>
  names.length === 0
    ? text
    : text.replace(patternOf(names), (name) => (/[’']s$/.test(name) ? 'somebody’s' : 'somebody'))

/** What of a session itself a teacher types in one text. */
const typedOfSession = ['name', 'purpose', 'theme'] as const

/** What a teacher typed of a session itself and names stand in, without them; empty where there is none. */
export function detailsWithoutNames(
  session: Session,
  names: readonly string[],
): Partial<Pick<Session, (typeof typedOfSession)[number] | 'nextTime'>> {
  const texts = typedOfSession.flatMap((field) => {
    const text = session[field] ?? ''
    const mended = withoutNames(text, names)
    return mended === text ? [] : [[field, mended] as const]
  })
  const notes = session.nextTime?.map((note) => ({ ...note, text: withoutNames(note.text, names) }))
  const isNoted = notes?.some(({ text }, at) => text !== session.nextTime?.[at]?.text) ?? false
  return { ...Object.fromEntries(texts), ...(isNoted ? { nextTime: notes } : {}) }
}

/** Whether any of some names stands in what was typed into a session. */
export const tellsOf = (session: Session, names: readonly string[]): boolean =>
  names.length > 0 &&
  (Object.keys(detailsWithoutNames(session, names)).length > 0 ||
    session.blocks.some((block) => blockWithoutNames(block, names) !== block))

/** The fields of a block that hold what a teacher typed. */
const typed: ReadonlySet<string> = new Set([
  ...['title', 'text', 'note', 'changeText', 'why', 'attend', 'place', 'setUpWords', 'name'],
])

/** A block without the names typed in it; the same block where there is none. */
export function blockWithoutNames(block: Block, names: readonly string[]): Block {
  const said = JSON.stringify(block)
  const mended = mend(block, names, false)
  return JSON.stringify(mended) === said ? block : (mended as Block)
}

function mend(value: unknown, names: readonly string[], isTyped: boolean): unknown {
  if (typeof value === 'string') return isTyped ? withoutNames(value, names) : value
  if (Array.isArray(value)) return value.map((one: unknown) => mend(one, names, isTyped))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, mend(one, names, typed.has(key))]))
}
