const perDay = 24 * 60

/** An hour of the day so many minutes later, 24-hour clock: 19:00 and 75 are 20:15. Days go round, without summer time. */
export function clockAfter(hour: string, minutes: number): string {
  const [hours = 0, past = 0] = hour.split(':').map(Number)
  const at = (hours * 60 + past + minutes) % perDay
  return [Math.floor(at / 60), at % 60].map((part) => String(part).padStart(2, '0')).join(':')
}
