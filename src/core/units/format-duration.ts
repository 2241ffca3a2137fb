import { wholeSeconds } from './units.ts'
import type { Milliseconds, Seconds } from './units.ts'

const pad = (value: number): string => String(value).padStart(2, '0')

/** `m:ss` up to 60:00, `h:mm:ss` above; a negative time carries a true minus sign. */
export function formatDuration(seconds: Seconds): string {
  const whole = Math.round(Math.abs(seconds))
  const sign = seconds < 0 && whole > 0 ? '−' : ''
  if (whole <= 3600) return `${sign}${String(Math.floor(whole / 60))}:${pad(whole % 60)}`
  return `${sign}${String(Math.floor(whole / 3600))}:${pad(Math.floor(whole / 60) % 60)}:${pad(whole % 60)}`
}

/** As `formatDuration`, from milliseconds to the nearest second. */
export const formatMs = (ms: Milliseconds): string => formatDuration(wholeSeconds(ms))
