import type { Pattern } from '#model/breath'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'

/** A part of a round is at most this many half-counts [limits of a pattern]. */
const mostHalfCounts = 128

export type RatioCode = 'NOT_A_RATIO' | 'PART_NOT_ABOVE_ZERO' | 'NOT_WHOLE_HALF_COUNTS' | 'OUT_OF_RANGE'

/**
 * A typed ratio as a pattern [breath book 2]: two numbers are in : out, three in : full : out, four as they stand, apart
 * by `:`, `-` or spaces. `baseCounts` is what the first number becomes; absent, itself. Every part must come to whole
 * half-counts: where one does not, `extra.nearest` has the nearest bases that work.
 */
export function patternFromRatio({
  text,
  baseCounts,
}: {
  readonly text: string
  readonly baseCounts?: number
}): Result<Pattern, RatioCode> {
  const parts = partsOf(text)
  if (!parts) return refused('NOT_A_RATIO', 'text', { given: text })
  const [inhale, , out] = parts
  if (inhale <= 0 || out <= 0) return refused('PART_NOT_ABOVE_ZERO', 'text', { part: inhale <= 0 ? 'in' : 'out' })
  const base = baseCounts ?? inhale
  if (!Number.isFinite(base) || base <= 0) return refused('OUT_OF_RANGE', 'baseCounts', { given: base })
  const halves = halvesOf(parts, base)
  if (!halves.every(isWhole))
    return refused('NOT_WHOLE_HALF_COUNTS', 'baseCounts', { given: base, nearest: nearestBases(parts, base) })
  const [inHalves = 0, fullHalves = 0, outHalves = 0, emptyHalves = 0] = halves.map(Math.round)
  if (Math.max(...halves) > mostHalfCounts) return refused('OUT_OF_RANGE', 'baseCounts', { most: mostHalfCounts / 2 })
  return ok({ in: inHalves, full: fullHalves, out: outHalves, empty: emptyHalves })
}

type Parts = readonly [inhale: number, full: number, out: number, empty: number]

function partsOf(text: string): Parts | undefined {
  const words = text
    .trim()
    .replaceAll(',', '.')
    .split(/[\s:\-–]+/)
  const numbers = words.map((word) => (/^\d+(?:\.\d+)?$/.test(word) ? Number(word) : NaN))
  if (numbers.some((number) => !Number.isFinite(number))) return undefined
  const [first = 0, second = 0, third = 0, fourth = 0] = numbers
  if (numbers.length === 2) return [first, 0, second, 0]
  if (numbers.length === 3) return [first, second, third, 0]
  return numbers.length === 4 ? [first, second, third, fourth] : undefined
}

const halvesOf = (parts: Parts, base: number): number[] => parts.map((part) => (part / parts[0]) * base * 2)

/** As whole as what was typed in decimals can be. */
const isWhole = (halves: number): boolean => Math.abs(halves - Math.round(halves)) < 1e-6

/** The nearest whole base below and above at which every part comes to whole half-counts. */
function nearestBases(parts: Parts, base: number): number[] {
  const works = (one: number): boolean =>
    halvesOf(parts, one).every((halves) => isWhole(halves) && halves <= mostHalfCounts)
  const below = rangeDown(Math.ceil(base) - 1).find(works)
  const above = rangeUp(Math.floor(base) + 1).find(works)
  return [below, above].filter((one) => one !== undefined)
}

const rangeDown = (from: number): number[] => Array.from({ length: Math.max(0, from) }, (_, at) => from - at)
const rangeUp = (from: number): number[] =>
  Array.from({ length: Math.max(0, mostHalfCounts / 2 - from + 1) }, (_, at) => from + at)
