const perDay = 24 * 60

/** Minutes since midnight of an hour as it is typed, 24-hour clock: "09:30" is 570. */
export function minutesOfDay(hour: string): number {
  const [hours = 0, minutes = 0] = hour.split(':').map(Number)
  return hours * 60 + minutes
}

/** The hour of so many minutes since midnight, 24-hour clock: 570 is "09:30". Days go round, without summer time. */
export function hourOfDay(minutes: number): string {
  const at = ((Math.floor(minutes) % perDay) + perDay) % perDay
  return [Math.floor(at / 60), at % 60].map((part) => String(part).padStart(2, '0')).join(':')
}
