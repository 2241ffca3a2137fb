import type { Session } from '#model/session'
import { betterOrder, fewerBlocks, stretchToLength } from '#core/fit'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aClosing, aHold, aSession } from '#testing/sessions'
import { costWords, inTheWayWords, orderWords } from './fits.ts'

const hour = aSession([
  aHold('deer', { hold: { holdS: 240 } }),
  aHold('sphinx', { hold: { holdS: 180 } }),
  aClosing({ finalRestS: 360 }),
])
const totalS = (session: Session) => Math.ceil(orThrow(compileTimeline(session, shippedCatalog)).totalMs / 1000)
const shorterBy = (seconds: number): Session => ({ ...hour, lengthS: totalS(hour) - seconds })
const stretched = (session: Session) => orThrow(stretchToLength(session, shippedCatalog))

test('the cost of shorter holds says by how much, the shortest, and what the final rest gets', () => {
  const session = shorterBy(50)
  expect(costWords(session, stretched(session), shippedCatalog)).toEqual([
    'holds 11 % shorter, shortest 2:45',
    'final rest 6:00 to 6:25',
    'fits to the second',
  ])
})

test('the cost of fewer poses names what is dropped, and that the rest is as written', () => {
  const session = shorterBy(200)
  const words = costWords(session, orThrow(fewerBlocks(session, shippedCatalog)), shippedCatalog)
  expect(words[0]).toBe('drops Sphinx')
  expect(words[1]).toBe('the hold as written')
  expect(words.at(-1)).toMatch(/to spare$/)
})

test('breath over a hold that gets fewer rounds is said', () => {
  const breathOver = {
    techniqueId: 'long-exhale',
    pattern: { in: 8, full: 0, out: 12, empty: 0 },
    pace: { num: 1000, den: 1 },
    rounds: 18,
  }
  const session = aSession([aHold('sphinx', { hold: { holdS: 180 }, breathOver }), aClosing({ finalRestS: 300 })], {
    lengthS: 600,
  })
  expect(costWords(session, stretched(session), shippedCatalog)).toContain(
    '6 rounds of long exhale over Sphinx instead of 18',
  )
})

test('what stands in the way is named with the least it can be', () => {
  const session = { ...hour, lengthS: 300 }
  const fit = stretched(session)
  expect(inTheWayWords(session, fit, shippedCatalog)).toEqual(['Deer 2:00 a side', 'Sphinx 1:00', 'Final rest 3:00'])
  expect(costWords(session, fit, shippedCatalog).at(-1)).toMatch(/^still \d+:\d\d too long$/)
})

test('an order says what it saves, and how sure it is', () => {
  const back = aSession(
    ['cross-legged-seat', 'crescent-lying', 'one-leg-fold', 'figure-four-lying'].map((id) => aHold(id)),
  )
  const found = orThrow(betterOrder(back, shippedCatalog))
  expect(orderWords(found)).toEqual([
    'Changes take 1:29 instead of 2:36: saves 1:07.',
    'The base position changes once instead of 3 times.',
  ])
  expect(orderWords({ ...found, isBest: false, boundS: 10 }).at(-1)).toBe(
    'With so many blocks this may not be the best; none can come below 0:10.',
  )
  expect(orderWords({ ...found, edits: [], then: found.now })).toEqual([
    'No order under these rules moves less: changes take 2:36.',
  ])
})
