import { parseDuration } from '#core/units'
import { scratchOf, take, without } from './scratch.ts'
import type { Scratch } from './scratch.ts'

/** A time as a plan says it. */
export interface SaidTime {
  readonly s: number
  /** The end of "3 to 5 min". */
  readonly toS?: number
  /** Without a unit. */
  readonly isBare: boolean
  /** How it was written. */
  readonly text: string
  readonly from: number
}

const wordValues: Readonly<Record<string, number>> = {
  ...{ 'half a': 0.5, an: 1, a: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8 },
  ...{ nine: 9, ten: 10, twelve: 12, fifteen: 15, twenty: 20 },
}
const words = Object.keys(wordValues).join('|')
const number = String.raw`\d{1,4}(?:[.,]\d{1,2})?(?: ?\.(?:25|5|75))?|\.(?:25|5|75)`
const unit = String.raw`(?:hours?|hrs?|h|minutes?|mins?|m|'|seconds?|secs?|s|")`
const clock = String.raw`\d{1,2}:\d{2}(?::\d{2})?`
const joined = String.raw`\d{1,2} ?h ?\d{1,2}(?: ?m(?:in)?)?|\d{1,3} ?(?:m|mins?|minutes?|') ?(?:and )?\d{1,2}(?: ?(?:s|secs?|seconds?|"))?`

/** A time as a part of a pattern, without groups of its own. */
export const timePattern = `(?:${clock}|${joined}|(?:${number}) ?${unit}|(?:${words}) (?:hours?|minutes?|mins?|seconds?|secs?)|${number})(?![\\d:a-z])`
const apart = String.raw`(?<![\d:.,a-z])`

/** The seconds of a time that {@link timePattern} found; a bare number is minutes, as it is wherever a time is typed. */
export function secondsIn(text: string): { readonly s: number; readonly isBare: boolean } | undefined {
  const plain = text
    .trim()
    .replace(new RegExp(`^(?:${words})\\b`), (word) => String(wordValues[word] ?? word))
    .replace(/(\d) ?\.(?=25$|5$|75$|25\D|5\D|75\D)/, '$1.')
    .replace(/^\./, '0.')
    .replace(/ ?and ?/, '')
    .replaceAll('"', 's')
    .replaceAll("'", 'm')
    .replace(/hours?|hrs?/, 'h')
  const read = parseDuration(plain, { leastS: 0, mostS: 36_000 })
  return read.ok ? { s: read.value, isBare: /^[\d.,]+$/.test(plain) } : undefined
}

/** All times of a line in their order, and the line without them. */
export function takeTimes(line: Scratch): { readonly times: readonly SaidTime[]; readonly rest: Scratch } {
  const pattern = new RegExp(`${apart}(?:(${timePattern})(?: ?(?:-|to|or) ?(${timePattern}))?)(?: ?(?:long|each)\\b)?`)
  const times: SaidTime[] = []
  let rest = line
  for (;;) {
    const found = take(rest, pattern)
    if (!found) return { times: times.toSorted((a, b) => a.from - b.from), rest }
    const { 0: whole, 1: first = '', 2: second, index } = found.said
    const range = second === undefined ? undefined : rangeOf(first, second)
    const one = range ?? secondsIn(second === undefined ? first : whole)
    rest = found.rest
    if (one) times.push({ ...one, text: whole.trim(), from: index })
  }
}

/** "3 to 5 min": the unit is said once. */
function rangeOf(first: string, second: string): { s: number; toS: number; isBare: boolean } | undefined {
  const to = secondsIn(second)
  const said = secondsIn(first)
  if (!to || !said) return undefined
  const sameUnit = said.isBare && !to.isBare ? secondsIn(`${first.trim()}${second.replace(/^[\d.,: ]+/, '')}`) : said
  return sameUnit ? { s: sameUnit.s, toS: to.s, isBare: to.isBare } : undefined
}

/** What a list or a table puts before a line: a bullet, a box, a number and a bracket. */
const bullets = /^\s*(?:[-*•·▪‣>+]|\[[ x]?\]|☐|☑|✓|\(?\d{1,2}[.)](?=\s)|#+(?=\s))\s*/

/** The line without its bullets. */
export function withoutBullets(line: Scratch): Scratch {
  const found = take(line, bullets)
  return found ? withoutBullets(scratchOf(line.typed.slice(line.from[found.said[0].length]))) : line
}

/** A time of day, or since the start, at the beginning of a line: "18:05", "18:05–18:13", "at 0:12". */
const clockFirst =
  /^\s*(?:at )?(\d{1,2})[:.](\d{2})(?:\s*-\s*(\d{1,2})[:.](\d{2}))?(?: ?(am|pm))?(?=[\s,;|-])\s*[-:,|]?/

export interface AtClock {
  readonly minutes: number
  readonly toMinutes?: number
  readonly rest: Scratch
}
export function takeClock(line: Scratch): AtClock | undefined {
  const found = take(line, clockFirst)
  if (!found) return undefined
  const [, hours = '', minutes = '', toHours, toMinutes = ''] = found.said
  if (Number(minutes) > 59) return undefined
  const at = Number(hours) * 60 + Number(minutes)
  const to = toHours === undefined ? {} : { toMinutes: Number(toHours) * 60 + Number(toMinutes) }
  return { minutes: at, ...to, rest: without(line, 0, found.said.index + found.said[0].length) }
}
