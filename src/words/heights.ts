import type { Fitted, ForHeight } from '#core/class'
import type { PropSpecs } from '#core/props'
import { comfortWords, mendWords } from './comfort.ts'
import { lengthNumber, lengthText } from './lengths.ts'
import type { LengthUnit } from './lengths.ts'
import { counted, lower } from './text.ts'

/** How tall those are whom a set-up fits alike, as in “178–183 cm”. */
export function heightsText({ leastCm, mostCm }: Pick<ForHeight, 'leastCm' | 'mostCm'>, unit: LengthUnit): string {
  const [least, most] = [lengthNumber(leastCm, unit), lengthText(mostCm, unit)]
  return leastCm === mostCm ? most : `${least}–${most}`
}

/** For how many, how tall, and how it lies for them: never who. */
export function forHeightWords(group: ForHeight, unit: LengthUnit, kinds: PropSpecs): string {
  const people = `${counted(group.who.length, 'person', 'people')}, ${heightsText(group, unit)}`
  return `${people}: ${fittedWords(group, unit, kinds)}`
}

/** How a set-up lies for a height: what is changed, and what no change mends. */
export function fittedWords({ mends, left }: Fitted, unit: LengthUnit, kinds: PropSpecs): string {
  const changes = mends.map((mend) => lower(mendWords(mend, kinds)))
  const lies = [...changes, ...left.map((finding) => lower(comfortWords(finding, unit).title))]
  return lies.length > 0 ? lies.join('; ') : 'as it lies'
}
