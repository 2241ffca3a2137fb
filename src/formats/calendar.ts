import ICAL from 'ical.js'
import { DateTime } from 'luxon'
import { grouped } from '#core/units'
import { tzlib_get_ical_block as definitionOf } from 'timezones-ical-library'

/** A class as a calendar has it. Nobody's name is in it. */
export interface CalendarClass {
  /** The same in every file that has it, whatever is changed of the class. */
  readonly uid: string
  /** Greater after every change [RFC 5545, 3.8.7.4]. */
  readonly sequence: number
  readonly summary: string
  readonly about?: string | undefined
  readonly place?: string | undefined
  readonly day: string
  /** Absent: some time that day. */
  readonly startsAt?: string | undefined
  readonly lengthS: number
  /** By its IANA name. */
  readonly timeZone: string
  readonly isCancelled: boolean
}

const at = ({ day, startsAt = '00:00', timeZone }: CalendarClass): DateTime =>
  DateTime.fromISO(`${day}T${startsAt}`, { zone: timeZone })

/** A moment as it is on the wall there; a time that a clock change leaves out is the one after it. */
const wall = (moment: DateTime): ICAL.Time =>
  ICAL.Time.fromData({
    ...{ year: moment.year, month: moment.month, day: moment.day },
    ...{ hour: moment.hour, minute: moment.minute, second: moment.second, isDate: false },
  })
const dayOnly = (moment: DateTime): ICAL.Time =>
  ICAL.Time.fromData({ year: moment.year, month: moment.month, day: moment.day, isDate: true })

function eventOf(one: CalendarClass, stamp: DateTime): ICAL.Component {
  const event = new ICAL.Component('vevent')
  const add = (name: string, value: ICAL.Time | string, zone?: string) => {
    const property = new ICAL.Property(name, event)
    // Readers of the format take Unicode's own ends of line for the end of a line of the file: they go as those of the format.
    property.setValue(typeof value === 'string' ? value.replaceAll(/[\u2028\u2029]/g, '\n') : value)
    if (zone !== undefined) property.setParameter('tzid', zone)
    event.addProperty(property)
  }
  const start = at(one)
  add('uid', one.uid)
  event.updatePropertyWithValue('sequence', one.sequence)
  const stamped = stamp.toUTC()
  add('dtstamp', ICAL.Time.fromDateTimeString(stamped.toFormat("yyyy-MM-dd'T'HH:mm:ss'Z'")))
  if (one.startsAt === undefined) {
    add('dtstart', dayOnly(start))
    add('dtend', dayOnly(start.plus({ days: 1 })))
  } else {
    add('dtstart', wall(start), one.timeZone)
    add('dtend', wall(start.plus({ seconds: one.lengthS })), one.timeZone)
  }
  add('summary', one.summary)
  if (one.about !== undefined && one.about !== '') add('description', one.about)
  if (one.place !== undefined) add('location', one.place)
  add('status', one.isCancelled ? 'CANCELLED' : 'CONFIRMED')
  return event
}

/** Classes as an iCalendar file (RFC 5545) with the definitions of their time zones, so that a clock change is right everywhere. */
export function calendarOf(classes: readonly CalendarClass[], nowMs: number): string {
  const calendar = new ICAL.Component(['vcalendar', [], []])
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('prodid', '-//Zovrin//classes//EN')
  calendar.updatePropertyWithValue('method', 'PUBLISH')
  const zones = new Set(classes.filter(({ startsAt }) => startsAt !== undefined).map(({ timeZone }) => timeZone))
  for (const zone of [...zones].sort()) {
    const [definition] = definitionOf(zone)
    if (typeof definition !== 'string') continue
    calendar.addSubcomponent(new ICAL.Component(ICAL.parse(definition) as never))
  }
  const stamp = DateTime.fromMillis(nowMs)
  for (const one of classes) calendar.addSubcomponent(eventOf(one, stamp))
  return `${calendar.toString()}\r\n`
}

