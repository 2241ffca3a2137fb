import { ok, refused } from '#core/result'
import type { Result } from '#core/result'

/** Adult statures the body's proportions hold for, cm [formula book 4]. */
export const statureLimits = { leastCm: 120, mostCm: 220 } as const

const perUnit: Readonly<Record<string, number>> = { m: 100, cm: 1, mm: 0.1, in: 2.54, inches: 2.54, '"': 2.54 }
/** What was likely meant by a bare number that no adult is tall, in cm [formula book 6, guards]. */
const likely = (value: number): number | undefined =>
  value < 3 ? value * 100 : value >= 45 && value <= 85 ? value * 2.54 : undefined

/**
 * A stature as it is typed, in cm: `170`, `170 cm`, `1.7 m`, `67 in`. Refused: `NOT_A_STATURE`; `STATURE_UNIT` for a bare
 * number in metres or inches, with `likelyCm` to ask for before it is converted; `STATURE_RANGE`.
 */
export function parseStature(text: string): Result<number> {
  const read = /^\s*(\d+(?:[.,]\d+)?)\s*(m|cm|mm|in|inches|")?\s*$/i.exec(text)
  const value = Number(read?.[1]?.replace(',', '.'))
  if (!read || !Number.isFinite(value)) return refused('NOT_A_STATURE', '', { text })
  const unit = read[2]?.toLowerCase()
  const cm = value * (perUnit[unit ?? 'cm'] ?? 1)
  const meant = unit === undefined ? likely(value) : undefined
  if (meant !== undefined)
    return refused('STATURE_UNIT', '', { text: read[1] ?? '', likelyCm: Math.round(meant), inches: value >= 3 })
  if (cm < statureLimits.leastCm || cm > statureLimits.mostCm) return refused('STATURE_RANGE', '', { ...statureLimits })
  return ok(Math.round(cm * 10) / 10)
}
