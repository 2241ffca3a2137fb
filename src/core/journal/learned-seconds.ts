import { amiss, ok } from '#core/result'
import type { Checked, Result } from '#core/result'
import type { Seconds } from '#core/units'
import { quantile } from './quantile.ts'

interface LearnedInput {
  /** What is planned where nothing was learned. */
  readonly defaultS: Seconds
  /** What it really took in classes led, oldest first. */
  readonly seenS: readonly Seconds[]
}

/** What is longer is no time of a part of a class. */
export const mostS = 3600
/** Fewer records teach nothing. */
export const leastSeen = 3
/** From so many on they are bounded by themselves. */
const manySeen = 8
/** A default under this is told in whole seconds, and may be far exceeded. */
const shortS = 20
const mostOfShortS = 60

/**
 * What a thing takes by the default and by what it took [handling book 5]: the default weighs 4·0.8^(n − 3), a record 0.9
 * to the power of its age; records far off are brought to their bounds. Rounded half up to 5 s, to 1 s where the default is
 * short. Refuses `NOT_FINITE` and `OUT_OF_RANGE` by field.
 */
export function learnedSeconds({ defaultS, seenS }: LearnedInput): Result<Seconds, 'NOT_FINITE' | 'OUT_OF_RANGE'> {
  const wrong = amiss([
    ['defaultS', defaultS, 0, mostS],
    ...seenS.map((seen, at): Checked => [`seenS.${String(at)}`, seen, 0, mostS]),
  ])
  if (wrong) return wrong
  if (seenS.length < leastSeen) return ok(defaultS)
  const [least, most] = bounds(defaultS, seenS)
  const ofDefault = 4 * 0.8 ** (seenS.length - leastSeen)
  const newestFirst = seenS.map((seen) => Math.min(most, Math.max(least, seen))).toReversed()
  const weighed = newestFirst.map((seen, age) => ({ seen, weight: 0.9 ** age }))
  const weight = weighed.reduce((sum, one) => sum + one.weight, ofDefault)
  const total = weighed.reduce((sum, one) => sum + one.seen * one.weight, ofDefault * defaultS)
  const grain = defaultS < shortS ? 1 : 5
  return ok(Math.floor(total / weight / grain + 0.5) * grain)
}

/** Within a third and three times the default; of many records within what lies near most of them. */
function bounds(defaultS: Seconds, seenS: readonly Seconds[]): readonly [least: number, most: number] {
  if (seenS.length < manySeen)
    return defaultS < shortS ? [0, Math.max(3 * defaultS, mostOfShortS)] : [defaultS / 3, 3 * defaultS]
  const sorted = seenS.toSorted((a, b) => a - b)
  const [first, third] = [quantile(sorted, 0.25), quantile(sorted, 0.75)]
  const reach = 1.5 * (third - first)
  return [first - reach, third + reach]
}