/** Something in a calendar on a day: all of it, or between two times of it, in minutes of the day. */
export interface BusyDay {
  readonly day: string
  readonly what: string
  readonly fromMin: number
  readonly toMin: number
}

export type BusyRead =
  | {
      readonly ok: true
      readonly days: readonly BusyDay[]
      /** Whether there was more than is looked at. */
      readonly isCut: boolean
      /** How many entries could not be understood. */
      readonly unread: number
    }
  | { readonly ok: false; readonly code: 'NOT_A_CALENDAR' | 'TOO_LARGE' }

/** The largest calendar that is read, in characters; and as many days of it as are looked at. */
export const mostCalendarChars = 2_000_000
const mostDays = 1000
/** How often what comes again is looked at: a day in fifty years, and no file keeps anybody waiting. */
const mostSteps = 20_000
const wholeDay = 24 * 60

/**
 * What keeps one busy from one day to another, both included, out of an iCalendar file, with what comes again expanded;
 * times are those of a place. What is cancelled, or is marked as free, keeps nobody busy.
 */
export function busyDaysIn(text: string, from: string, to: string, timeZone: string): BusyRead {
  if (text.length > mostCalendarChars) return { ok: false, code: 'TOO_LARGE' }
  const read = readCalendar(text.replace(/^\uFEFF/, ''))
  if (!read) return { ok: false, code: 'NOT_A_CALENDAR' }
  const { calendar, events } = read
  const span = { from, to, timeZone, zones: zonesOf(calendar), moved: movedOf(events) }
  const days: BusyDay[] = []
  let { unread } = read
  for (const event of events) {
    if (days.length >= mostDays) break
    // What one entry has wrong is no reason to leave the others unread.
    try {
      days.push(...daysOf(event, span).slice(0, mostDays - days.length))
    } catch {
      unread += 1
    }
  }
  days.sort((a, b) => (a.day === b.day ? a.fromMin - b.fromMin : a.day < b.day ? -1 : 1))
  return { ok: true, days, isCut: days.length >= mostDays, unread }
}

interface CalendarRead {
  readonly calendar: ICAL.Component
  readonly events: readonly ICAL.Component[]
  readonly unread: number
}

function componentOf(text: string): ICAL.Component | undefined {
  try {
    return new ICAL.Component(ICAL.parse(text) as never)
  } catch {
    return undefined
  }
}

/** A calendar with its entries; where the whole does not parse, each entry for itself. */
function readCalendar(text: string): CalendarRead | undefined {
  const whole = componentOf(text)
  if (whole)
    return whole.name === 'vcalendar'
      ? { calendar: whole, events: whole.getAllSubcomponents('vevent'), unread: 0 }
      : undefined
  const entries = text.match(entry) ?? []
  const calendar = componentOf(text.replace(entry, ''))
  if (calendar?.name !== 'vcalendar') return undefined
  const read = entries.map(componentOf)
  const events = read.filter((event) => event !== undefined)
  return { calendar, events, unread: read.length - events.length }
}
const entry = /^BEGIN:VEVENT\r?\n[\s\S]*?^END:VEVENT(?:\r?\n|$)/gm

interface Span {
  readonly from: string
  readonly to: string
  readonly timeZone: string
  readonly zones: ReadonlyMap<string, ICAL.Timezone>
  /** Those of several that were moved or changed by themselves, by the name they share. */
  readonly moved: ReadonlyMap<string, readonly ICAL.Component[]>
}

const zonesOf = (calendar: ICAL.Component): ReadonlyMap<string, ICAL.Timezone> =>
  new Map(
    calendar.getAllSubcomponents('vtimezone').flatMap((component) => {
      const zone = new ICAL.Timezone(component)
      return zone.tzid ? [[zone.tzid, zone] as const] : []
    }),
  )

const textOf = (component: ICAL.Component, name: string): string => {
  const value: unknown = component.getFirstPropertyValue(name)
  return typeof value === 'string' ? value.trim() : ''
}

