import Papa from 'papaparse'
import type { LedClassLine } from '#model/journal'
import { journalCsv } from '#formats/journal-csv'

const line: LedClassLine = {
  ...{ id: 'a', sessionId: 's', name: 'Slow hour, "soft"', startedAt: '2026-03-05T17:00:00.000Z' },
  ...{
    endedAt: '2026-03-05T18:00:00.000Z',
    plannedS: 3528,
    ledS: 3600,
    people: 12,
    note: 'Chairs took long',
    breath: null,
    ledBy: null,
  },
}

test('a journal is a row a class, read back as it was', () => {
  const csv = journalCsv([line, { ...line, id: 'b', endedAt: null, ledS: 0 }])
  expect(Papa.parse<string[]>(csv).data).toEqual([
    ['class', 'started', 'ended', 'session', 'planned_s', 'led_s', 'people'],
    ['a', line.startedAt, '2026-03-05T18:00:00.000Z', 'Slow hour, "soft"', '3528', '3600', '12'],
    ['b', line.startedAt, '', 'Slow hour, "soft"', '3528', '', '12'],
  ])
  expect(csv).toContain('\r\n')
})

test('a name is never a formula, and an empty journal has its head', () => {
  expect(journalCsv([{ ...line, name: '=1+1' }])).toContain(`'=1+1`)
  expect(journalCsv([]).trim()).toBe('class,started,ended,session,planned_s,led_s,people')
})
