import type { Refused } from '#core/result'

/** A refused number in words that name the mend. */
export function numberWords({ code, extra = {} }: Refused): string {
  const { typed, least, most } = extra
  switch (code) {
    case 'NUMBER_EMPTY':
      return 'Type a number.'
    case 'NUMBER_RANGE':
      return `${String(typed)} is outside ${String(least)} to ${String(most)}.`
    default:
      return `"${String(typed)}" is not a number: type 4, 3.5 or 3,5.`
  }
}
