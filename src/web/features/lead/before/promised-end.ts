import { minutesOfDay } from '#core/units'

/** The instant of a typed start like 19:00 that lies nearest to now; undefined where none is meant. */
export function nextStart(typed: string, nowMs: number): number | undefined {
  const match = /^(\d{1,2})[:.](\d{2})$/.exec(typed.trim())
  const [hours = NaN, minutes = NaN] = match ? match.slice(1).map(Number) : []
  if (!(hours < 24 && minutes < 60)) return undefined
  const date = new Date(nowMs)
  date.setHours(hours, minutes, 0, 0)
  const halfDayMs = 12 * 3_600_000
  const apartMs = date.getTime() - nowMs
  if (apartMs > halfDayMs) date.setDate(date.getDate() - 1)
  if (apartMs < -halfDayMs) date.setDate(date.getDate() + 1)
  return date.getTime()
}

interface Given {
  readonly startsAtMs: number | undefined
  readonly nowMs: number
  readonly lengthS: number
  readonly totalMs: number
  readonly moreMs: number
}

/** The promised end: start and length wanted when a start is set, else now and what was composed [decisions]. */
export const endOf = ({ startsAtMs, nowMs, lengthS, totalMs, moreMs }: Given): number =>
  (startsAtMs === undefined ? nowMs + totalMs : startsAtMs + lengthS * 1000) + moreMs

/** When a room has to be left that is free until an hour of the day: the next time it is that hour; undefined without one. */
export function freeUntilOf(hour: string | undefined, nowMs: number): number | undefined {
  if (hour === undefined) return undefined
  const date = new Date(nowMs)
  date.setHours(0, minutesOfDay(hour), 0, 0)
  if (date.getTime() < nowMs) date.setDate(date.getDate() + 1)
  return date.getTime()
}
