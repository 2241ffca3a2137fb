import type { Side } from '#model/common'
import { take } from './scratch.ts'
import type { Scratch } from './scratch.ts'
import { secondsIn, timePattern } from './times.ts'

/** What a line says of sides. */
export interface SaidSides {
  /** Both, for the same time. */
  readonly each: boolean
  /** Each for a time of its own, s. */
  readonly apart?: { readonly leftS: number; readonly rightS: number }
  readonly first?: Side
  /** Only this one is told, the other perhaps on a line of its own. */
  readonly only?: Side
  /** It is the other side of the line before. */
  readonly other: boolean
  /** The time is that of both together. */
  readonly together: boolean
}

const left = String.raw`l(?:eft|hs|t)?\.?(?: side| leg)?`
const right = String.raw`r(?:ight|hs|t)?\.?(?: side| leg)?`
const gap = String.raw`[ ,;/&+|-]*(?:and |then )?`
const time = `(${timePattern})`
/** "left 3, right 4", "3 left / 4 right", each in either order. */
const apartWays = [
  {
    pattern: new RegExp(String.raw`\b${left} ?[:=]? ?(?:for )?${time}${gap}\b${right} ?[:=]? ?(?:for )?${time}`),
    isLeftFirst: true,
  },
  {
    pattern: new RegExp(String.raw`\b${right} ?[:=]? ?(?:for )?${time}${gap}\b${left} ?[:=]? ?(?:for )?${time}`),
    isLeftFirst: false,
  },
  {
    pattern: new RegExp(
      String.raw`(?<![\d:.,])${time} ?(?:on the )?\b${left}${gap}${time} ?(?:on the )?\b${right}(?![a-z])`,
    ),
    isLeftFirst: true,
  },
  {
    pattern: new RegExp(
      String.raw`(?<![\d:.,])${time} ?(?:on the )?\b${right}${gap}${time} ?(?:on the )?\b${left}(?![a-z])`,
    ),
    isLeftFirst: false,
  },
]
const each =
  /\b(?:on )?(?:each|ea\.?|every|per|both|either)[ -]?(?:sides?|legs?|arms?|ways?|hips?|directions?)\b\.?|\be\/?s\b|\bb\/s\b|\bp\/s\b|[/@] ?(?:side|leg)\b|\bboth\b|\beach\b|\b(?:l|left) ?(?:\/|&|\+|and|then) ?(?:r|right)(?: sides?| legs?)?\b|\bl\/r\b|\b(?:r|right) ?(?:\/|&|\+|and|then) ?(?:l|left)(?: sides?| legs?)?\b/
const first =
  /\b(?:(left|right|l|r)(?: side| leg)? first|(?:start|begin|starting|beginning)(?:s|ning)? (?:on |with )?(?:the )?(left|right|l|r)(?: side| leg)?)\b/
const only =
  /(?:\(|\b)(left|right|l|r)(?: side| leg)?(?: only| alone)?(?:\)|\b)(?! (?:arm|knee|foot|hand|shin|ankle|hip|thigh|elbow|shoulder|cheek|nostril|ear)\b)/
const other =
  /\b(?:the )?(?:other|second|2nd|opposite) (?:side|leg)\b|\b(?:change|switch|swap)(?: the)? (?:sides?|legs?)\b|\b(?:same|repeat)(?: again)?(?: on)?(?: the)? (?:(left|right|other)(?: side)?|second side)\b/
const together = /\b(?:in all|altogether|in total|total|both sides together)\b/

const sideOf = (word: string | undefined): Side | undefined =>
  word === undefined ? undefined : word.startsWith('l') ? 'left' : 'right'

/** What is said of sides, and the line without it. A side in the body's terms ("left knee in front") is left as it stands. */
export function takeSides(line: Scratch): { readonly sides: SaidSides; readonly rest: Scratch } {
  const isOther = take(line, other)
  const isFirst = take(isOther?.rest ?? line, first)
  const isTogether = take(isFirst?.rest ?? isOther?.rest ?? line, together)
  const start = isTogether?.rest ?? isFirst?.rest ?? isOther?.rest ?? line
  const firstSide = sideOf(isFirst?.said[1] ?? isFirst?.said[2])
  const of = {
    ...(firstSide ? { first: firstSide } : {}),
    ...{ other: isOther !== undefined, together: isTogether !== undefined },
  }
  for (const { pattern, isLeftFirst } of apartWays) {
    const found = take(start, pattern)
    const [one, two] = [secondsIn(found?.said[1] ?? ''), secondsIn(found?.said[2] ?? '')]
    if (!found || !one || !two) continue
    const apart = isLeftFirst ? { leftS: one.s, rightS: two.s } : { leftS: two.s, rightS: one.s }
    return { sides: { ...of, each: true, apart }, rest: found.rest }
  }
  const both = take(start, each)
  if (both) return { sides: { ...of, each: true }, rest: both.rest }
  const one = take(start, only)
  const side = sideOf(one?.said[1])
  return one && side
    ? { sides: { ...of, each: false, only: side }, rest: one.rest }
    : { sides: { ...of, each: false }, rest: start }
}
