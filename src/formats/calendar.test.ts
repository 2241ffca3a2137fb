import fc from 'fast-check'
import ical from 'node-ical'
import type { VEvent } from 'node-ical'
import { busyDaysIn, calendarOf } from '#formats/calendar'
import type { CalendarClass } from '#formats/calendar'

const nowMs = Date.UTC(2026, 2, 12, 9)
const amsterdam = 'Europe/Amsterdam'
const aClass = (more: Partial<CalendarClass> = {}): CalendarClass => ({
  ...{ uid: 'thursday-1@zovrin', sequence: 3, summary: 'Thursday slow hour', day: '2026-03-19', startsAt: '18:45' },
  ...{ lengthS: 3600, timeZone: amsterdam, isCancelled: false, ...more },
})
/** As another reader of the format understands it. */
const read = (text: string): VEvent[] =>
  Object.values(ical.sync.parseICS(text)).flatMap((one) => (one?.type === 'VEVENT' ? [one] : []))

test('a class is read by another parser as it is: when, how long, where, the same name and its number of changes', () => {
  const about = 'New today: Deer 3:30 → 4:00; less is said, or nothing.'
  const text = calendarOf([aClass({ about, place: 'Bellows House, The old workshop' })], nowMs)
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/)
  expect(Math.max(...text.split('\r\n').map((line) => Buffer.byteLength(line)))).toBeLessThanOrEqual(75)
  const [event] = read(text)
  expect(event).toMatchObject({
    ...{ uid: 'thursday-1@zovrin', summary: 'Thursday slow hour', description: about, status: 'CONFIRMED' },
    location: 'Bellows House, The old workshop',
  })
  expect(Number(event?.sequence)).toBe(3)
  expect(event?.start.toISOString()).toBe('2026-03-19T17:45:00.000Z')
  expect(event?.end?.toISOString()).toBe('2026-03-19T18:45:00.000Z')
  expect(event?.start.tz).toBe(amsterdam)
})

test('an end of line of Unicode’s own in a name is one of the format’s, and what follows it is not lost', () => {
  const [event] = read(calendarOf([aClass({ summary: 'Slow\u2028hour\u2029again' })], nowMs))
  expect(event?.summary).toBe('Slow\nhour\nagain')
})

test('before and after the clocks change it begins at the same hour on the wall; a class over the change lasts as long', () => {
  const days = ['2026-03-22', '2026-03-29', '2026-10-25']
  const events = read(
    calendarOf(
      days.map((day) => aClass({ uid: day, day, startsAt: '17:00' })),
      nowMs,
    ),
  )
  expect(events.map(({ start }) => start.toISOString().slice(11, 16))).toEqual(['16:00', '15:00', '16:00'])
  const [night] = read(calendarOf([aClass({ day: '2026-03-29', startsAt: '01:30' })], nowMs))
  expect(Number(night?.end) - Number(night?.start)).toBe(3_600_000)
})

test('without an hour it is all of its day; one that is not held is cancelled under the same name', () => {
  const { startsAt: _, ...noHour } = aClass()
  const [allDay] = read(calendarOf([noHour], nowMs))
  expect([allDay?.datetype, allDay?.status]).toEqual(['date', 'CONFIRMED'])
  const [cancelled] = read(calendarOf([aClass({ isCancelled: true, sequence: 4 })], nowMs))
  expect(cancelled).toMatchObject({ uid: 'thursday-1@zovrin', status: 'CANCELLED' })
})

