import type { Section } from '#model/section'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aRetention, breathing, someRounds } from '#testing/breath-documents'
import { aSession, aTalk } from '#testing/sessions'
import { beforeIn } from './before-breath.ts'

const told = (session: Session) => beforeIn(session, orThrow(compileTimeline(session, shippedCatalog))).join(' ')
const of = (...sections: Section[]) => told(breathing(sections))

test('what is asked before breath work is what its techniques want', () => {
  const even = of(someRounds())
  expect(even).toContain('Nothing eaten for 2 hours?')
  expect(even).toContain('Is the nose clear?')
  expect(even).toContain('Breathe as you like at any time')
  expect(even).not.toContain('blood pressure')
  expect(of({ kind: 'rounds', id: 'n', techniqueId: 'nostrils-in-turn' })).toContain('Are both nostrils clear?')
})

test('where a breath is held or stroked it is said who breathes naturally, and the food gap is longer', () => {
  const strokes: Section = {
    kind: 'strokes',
    id: 's',
    techniqueId: 'short-exhales',
    pace: { num: 1000, den: 1 },
    strokes: 10,
    rounds: 1,
  }
  for (const section of [aRetention(), strokes, someRounds({ pattern: { in: 8, full: 2, out: 8, empty: 0 } })]) {
    expect(of(section)).toContain('high or low blood pressure')
    expect(of(section)).toContain('Nothing eaten for 4 hours?')
  }
})

test('the session’s own list stands in its place, and without breath work there is none', () => {
  expect(told(breathing([someRounds()], { before: ['Who has a cold?'] }))).toBe('Who has a cold?')
  expect(told(aSession([aTalk()]))).toBe('')
})
