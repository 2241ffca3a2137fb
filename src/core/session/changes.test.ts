import fc from 'fast-check'
import type { RestBlock } from '#model/block'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { changesBetween, resolveSession } from './index.ts'
import type { Catalog } from './index.ts'

const aRest = (details: Partial<RestBlock> = {}): RestBlock => ({ kind: 'rest', id: 'rest', s: 60, ...details })
const changesOf = (session: Session, catalog: Catalog = shippedCatalog) =>
  changesBetween(orThrow(resolveSession(session, catalog)), catalog.changes)

test('a change is told by the block before, whichever stands before it in the plan', () => {
  const changes = changesOf(aSession([aHold('sphinx'), aHold('deer'), aHold('deer', { id: 'other' })]))
  expect(changes.into(1, 0)).toMatchObject({ from: 'prone', to: 'seated' })
  expect(changes.into(0, 1)).toMatchObject({ from: 'seated', to: 'prone' })
  expect(changes.into(1, 1)?.changeS.value).toBe(changes.into(1, 2)?.changeS.value)
})

test('a rest that names no position is done wherever people are, and leaves them there', () => {
  const changes = changesOf(aSession([aHold('sphinx'), aRest(), aHold('deer')]))
  expect(changes.into(1, 0)).toMatchObject({ from: 'prone', to: 'prone', changeS: { value: 0 } })
  expect(changes.placeAfter(1, 0)).toBe(0)
  // At the start it is a place of its own, on the back.
  expect(changes.placeAfter(1, undefined)).toBe(1)
  expect(changes.into(0, 1)).toMatchObject({ from: 'supine', to: 'prone' })
})

test('what the teacher set stands, wherever people come from; fetching stands where it is longer than moving', () => {
  const set = changesOf(aSession([aHold('sphinx'), aHold('deer', { times: { changeS: 7 } })]))
  expect(set.into(1, 0)?.changeS).toEqual({ value: 7, from: 'block' })
  expect(set.into(1, undefined)?.changeS).toEqual({ value: 7, from: 'block' })
  const fetching = [...shippedCatalog.poses.values()].find(({ times }) => (times.changeS ?? 0) > 0)
  if (!fetching) throw new Error('no pose that fetches')
  const fetched = changesOf(aSession([aHold(fetching.id), aHold(fetching.id, { id: 'again' })]))
  expect(fetched.into(1, undefined)?.changeS).toEqual({ value: fetching.times.changeS, from: 'shipped' })
})

test('who sits on a chair stays there for a movement that is done there too, and for the next pose on it', () => {
  const rolls = { kind: 'movement', id: 'rolls', movementId: 'shoulder-rolls' } as const
  const changes = changesOf(aSession([aHold('chair-seat'), rolls, aHold('chair-twist'), aHold('sphinx')]))
  expect(changes.into(1, 0)).toMatchObject({ from: 'onChair', to: 'onChair' })
  expect(changes.placeAfter(1, 0)).toBe(0)
  const twist = changes.into(2, changes.placeAfter(1, 0))
  expect(twist).toMatchObject({ from: 'onChair', to: 'onChair', changeS: { from: 'position' } })
  // From anywhere else one sits down on the floor for it, and fetches the chair for the pose.
  expect(changes.into(1, 3)).toMatchObject({ from: 'prone', to: 'seated' })
  expect(changes.placeAfter(1, 3)).toBe(1)
  expect(changes.into(2, 3)?.changeS.value).toBeGreaterThanOrEqual(30)
})

test('after blocks that are alike every change is the same', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const changes = changesOf(session)
      for (const [at] of session.blocks.entries()) {
        const first = changes.alike(at)
        expect(first).toBeLessThanOrEqual(at)
        for (const [into] of session.blocks.entries())
          expect(changes.into(into, first)?.changeS.value).toBe(changes.into(into, at)?.changeS.value)
      }
    }),
    { numRuns: 60 },
  )
})

test('the timeline lays out the changes of the order as it stands', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const changes = changesOf(session)
      let before: number | undefined
      for (const [at, span] of orThrow(compileTimeline(session, shippedCatalog)).blocks.entries()) {
        expect(span.change).toEqual(changes.into(at, before))
        before = changes.placeAfter(at, before)
      }
    }),
    { numRuns: 60 },
  )
})

test('a talk has no change', () => {
  const changes = changesOf(aSession([aTalk(), aHold('deer')]))
  expect(changes.into(0, undefined)).toBeUndefined()
  expect(changes.placeAfter(0, undefined)).toBeUndefined()
})
