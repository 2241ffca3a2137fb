import type { ForHeight } from '#core/class'
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
  const changes = group.mends.map((mend) => lower(mendWords(mend, kinds)))
  const left = group.left.map((finding) => lower(comfortWords(finding, unit).title))
  const lies = [...changes, ...left]
  return `${people}: ${lies.length > 0 ? lies.join('; ') : 'as it lies'}`
}
