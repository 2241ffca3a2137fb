const units: Readonly<Record<string, number>> = Object.fromEntries(
  [
    ...['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'],
    ...[
      'eleven',
      'twelve',
      'thirteen',
      'fourteen',
      'fifteen',
      'sixteen',
      'seventeen',
      'eighteen',
      'nineteen',
      'twenty',
    ],
  ].map((word, value) => [word, value]),
)
const tens: Readonly<Record<string, number>> = { thirty: 30, forty: 40, fifty: 50, sixty: 60, ninety: 90 }
const others: Readonly<Record<string, number>> = { a: 1, an: 1, couple: 2, few: 3 }
const values = { ...units, ...tens, ...others }

/** Numbers as they are said or written, as a part of a pattern. */
export const numberPattern = `\\d+(?:\\.\\d+)?|${Object.keys({ ...units, ...tens }).join('|')}|a couple of|a couple|a few|an?`

/** What a number of {@link numberPattern} says. */
export function numberOf(text: string): number {
  const word = text.replace(/^a (?=couple|few)/, '').replace(/ of$/, '')
  return values[word] ?? Number(word)
}

const minutes = new RegExp(
  `\\b(?:(another|last|next|final|more) )?(${numberPattern})(?: (more|whole|full|long|good))?(?: or (?:so|${numberPattern}))?(?: to (?:${numberPattern}))?(?: and a half)? ?-?(more )?(minute|min|second|sec)s?\\b( more| left| ago| mark| and a half)?`,
  'g',
)
/** What is told of a hold that runs already, and not of the whole of it. */
const rest = /\b(another|more|left|last|final|remaining|halfway|ago|to go|mark)\b/

/** How long a hold is said to be in what was said, each time, s; not what is left of one that runs. */
export function announcedIn(text: string): readonly number[] {
  const told: number[] = []
  for (const match of text.matchAll(minutes)) {
    const [whole, , number = '', , , unit = ''] = match
    if (rest.test(whole)) continue
    // "a minute" to find the way somewhere is no length of a hold.
    if (/^an?$/.test(number) && !/\b(for|about|hold|stay|here)\b/.test(text)) continue
    const count = numberOf(number) + (/and a half/.test(whole) ? 0.5 : 0)
    const s = Math.round(count * (unit.startsWith('min') ? 60 : 1))
    if (s >= 15 && s <= 3600) told.push(s)
  }
  // “The same minute and a half.”
  if (told.length === 0 && /\bminute and a half\b/.test(text) && !rest.test(text)) told.push(90)
  return told
}
