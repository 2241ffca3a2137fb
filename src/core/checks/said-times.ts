import type { Seconds } from '#core/units'

const numbers: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  ninety: 90,
}
const units = 'one|two|three|four|five|six|seven|eight|nine'
const tens = 'twenty|thirty|forty|fifty'
const numberWords = [
  `(?:${tens})[- ](?:${units})`,
  ...Object.keys(numbers).toSorted((a, b) => b.length - a.length),
].join('|')
/** A number as it is written: never the end of a longer word, as the five of "thirty-five". */
const number = `(?<![\\w-])(\\d+(?:[.,]\\d+)?|half an?|an?|${numberWords})`

const valueOf = (text: string): number => {
  const word = text.toLowerCase()
  if (/^half an?$/.test(word)) return 0.5
  if (/^an?$/.test(word)) return 1
  const [ten = '', unit] = word.split(/[- ]/)
  if (unit !== undefined) return (numbers[ten] ?? 0) + (numbers[unit] ?? 0)
  return numbers[word] ?? Number(word.replace(',', '.'))
}

/** A single second is never announced: "a second time", "in a second". */
const timed = new RegExp(
  `(?<!\\b(?:after|within|in|every|each|or) (?:about )?)${number}( and a half)?\\s+(?:more\\s+|last\\s+)?(minutes?|seconds)\\b( and a half)?(?! ago)`,
  'i',
)
const breathed = new RegExp(`${number}\\s+(?:more\\s+|last\\s+|slow\\s+|quiet\\s+|deep\\s+)*breaths?\\b`, 'i')
/** A number with what is counted in breath work: "for two counts", "4 seconds", "hold 12". */
const counted = new RegExp(`\\d|${number}\\s+(?:counts?|beats?|seconds?|breaths?)\\b`, 'i')

/** Whether a text names a number of counts or seconds, in figures or in words. */
export const saysCount = (text: string): boolean => counted.test(text)

/** The time a text announces, as in "four minutes" or "20 seconds more", in seconds; undefined where it names none. */
export function saidSeconds(text: string): Seconds | undefined {
  const found = timed.exec(text)
  if (!found) return undefined
  const [, said = '', halfBefore, unit = '', halfAfter] = found
  const many = valueOf(said) + ((halfBefore ?? halfAfter) === undefined ? 0 : 0.5)
  return Math.round(many * (unit.toLowerCase().startsWith('minute') ? 60 : 1))
}

/** How many breaths a text promises; undefined where it names none. */
export function saidBreaths(text: string): number | undefined {
  const found = breathed.exec(text)
  return found ? valueOf(found[1] ?? '') : undefined
}
