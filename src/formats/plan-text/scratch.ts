import { foldMarks } from '#core/units'

/** A line while it is read: lower case without marks; what was understood is blanked, and all keeps its place in what was typed. */
export interface Scratch {
  readonly typed: string
  readonly folded: string
  /** Where each letter of `folded` stands in `typed`. */
  readonly from: readonly number[]
}

/** Stands where something was taken out: no pattern matches it. */
export const taken = '\ue000'

/** Signs that phones, notebooks and word processors write, as they are typed. */
const plainSigns: Readonly<Record<string, string>> = {
  ...{ '–': '-', '—': '-', '−': '-', '×': 'x', '∶': ':', '：': ':' },
  ...{ '’': "'", '‘': "'", '′': "'", '“': '"', '”': '"', '″': '"' },
  ...{ '½': '.5', '¼': '.25', '¾': '.75' },
  ...{ '\t': ' ', '\u00a0': ' ', '\u202f': ' ', '\u2009': ' ', [taken]: ' ' },
}

export function scratchOf(text: string): Scratch {
  const typed = text.normalize('NFC')
  let folded = ''
  let at = 0
  const from: number[] = []
  for (const sign of typed) {
    const plain = plainSigns[sign] ?? foldMarks(sign)
    for (const letter of plain) {
      folded += letter
      from.push(...Array<number>(letter.length).fill(at))
    }
    at += sign.length
  }
  return { typed, folded, from: [...from, typed.length] }
}

/** The line without what stands from one place of `folded` to another. */
export const without = ({ folded, ...line }: Scratch, from: number, to: number): Scratch => ({
  ...line,
  folded: folded.slice(0, from) + taken.repeat(to - from) + folded.slice(to),
})

/** What a pattern says of a line, and the line without it; undefined where it says nothing. */
export function take(
  line: Scratch,
  pattern: RegExp,
): { readonly said: RegExpExecArray; readonly rest: Scratch } | undefined {
  const said = pattern.exec(line.folded)
  return said ? { said, rest: without(line, said.index, said.index + said[0].length) } : undefined
}

/** Signs that only part one thing from another, at either end. */
const atEnds = /^[\s,;:.\-–—+&@=|/>•*)\]]+|[\s,;:\-–—+&@=|/(<[]+$/g
/** Words that only join what was understood. */
const joining =
  /^(?:(?:and|then|for|hold|in|on|to|a|an|the|of|with|w|at|each|is|about|ca|approx|now|next|pose|posture|asana)\b[\s,.&/]*)*$/

/** What is left of a line, as it was typed, a piece for each run of it; joining words alone are nothing. */
export function leftOf({ typed, folded, from }: Scratch): readonly string[] {
  const runs = folded.matchAll(new RegExp(`[^${taken}]+`, 'g'))
  return [...runs].flatMap(({ 0: run, index }) => {
    const text = typed
      .slice(from[index], from[index + run.length])
      .replaceAll(atEnds, '')
      .trim()
    const isNothing = text === '' || joining.test(foldMarks(text)) || !/[\p{L}\p{N}]/u.test(text)
    return isNothing ? [] : [text]
  })
}
