import { propNames } from './props.ts'

/** What was not understood of a file of a cupboard, and the mend. */
export function slipWords({
  line,
  text,
  why,
}: {
  readonly line: number
  readonly text: string
  readonly why: 'kind' | 'count' | 'size' | 'columns'
}): string {
  switch (why) {
    case 'columns':
      return `The first line has to name the columns, at least kind and count; it says “${text}”.`
    case 'kind':
      return `Line ${String(line)}, “${text}”: no such kind; write it as in ${propNames.rectBolster.one}, ${propNames.blanket.one}, ${propNames.strap.one}.`
    case 'count':
      return `Line ${String(line)}, “${text}”: the count is a whole number up to 1000.`
    case 'size':
      return `Line ${String(line)}, “${text}”: a length is a number of centimetres, or left empty.`
  }
}