const zones = ['Europe/Amsterdam', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kolkata', 'UTC']
const someClass = fc.record({
  uid: fc.uuid(),
  sequence: fc.integer({ min: 0, max: 9999 }),
  summary: fc
    .string({ minLength: 1, unit: 'grapheme' })
    .map((text) => `x${text.replaceAll(/[\p{C}\p{Zl}\p{Zp}\\]/gu, '')}`.trim()),
  day: fc
    .date({ min: new Date('2026-01-01'), max: new Date('2027-12-31'), noInvalidDate: true })
    .map((date) => date.toISOString().slice(0, 10)),
  startsAt: fc
    .tuple(fc.integer({ min: 4, max: 22 }), fc.integer({ min: 0, max: 59 }))
    .map(([hour, minute]) => `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`),
  lengthS: fc.integer({ min: 300, max: 3600 }),
  timeZone: fc.constantFrom(...zones),
  isCancelled: fc.constant(false),
})

test('whatever is written is read back as it was: by another parser, and as what keeps one busy', () => {
  fc.assert(
    fc.property(fc.uniqueArray(someClass, { minLength: 1, maxLength: 6, selector: ({ uid }) => uid }), (classes) => {
      const text = calendarOf(classes, nowMs)
      const events = read(text)
      expect(events.map(({ uid }) => uid).toSorted()).toEqual(classes.map(({ uid }) => uid).toSorted())
      for (const one of classes) {
        const event = events.find(({ uid }) => uid === one.uid)
        expect(Number(event?.end) - Number(event?.start)).toBe(one.lengthS * 1000)
        expect(event?.summary).toBe(one.summary)
        const busy = busyDaysIn(text, one.day, one.day, one.timeZone)
        const [hour = 0, minute = 0] = one.startsAt.split(':').map(Number)
        expect(busy.ok && busy.days).toContainEqual(
          expect.objectContaining({ day: one.day, what: one.summary, fromMin: hour * 60 + minute }),
        )
      }
    }),
    { numRuns: 40 },
  )
})

describe('what keeps one busy', () => {
  const file = (...events: readonly string[]): string =>
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:x',
      ...events.flatMap((one) => ['BEGIN:VEVENT', ...one.split('\n'), 'END:VEVENT']),
      'END:VCALENDAR',
    ].join('\r\n')
  const busy = (text: string, from = '2026-03-01', to = '2026-04-30') => {
    const found = busyDaysIn(text, from, to, amsterdam)
    if (!found.ok) throw new Error(found.code)
    return found.days.map(({ day, what, fromMin, toMin }) => [day, what, fromMin, toMin])
  }

  test('a holiday is every day it lasts, its end not counted; what lies outside is left', () => {
    const text = file('UID:1\nDTSTART;VALUE=DATE:20260401\nDTEND;VALUE=DATE:20260404\nSUMMARY:Easter\\, away')
    expect(busy(text)).toEqual(['2026-04-01', '2026-04-02', '2026-04-03'].map((day) => [day, 'Easter, away', 0, 1440]))
    expect(busy(text, '2026-04-03', '2026-04-09')).toHaveLength(1)
    expect(busy(text, '2026-05-01', '2026-05-09')).toEqual([])
  })

  test('times are those of the place, from UTC, from a zone, and as they stand', () => {
    const at = (start: string) => busy(file(`UID:1\n${start}\nDURATION:PT1H\nSUMMARY:x`))[0]?.slice(2)
    expect(at('DTSTART:20260319T170000Z')).toEqual([18 * 60, 19 * 60])
    expect(at('DTSTART;TZID=America/New_York:20260319T130000')).toEqual([18 * 60, 19 * 60])
    expect(at('DTSTART:20260319T180000')).toEqual([18 * 60, 19 * 60])
  })

  test('what comes again does so, but for days taken out, one that was moved, and what is free or cancelled', () => {
    const weekly = 'UID:1\nDTSTART:20260305T180000\nDTEND:20260305T190000\nRRULE:FREQ=WEEKLY;COUNT=5\nSUMMARY:Choir'
    expect(busy(file(weekly)).map(([day]) => day)).toEqual(
      ['05', '12', '19', '26'].map((day) => `2026-03-${day}`).concat('2026-04-02'),
    )
    const moved = 'UID:1\nRECURRENCE-ID:20260319T180000\nDTSTART:20260320T180000\nDTEND:20260320T190000\nSUMMARY:Choir'
    expect(busy(file(`${weekly}\nEXDATE:20260312T180000`, moved)).map(([day]) => day)).toEqual([
      ...['2026-03-05', '2026-03-20', '2026-03-26', '2026-04-02'],
    ])
    expect(busy(file(`${weekly}\nTRANSP:TRANSPARENT`))).toEqual([])
    expect(busy(file(`${weekly}\nSTATUS:CANCELLED`))).toEqual([])
  })

  test('what is no calendar, or too much of one, is told; one that never ends keeps nobody waiting', () => {
    expect(busyDaysIn('deer 3.5 each side', '2026-03-01', '2026-04-30', amsterdam)).toEqual({
      ...{ ok: false, code: 'NOT_A_CALENDAR' },
    })
    expect(busyDaysIn('BEGIN:VEVENT\r\nEND:VEVENT', '2026-03-01', '2026-04-30', amsterdam).ok).toBe(false)
    expect(busyDaysIn('x'.repeat(2_000_001), '2026-03-01', '2026-04-30', amsterdam)).toMatchObject({
      code: 'TOO_LARGE',
    })
    const endless = file('UID:1\nDTSTART:20260305T180000\nDURATION:PT1S\nRRULE:FREQ=SECONDLY\nSUMMARY:tick')
    expect(busyDaysIn(endless, '2026-03-01', '2026-04-30', amsterdam)).toMatchObject({ ok: true, isCut: true })
    expect(busy(file('UID:1\nSUMMARY:without a day'))).toEqual([])
  })

  test('an entry that makes no sense is counted, and the others are read', () => {
    const day = 'UID:2\nDTSTART;VALUE=DATE:20260401\nSUMMARY:fair'
    for (const odd of [
      'UID:1\nDTSTART:tomorrow\nSUMMARY:x',
      'UID:1\nDTSTART:20260305T180000\nRRULE:FREQ=SOMETIMES\nSUMMARY:x',
      'UID:1\nDTSTART:20260305T180000\nRRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30\nSUMMARY:x',
      'UID:1\nDTSTART:20260305T180000\nDTEND:20250305T180000\nSUMMARY:x',
    ]) {
      const found = busyDaysIn(file(odd, day), '2026-03-01', '2026-04-30', amsterdam)
      expect(found.ok && found.days.filter(({ what }) => what === 'fair')).toHaveLength(1)
    }
  })
})
