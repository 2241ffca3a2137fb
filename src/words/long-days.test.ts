import type { LongDayFinding, PartInDay } from '#core/long-day'
import { dayWords, hourWords, longDayFindingWords, longWords, stretchedWords } from './long-days.ts'

const hour = 3600

test('hours are told to the nearest minute, past midnight from nought again', () => {
  expect(hourWords(9.5 * hour)).toBe('09:30')
  expect(hourWords(11 * hour + 58 * 60 + 48)).toBe('11:59')
  expect(hourWords(24 * hour + 900)).toBe('00:15')
})

test('a length of a day is in hours and minutes, without those that are none', () => {
  expect([0, 1500, hour, 3 * hour + 600].map(longWords)).toEqual(['0 min', '25 min', '1 h', '3 h 10 min'])
})

test('a day is told from its first part to its last, with how many of what', () => {
  const at = (startS: number, kind: 'session' | 'break'): PartInDay => ({
    part: kind === 'break' ? { kind, id: 'b', name: 'Tea', s: 600 } : { kind, id: 's', sessionId: 's' },
    ...{ startS, endS: startS + hour, freeS: 0, lateS: 0 },
  })
  expect(dayWords([at(10 * hour, 'session'), at(11 * hour, 'break'), at(12 * hour, 'session')])).toBe(
    '10:00 to 13:00, 2 sessions, 1 break',
  )
  expect(dayWords([at(10 * hour, 'session')])).toBe('10:00 to 11:00, 1 session')
  expect(dayWords([])).toBe('nothing in it yet')
})

test('what is found says the figure and what to do', () => {
  const words = (finding: Omit<LongDayFinding, 'grade'>) =>
    longDayFindingWords({ grade: 'look', ...finding } as LongDayFinding, () => 'Even breath')
  expect(words({ code: 'BEGINS_LATE', facts: { lateS: 600 } })).toBe(
    'Begins 10 min later than it is to: what comes before it lasts longer.',
  )
  expect(words({ code: 'SOON_AFTER_MEAL', facts: { techniqueId: 'e', afterS: 1800, gapS: 2 * hour } })).toBe(
    'Even breath comes 30 min after what is eaten; it is usual to wait 2 h.',
  )
  const regions = [{ target: 'outerHip', side: 'left', ms: 960_000, sessions: 2 }] as const
  expect(words({ code: 'STRETCHED_AGAIN', facts: { regions } })).toContain('16 min on the left')
  expect(words({ code: 'ROOM_NOT_FREE', facts: { untilS: 13 * hour, endS: 13.5 * hour } })).toBe(
    'The room is free until 13:00; the day ends 13:30.',
  )
})

test('of regions those are told that are stretched in more than one session', () => {
  const stretched = [
    { target: 'outerHip', side: 'both', ms: 960_000, sessions: 2 },
    { target: 'neck', side: 'both', ms: 960_000, sessions: 1 },
  ] as const
  const sums = { fromS: 0, toS: 0, sessionsS: 0, breaksS: 0, freeS: 0, breathMs: 0, lyingMs: 0, stretched }
  expect(stretchedWords(sums)).toMatch(/^outer hips? 16 min in 2 sessions$/i)
})