const movedOf = (events: readonly ICAL.Component[]): ReadonlyMap<string, readonly ICAL.Component[]> =>
  grouped(
    events.filter((event) => event.getFirstProperty('recurrence-id')),
    (event) => textOf(event, 'uid'),
  )

function daysOf(component: ICAL.Component, span: Span): BusyDay[] {
  if (textOf(component, 'status').toUpperCase() === 'CANCELLED') return []
  if (textOf(component, 'transp').toUpperCase() === 'TRANSPARENT') return []
  // One of several that was moved stands for itself beside what comes again.
  if (component.getFirstProperty('recurrence-id')) return plainDays(component, span)
  const event = new ICAL.Event(component, {
    exceptions: [...(span.moved.get(textOf(component, 'uid')) ?? [])],
  })
  if (!component.getFirstProperty('dtstart')) return []
  if (!event.isRecurring()) return plainDays(component, span)
  const found: BusyDay[] = []
  const iterator = event.iterator()
  for (let steps = 0; steps < mostSteps && found.length < mostDays; steps += 1) {
    const start = iterator.next() as ICAL.Time | null
    if (!start || isoDay(start) > span.to) break
    if (start.toString() in event.exceptions) continue
    const { endDate } = event.getOccurrenceDetails(start)
    found.push(...between(start, endDate, component, span))
  }
  return found
}

function plainDays(component: ICAL.Component, span: Span): BusyDay[] {
  const { startDate, endDate } = new ICAL.Event(component)
  return between(startDate, endDate, component, span)
}

const zoneOf = (component: ICAL.Component, name: string): string | undefined => {
  const zone: unknown = component.getFirstProperty(name)?.getParameter('tzid')
  return typeof zone === 'string' ? zone : undefined
}

const isoDay = (time: ICAL.Time): string => time.toString().slice(0, 10)

/** A time of a calendar as it is at the place; `tzid` is what its property says of its zone. */
function momentOf(time: ICAL.Time, tzid: string | undefined, { timeZone, zones }: Span): DateTime {
  const iso = time.toString().replace(/Z$/, '')
  if (time.zone === ICAL.Timezone.utcTimezone) return DateTime.fromISO(iso, { zone: 'utc' }).setZone(timeZone)
  if (tzid === undefined || time.isDate) return DateTime.fromISO(iso, { zone: timeZone })
  const named = DateTime.fromISO(iso, { zone: tzid })
  if (named.isValid) return named.setZone(timeZone)
  // A zone of the file's own, which only its definition tells.
  const own = zones.get(tzid)
  const utc = own ? ICAL.Timezone.convert_time(time, own, ICAL.Timezone.utcTimezone).toString() : iso
  return DateTime.fromISO(utc.replace(/Z$/, ''), { zone: own ? 'utc' : timeZone }).setZone(timeZone)
}

const minuteOf = ({ hour, minute }: DateTime): number => hour * 60 + minute

/** The days something lasts for, within those that are looked at, with its times in each. */
function between(start: ICAL.Time, end: ICAL.Time, component: ICAL.Component, span: Span): BusyDay[] {
  const what = textOf(component, 'summary')
  const zone = zoneOf(component, 'dtstart')
  const [first, last] = [momentOf(start, zone, span), momentOf(end, zoneOf(component, 'dtend') ?? zone, span)]
  if (!first.isValid || !last.isValid) return []
  const days: BusyDay[] = []
  const from = DateTime.fromISO(span.from, { zone: span.timeZone })
  for (let day = DateTime.max(first.startOf('day'), from); day < last; day = day.plus({ days: 1 })) {
    const iso = day.toISODate() ?? ''
    if (iso > span.to) break
    const fromMin = first.hasSame(day, 'day') ? minuteOf(first) : 0
    days.push({ day: iso, what, fromMin, toMin: last.hasSame(day, 'day') ? minuteOf(last) : wholeDay })
  }
  return days
}
