import type { Pattern } from '#model/breath'
import { patternFromRatio } from '#core/breath'
import { take } from './scratch.ts'
import type { Scratch } from './scratch.ts'

/** What a line says of breaths and how often. */
export interface SaidCounts {
  readonly pattern?: Pattern
  /** The ratio could be a time as well ("4:10"). */
  readonly isDoubtful?: boolean
  /** A ratio of small numbers, whose first was made four counts. */
  readonly isScaled?: boolean
  readonly sets?: number
  readonly rounds?: number
  readonly breaths?: number
  /** Seconds a count. */
  readonly countS?: number
}

const part = String.raw`\d{1,2}(?:[.,]5)?`
const apart = String.raw`(?<![\d:.,a-z-])`
const end = String.raw`(?![\d:a-z]|[.,]\d)`
/** Two to four numbers: what is no time, a second part of one digit or a third and fourth. */
const ratios = [
  new RegExp(String.raw`${apart}${part}(?: ?: ?${part}){2,3}${end}`),
  new RegExp(String.raw`${apart}${part}(?: ?- ?${part}){2,3}${end}`),
  new RegExp(String.raw`${apart}${part} ?: ?\d(?:[.,]5)?${end}`),
  new RegExp(String.raw`${apart}${part} : ${part}${end}`),
]
const perhapsRatio = new RegExp(String.raw`${apart}\d{1,2}:\d{2}${end}`)
/** "in for 4, hold 2, out for 6". */
const spoken =
  /\b(?:in|inhale|breathe in) (?:for )?(\d{1,2}(?:[.,]5)?)(?: counts?)?[ ,/;-]*(?:(?:hold|pause|keep|full) (?:for )?(\d{1,2}(?:[.,]5)?)(?: counts?)?[ ,/;-]*)?(?:and )?(?:out|exhale|breathe out) (?:for )?(\d{1,2}(?:[.,]5)?)(?: counts?)?(?:[ ,/;-]*(?:and )?(?:hold|pause|empty) (?:for )?(\d{1,2}(?:[.,]5)?)(?: counts?)?)?/

interface Often {
  readonly pattern: RegExp
  readonly of: (said: RegExpExecArray) => SaidCounts
}
const inSets: Often = {
  pattern: /(?<![\d.,:])(\d{1,2}) ?(?:x|sets? of|times) ?(\d{1,3})(?: ?(?:rounds?|x|times))?(?![\d:.,a-z])/,
  of: ([, sets, rounds]) => ({ sets: Number(sets), rounds: Number(rounds) }),
}
const howOften: readonly Often[] = [
  { pattern: /(?<![\d.,:])(\d{1,3}) (?:breaths?|br)\b/, of: ([, breaths]) => ({ breaths: Number(breaths) }) },
  {
    pattern: /(?<![\d.,:])(\d{1,3}) ?(?:rounds?|rds?|reps?|times|cycles)\b/,
    of: ([, rounds]) => ({ rounds: Number(rounds) }),
  },
  {
    pattern: /(?<![a-z])x ?(\d{1,3})(?![\d:.,]| ?(?:min|sec|m\b|s\b|h\b|['"]))(?: ?(?:rounds?|times|breaths?))?/,
    of: ([, rounds]) => ({ rounds: Number(rounds) }),
  },
  { pattern: /(?<![\d.,:])(\d{1,3}) ?x(?![a-z\d])/, of: ([, rounds]) => ({ rounds: Number(rounds) }) },
]
const pace = /(?:\bat )?(?<![\d.,:])(\d(?:[.,]\d{1,3})?) ?(?:s|sec|seconds?) ?(?:a|per|\/|each) ?counts?\b/

/** What is said of counts and rounds, and the line without it. */
export function takeCounts(
  line: Scratch,
  { isOfBreath, isOfHold }: { readonly isOfBreath: boolean; readonly isOfHold: boolean },
): { readonly counts: SaidCounts; readonly rest: Scratch } {
  const ofPace = take(line, pace)
  const countS = ofPace ? { countS: Number(ofPace.said[1]?.replace(',', '.')) } : {}
  const ofPattern = takePattern(ofPace?.rest ?? line, isOfBreath)
  const start = ofPattern?.rest ?? ofPace?.rest ?? line
  const before = { ...countS, ...ofPattern?.counts }
  // "3 x 2" of a hold is three minutes twice, of breath three sets of two.
  for (const { pattern, of } of isOfHold && !ofPattern ? howOften : [inSets, ...howOften]) {
    const found = take(start, pattern)
    if (found) return { counts: { ...before, ...of(found.said) }, rest: found.rest }
  }
  return { counts: before, rest: start }
}

function takePattern(
  line: Scratch,
  isOfBreath: boolean,
): { readonly counts: SaidCounts; readonly rest: Scratch } | undefined {
  const inWords = take(line, spoken)
  if (inWords) {
    const [, inhale = '0', full = '0', out = '0', empty = '0'] = inWords.said
    const pattern = patternOf([inhale, full, out, empty].join(':').replaceAll(',', '.'))
    if (pattern) return { counts: pattern, rest: inWords.rest }
  }
  for (const ratio of ratios) {
    const found = take(line, ratio)
    const pattern = found && patternOf(found.said[0])
    if (found && pattern) return { counts: pattern, rest: found.rest }
  }
  // "4:10" is a time anywhere else; with rounds beside it, or a breath's name, counts are likelier.
  const often = howOften.some(({ pattern }) => pattern.test(line.folded))
  const found = isOfBreath || often ? take(line, perhapsRatio) : undefined
  const pattern = found && patternOf(found.said[0])
  if (!found || !pattern || (!often && pattern.pattern && pattern.pattern.out > 60)) return undefined
  return { counts: { ...pattern, ...(often && isOfBreath ? {} : { isDoubtful: true }) }, rest: found.rest }
}

/** "1:2" is a ratio: its one becomes four counts. */
function patternOf(text: string): SaidCounts | undefined {
  const plain = text.replaceAll(',', '.')
  const isScaled = /^1 ?[:-]/.test(plain)
  const read = patternFromRatio({ text: plain, ...(isScaled ? { baseCounts: 4 } : {}) })
  return read.ok ? { pattern: read.value, ...(isScaled ? { isScaled } : {}) } : undefined
}
