import Papa from 'papaparse'
import { meantAndDone } from '#core/journal'
import type { LeadEvent, LeadPlan } from '#core/lead'
import { ledClassCsv } from '#formats/led-class-csv'
import { demoClasses } from '#server/demo/led-classes'
import { ledClassSchema } from '#model/classes'

const classes = demoClasses(new Date('2026-03-12T17:00:00Z'))

test('the demo holds four led classes on Thursdays before, valid as records', () => {
  expect(classes.map(({ startedAt }) => startedAt.slice(0, 10))).toEqual([
    '2026-02-12',
    '2026-02-19',
    '2026-02-26',
    '2026-03-05',
  ])
  expect(classes.map((led) => ledClassSchema.safeParse(led).success)).toEqual([true, true, true, true])
})

test('a class reads back from CSV as it was told, quotes and commas included', () => {
  const [led] = classes
  if (!led) throw new Error('the demo has classes')
  const quoted = { ...led, document: { ...led.document, name: 'Slow, "long" hour' } }
  const done = meantAndDone(led.plan as unknown as LeadPlan, led.log as LeadEvent[], 9_000_000)
  const text = ledClassCsv(quoted, done)
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
