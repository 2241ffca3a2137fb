import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { clockText } from '#words/dates'
import type { Block } from '#model/block'
import { aClosing, aHold, aSession } from '#testing/sessions'
import { fetchList } from './fetch-list.ts'
import { leadKey } from './lead-keys.ts'
import { endOf, nextStart } from './promised-end.ts'

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
  expect(leadKey('t', false)).toBeUndefined()
})

test('each person fetches of every kind the most that one hold or the final rest takes, as they are set up', () => {
  const fetched = (...blocks: Block[]) => fetchList(orThrow(compileTimeline(aSession(blocks), shippedCatalog)))
  const few = { setUpId: 'wide-knee-fold-few' }
  expect(fetched(aHold('wide-knee-fold', few), aHold('figure-four-at-the-wall'))).toEqual(['1 bolster', '1 blanket'])
  const own = [{ id: 'a', kind: 'book' as const, count: 3, under: 'head' as const }]
  expect(fetched(aHold('wide-knee-fold', few), aHold('deer', { setUpItems: own }))).toEqual([
    '1 bolster',
    '1 blanket',
    '3 books',
  ])
  expect(fetched(aClosing())).toEqual(['1 bolster', '2 blankets', '1 eye pillow'])
})
