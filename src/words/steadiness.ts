import type { Steadiness } from '#core/breath'

/** How long a count is. */
export const countText = (ms: number): string => `${String(Math.round(ms / 10) / 100)} s`

const percent = (value: number): string => `${Math.abs(value).toFixed(1)} %`
/** Less than this cannot be told from the hand that taps. */
const nothing = 0.5

/** What a count did, in words: nobody is told how well. */
export function steadinessWords(
  { offPercent, driftPercentPerMin, jitterPercent }: Steadiness,
  minutes: number,
): string[] {
  const overAll = driftPercentPerMin * minutes
  return [
    Math.abs(offPercent) < nothing
      ? 'as long as wanted on the whole'
      : `${percent(offPercent)} ${offPercent > 0 ? 'slower' : 'faster'} than wanted on the whole`,
    Math.abs(overAll) < nothing
      ? 'the same at the end as at the start'
      : `${percent(overAll)} ${overAll > 0 ? 'slower' : 'faster'} by the end than at the start`,
    `uneven by ${percent(jitterPercent)} from one count to the next`,
  ]
}
