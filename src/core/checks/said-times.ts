import type { Seconds } from '#core/units'

const numbers: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
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
  'forty-five': 45,
  fifty: 50,
  sixty: 60,
  ninety: 90,
}
const number = `(\\d+(?:[.,]\\d+)?|half a|${Object.keys(numbers)
  .toSorted((a, b) => b.length - a.length)
  .join('|')})`

const valueOf = (text: string): number => {
  const word = text.toLowerCase()
  if (word === 'half a') return 0.5
  return numbers[word] ?? Number(word.replace(',', '.'))
}

const timed = new RegExp(`\\b${number}\\s+(?:more\\s+|last\\s+)?(minute|second)s?\\b`, 'i')
const breathed = new RegExp(`\\b${number}\\s+(?:more\\s+|last\\s+|slow\\s+|quiet\\s+|deep\\s+)*breaths?\\b`, 'i')

/** The time a text announces, as in "four minutes" or "20 seconds more", in seconds; undefined where it names none. */
export function saidSeconds(text: string): Seconds | undefined {
  const found = timed.exec(text)
  if (!found) return undefined
  return Math.round(valueOf(found[1] ?? '') * (found[2]?.toLowerCase() === 'minute' ? 60 : 1))
}

/** How many breaths a text promises; undefined where it names none. */
export function saidBreaths(text: string): number | undefined {
  const found = breathed.exec(text)
  return found ? valueOf(found[1] ?? '') : undefined
}
