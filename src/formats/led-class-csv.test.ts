import Papa from 'papaparse'
import { keptEventSchema, ledEndSchema, ledStartSchema } from '#model/led-class'
import type { LedClass } from '#model/led-class'
import { breathOf, meantAndDone, visitsOf } from '#core/journal'
import { fold } from '#core/lead'
import { ledClassCsv } from '#formats/led-class-csv'
import { demoClasses } from '#server/demo/led-classes'

const classes = demoClasses(new Date('2026-03-12T17:00:00Z'))

test('the demo holds four led classes on Thursdays before and one of breath on a Tuesday and one on a Sunday, valid as records', () => {
  expect(classes.map(({ start }) => start.startedAt.slice(0, 10))).toEqual([
    '2026-02-12',
    '2026-02-19',
    '2026-02-26',
    '2026-03-05',
    '2026-03-03',
    '2026-03-01',
  ])
  for (const { start, events, end } of classes) {
    expect(ledStartSchema.parse(start)).toEqual(start)
    expect(events.map((event) => keptEventSchema.parse(event))).toEqual(events)
    expect(ledEndSchema.parse(end)).toEqual(end)
    const log = events.map(({ event }) => event)
    expect(fold(start.plan, log, end.visits.at(-1)?.endMs ?? 0).visits).toEqual(end.visits)
  }
})

/** The first class of the demo as it is read back, called by a name. */
function firstClass(name: string): LedClass {
  const [led] = classes
  if (!led) throw new Error('the demo has classes')
  const { start, events, end } = led
  const { visits, left, endedAt } = end
  return {
    ...start,
    document: { ...start.document, name },
    ...{ events, visits, left, endedAt, note: null, breath: null, ledBy: null, version: 2, conductedMs: 0, format: 2 },
    ...{ asides: [], marks: [] },
  }
}

test('a class reads back from CSV as it was told, quotes and commas included', () => {
  const led = firstClass('Slow, "long" hour')
  const done = meantAndDone(led.plan, visitsOf(led))
  const text = ledClassCsv(led, done)
  expect(text).toContain('\r\n')
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true })
  expect(errors).toEqual([])
  expect(data).toHaveLength(done.holds.length + done.others.length)
  const deer = data.filter(({ what }) => what === 'Deer')
  expect(deer.map(({ session, side, planned_s, took_s }) => [session, side, planned_s, took_s])).toEqual([
    ['Slow, "long" hour', 'left', '210', '240'],
    ['Slow, "long" hour', 'right', '210', '240'],
  ])
})

test('rounds of counted breath have rows of their own', () => {
  const [led] = classes.slice(4).map(({ start, events, end }): LedClass => ({
    ...start,
    ...{ events, visits: end.visits, left: false, endedAt: end.endedAt, note: null, breath: null, ledBy: null },
    ...{ version: 2, conductedMs: 0, format: 2, asides: [], marks: [] },
  }))
  if (!led) throw new Error('the demo has a class of breath')
  const text = ledClassCsv(led, meantAndDone(led.plan, visitsOf(led)), breathOf(led))
  const { data } = Papa.parse<Record<string, string>>(text, { header: true })
  const rows = data.filter(({ kind }) => kind === 'rounds')
  expect(rows).toEqual([expect.objectContaining({ what: 'Even breath', left_free: '', longest_held_s: '0' })])
  expect(Number(rows[0]?.['rounds'])).toBeGreaterThan(50)
  expect(rows[0]?.['planned_rounds']).toBe(rows[0]?.['rounds'])
})

test('a name that begins like a formula is no formula in a spreadsheet', () => {
  const led = firstClass('=HYPERLINK("http://elsewhere.example","press")')
  const text = ledClassCsv(led, meantAndDone(led.plan, visitsOf(led)))
  const { data } = Papa.parse<Record<string, string>>(text, { header: true })
  expect(data[0]?.['session']).toMatch(/^'=HYPERLINK/)
})
