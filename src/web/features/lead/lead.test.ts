import { clockText } from '#words/dates'
import { leadKey } from './lead-keys.ts'
import { endOf, freeUntilOf, nextStart } from './before/promised-end.ts'

const seven = new Date(2026, 2, 12, 18, 52).getTime()

test.each([
  ['19:00', '19:00'],
  ['7.05', '07:05'],
  [' 23:59 ', '23:59'],
])('a start typed as %s is understood', (typed, shown) => {
  expect(clockText(nextStart(typed, seven) ?? NaN)).toBe(shown)
})

test.each(['', 'soon', '25:00', '19:75'])('a start typed as "%s" is none', (typed) => {
  expect(nextStart(typed, seven)).toBeUndefined()
})

test('a start just after midnight belongs to the night that is on', () => {
  const late = new Date(2026, 2, 12, 23, 50).getTime()
  expect((nextStart('00:10', late) ?? 0) - late).toBe(20 * 60_000)
})

test('the promised end is start and wanted length, or now and what was composed', () => {
  const base = { nowMs: seven, lengthS: 3600, totalMs: 3_528_000, moreMs: 60_000 }
  expect(clockText(endOf({ ...base, startsAtMs: nextStart('19:00', seven) }))).toBe('20:01')
  expect(endOf({ ...base, startsAtMs: undefined })).toBe(seven + 3_588_000)
})

test('while paused, Space goes on and the arrow is: they come out', () => {
  expect([leadKey(' ', false), leadKey(' ', true)]).toEqual(['pause', 'resume'])
  expect([leadKey('ArrowRight', false), leadKey('ArrowRight', true)]).toEqual(['end', 'theyComeOut'])
  expect(['=', 'ArrowUp', '+'].map((key) => leadKey(key, false))).toEqual(['stay', 'stay', 'stay'])
  expect(['n', 'N'].map((key) => leadKey(key, true))).toEqual(['cameLate', 'cameLate'])
  expect([leadKey('Enter', false), leadKey('Enter', false, true)]).toEqual(['match', 'settled'])
  expect(leadKey('t', false)).toBeUndefined()
})

test('a room that is free until an hour has to be left when it is that hour next', () => {
  expect(freeUntilOf(undefined, seven)).toBeUndefined()
  expect(freeUntilOf('20:30', seven)).toBe(new Date(2026, 2, 12, 20, 30).getTime())
  expect(freeUntilOf('00:30', seven)).toBe(new Date(2026, 2, 13, 0, 30).getTime())
})
