import { textLimits } from '#model/limits'

/** A text with its first letter large, as at the start of a line. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** A text with its first letter small, as within a sentence. */
export const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)

/** How many of what: “1 block”, “3 blocks”. */
export const counted = (n: number, one: string, many = `${one}s`): string => `${String(n)} ${n === 1 ? one : many}`

/**
 * A name with what tells it from another, as in “Thursday slow hour, copy”. A long one is cut so that both have room,
 * between what a reader takes for characters and never within one.
 */
export function markedName(name: string, mark: string): string {
  let cut = ''
  for (const { segment } of new Intl.Segmenter('en').segment(name)) {
    if (cut.length + segment.length + mark.length > textLimits.name) break
    cut += segment
  }
  return cut + mark
}

/** Parts that are there, in a row. */
export const joined = (parts: readonly string[], between: string): string =>
  parts.filter((part) => part !== '').join(between)

/** Names in a row: all up to four, then how many more. Names with a comma of their own are kept apart by semicolons. */
export function namesInWords(names: readonly string[]): string {
  const many = 4
  const shown = names.length > many ? [...names.slice(0, many), `${String(names.length - many)} more`] : names
  if (shown.some((name) => name.includes(','))) return shown.join('; ')
  return shown.length < 2 ? shown.join('') : `${shown.slice(0, -1).join(', ')} and ${shown.at(-1) ?? ''}`
}
