import type { SecondsRange } from '#model/limits'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'
import type { Seconds } from './units.ts'

/** Each way of writing a time: its shape, and the seconds of hours, minutes and seconds in it. */
const forms: readonly { shape: RegExp; unitsS: readonly number[] }[] = [
  { shape: /^(\d{1,4}):(\d{2})$/, unitsS: [60, 1] },
  { shape: /^(\d{1,2}):(\d{2}):(\d{2})$/, unitsS: [3600, 60, 1] },
  { shape: /^(\d{1,5})(?:s|sec|secs|second|seconds)$/, unitsS: [1] },
  { shape: /^(\d{1,4}(?:[.,]\d{1,3})?)(?:m|min|mins|minute|minutes)?$/, unitsS: [60] },
  { shape: /^(\d{1,4})(?:m|min)(\d{1,2})(?:s|sec)?$/, unitsS: [60, 1] },
  { shape: /^(\d{1,2}(?:[.,]\d{1,3})?)(?:h|hour|hours)$/, unitsS: [3600] },
  { shape: /^(\d{1,2})h(\d{1,2})(?:m|min)?$/, unitsS: [3600, 60] },
  { shape: /^(\d{1,2})h(\d{1,2})(?:m|min)?(\d{1,2})(?:s|sec)?$/, unitsS: [3600, 60, 1] },
]

/** A space may stand before a unit or after one, never between two numbers: `1 30` could mean anything. */
const betweenNumberAndUnit = /(?<=[a-z])\s+|\s+(?=[a-z])/g

/**
 * Reads a time as teachers type it: `4` and `3.5` are minutes, `90s`, `1h15`, `1:15` is 1 min 15 s.
 * Refuses `TIME_EMPTY`, `TIME_UNREADABLE`, `TIME_PAST_59` (as in 3:75 or 1h75), `TIME_RANGE` (facts leastS, mostS).
 */
export function parseDuration(text: string, limits: SecondsRange, path = 'time'): Result<Seconds> {
  const typed = text.trim().toLowerCase().replace(betweenNumberAndUnit, '')
  if (typed === '') return refused('TIME_EMPTY', path)
  for (const form of forms) {
    const match = form.shape.exec(typed)
    if (!match) continue
    const parts = match.slice(1).map((part) => Number(part.replace(',', '.')))
    if (parts.slice(1).some((part) => part > 59)) {
      return refused('TIME_PAST_59', path, { typed: text.trim() })
    }
    const seconds = Math.round(parts.reduce((sum, part, index) => sum + part * (form.unitsS[index] ?? 0), 0))
    const inRange = seconds >= limits.leastS && seconds <= limits.mostS
    return inRange ? ok(seconds) : refused('TIME_RANGE', path, { typed: text.trim(), ...limits })
  }
  return refused('TIME_UNREADABLE', path, { typed: text.trim() })
}
