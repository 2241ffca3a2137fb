// Plan needs these with its first look, and no other date: they do without the package that words/dates is made with.

/** The day of a wall time on this machine, as in “2026-03-12”: the way dates are written in Sweden. */
export const dayOf = (epochMs: number): string => new Intl.DateTimeFormat('sv-SE').format(epochMs)

const shortDay = new Intl.DateTimeFormat('en', { weekday: 'short', day: 'numeric', month: 'short' })

/** A planned class by day and time, as in “Thu 3 Dec, 18:45”. */
export function classWhen({ day, startsAt }: { readonly day: string; readonly startsAt?: string | undefined }): string {
  const parts = shortDay.formatToParts(new Date(`${day}T12:00`))
  const part = (type: 'weekday' | 'day' | 'month'): string => parts.find((one) => one.type === type)?.value ?? ''
  const words = `${part('weekday')} ${part('day')} ${part('month')}`
  return startsAt === undefined ? words : `${words}, ${startsAt}`
}
