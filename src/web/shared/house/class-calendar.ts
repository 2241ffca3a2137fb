import type { LongDay } from '#model/long-day'
import type { Series } from '#model/series'
import type { CalendarClass } from '#formats/calendar'
import { daysOfRhythm } from '#formats/rhythm'
import { clockS, layOutDay } from '#core/long-day'
import { datesOfSeries } from '#core/series'
import { joined } from '#words/text'
import { listSessions } from '#web/shared/api/sessions.ts'
import { ports } from '#web/shared/ports.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import { useLongDaysStore } from './long-days-store.ts'
import { usePlacesStore } from './places-store.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'
import { useSeriesStore } from './series-store.ts'

/** The zone of this machine, where a place names none. */
export const ownTimeZone = (): string => new Intl.DateTimeFormat().resolvedOptions().timeZone

/** Zovrin’s name for a class of a series in calendars: the same in every file. */
const uidOf = (series: Series, n: number): string => `${series.id}-${String(n)}@zovrin`

/** The classes of some series as a calendar has them; of those that one person comes to, if only theirs are wished for. */
function calendarClasses(
  all: readonly Series[],
  lengths: ReadonlyMap<string, number>,
  personId: string | undefined,
): readonly CalendarClass[] {
  const { places } = usePlacesStore()
  const { planned } = usePlannedClassesStore()
  const { versionOf } = useSeriesStore()
  return all.flatMap((series) => {
    const place = places.find(({ id }) => id === series.placeId)
    const room = place?.rooms.find(({ id }) => id === series.roomId)
    return datesOfSeries(series, daysOfRhythm(series)).flatMap(({ n, day, startsAt, leftOut, sessionId }) => {
      const own = planned.find((one) => one.series?.id === series.id && one.series.n === n)
      const comes = own?.people.find((one) => one.personId === personId)
      if (personId !== undefined && own && (!comes || comes.away)) return []
      return {
        ...{ uid: uidOf(series, n), sequence: versionOf(series.id), summary: series.name, day, startsAt },
        about: leftOut === undefined ? undefined : joined(['No class', leftOut], ': '),
        place: place && joined([place.name, room?.name ?? ''], ', '),
        lengthS: lengths.get(sessionId ?? series.baseId) ?? lengths.get(series.baseId) ?? 3600,
        timeZone: place?.timeZone ?? ownTimeZone(),
        isCancelled: leftOut !== undefined,
      }
    })
  })
}

/** Long days as a calendar has them: each one entry from its first part to its last; those without a day are none. */
function calendarDays(all: readonly LongDay[], lengths: ReadonlyMap<string, number>): readonly CalendarClass[] {
  const { places } = usePlacesStore()
  const { versionOf } = useLongDaysStore()
  return all.flatMap((longDay) => {
    const { id, day, name, startsAt, placeId, roomId } = longDay
    if (day === undefined) return []
    const place = places.find((one) => one.id === placeId)
    const room = place?.rooms.find((one) => one.id === roomId)
    const laid = layOutDay(longDay, (sessionId) => lengths.get(sessionId) ?? 3600)
    return {
      ...{ uid: `${id}@zovrin`, sequence: versionOf(id), summary: name, day, startsAt, isCancelled: false },
      place: place && joined([place.name, room?.name ?? ''], ', '),
      lengthS: (laid.at(-1)?.endS ?? clockS(startsAt)) - clockS(startsAt),
      timeZone: place?.timeZone ?? ownTimeZone(),
    }
  })
}

/** What goes into a calendar. */
interface InCalendar {
  readonly series?: readonly Series[]
  readonly longDays?: readonly LongDay[]
}

/** Saves classes and long days as an iCalendar file under a name; those of one person where one is named. */
export async function saveCalendar(
  name: string,
  { series = [], longDays = [] }: InCalendar,
  personId?: string,
): Promise<void> {
  // What was just changed has its number once it is written: a file of it tells that it is the newer one.
  await Promise.all([useSeriesStore().settled(), useLongDaysStore().settled()])
  // The definitions of all time zones come only when they are needed.
  const [reply, { calendarOf }] = await Promise.all([listSessions(), import('#formats/calendar')])
  const lengths = new Map(reply.kind === 'ok' ? reply.value.map(({ id, lengthS }) => [id, lengthS]) : [])
  const text = calendarOf(
    [...calendarClasses(series, lengths, personId), ...calendarDays(longDays, lengths)],
    ports().epochMs(),
  )
  download(text, fileName(name, 'ics'), 'text/calendar;charset=utf-8')
}
