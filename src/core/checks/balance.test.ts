import fc from 'fast-check'
import type { Session } from '#model/session'
import { balanceOf } from '#core/checks'
import { orThrow } from '#core/result'
import { compileTimeline, tallyTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'

const timelineOf = (session: Session) => orThrow(compileTimeline(session, shippedCatalog))
const balance = (session: Session) =>
  balanceOf({
    session,
    timeline: timelineOf(session),
    catalog: shippedCatalog,
    book: cautionBook,
  })

test('a hold counts for each of its areas and directions, on both sides', () => {
  const { byTarget, byDirection, leftMs, rightMs } = balance(
    aSession([aHold('deer', { hold: { leftS: 200, rightS: 100 } }), aHold('sphinx', { hold: { holdS: 60 } })]),
  )
  expect(byTarget).toEqual([
    ['innerThigh', 300_000],
    ['outerHip', 300_000],
    ['belly', 60_000],
    ['lowBack', 60_000],
  ])
  expect(byDirection).toContainEqual(['backbend', 60_000])
  expect([leftMs, rightMs]).toEqual([200_000, 100_000])
})

test('what people do adds up to the whole class, and the sides to those of the tally', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const { doings, leftMs, rightMs } = balance(session)
      const timeline = timelineOf(session)
      const tally = tallyTimeline(timeline)
      expect(doings.stillMs + doings.breathMs + doings.talkMs + doings.movingMs).toBe(timeline.totalMs)
      expect([leftMs, rightMs]).toEqual([tally.leftMs, tally.rightMs])
    }),
  )
})

test('base positions run along the class without gaps; a talk is heard where people are', () => {
  const { positions } = balance(
    aSession([aTalk(), aHold('sphinx'), aTalk('more'), aHold('belly-rest'), aHold('deer'), aClosing()]),
  )
  expect(positions.map(({ position }) => position)).toEqual(['prone', 'seated', 'supine'])
  positions.slice(1).forEach(({ startMs }, at) => {
    expect(startMs).toBe(positions[at]?.endMs)
  })
})

test('head below heart and quiet are read off the holds', () => {
  const { headBelowMs, quiet, felt } = balance(
    aSession([aHold('long-dog-head-carried', { hold: { holdS: 90 }, cues: [] })]),
  )
  expect(headBelowMs).toBe(90_000)
  expect(quiet).toHaveLength(1)
  expect(quiet[0]?.quiet).toBeLessThan(1)
  expect(felt[0]).toMatchObject({ from: 2, to: 5 })
})
