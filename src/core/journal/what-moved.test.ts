import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aHold, aSession } from '#testing/sessions'
import { whatMoved } from './index.ts'

const session = aSession([aHold('deer'), aHold('sphinx')])
const usualOf = (poseId: string) => shippedCatalog.poses.get(poseId)?.times.setUpS.regular ?? 0
const learned = new Map([
  ['setUp:deer regular', usualOf('deer') + 40],
  ['setUp:sphinx regular', usualOf('sphinx') - 5],
  ['setUp:deer new', 200],
  ['setUp:frog regular', 200],
])
const catalog = { ...shippedCatalog, learned }

test('what moved adds up to what the plan is longer by, what moves most first; other levels and poses move nothing', () => {
  const moved = whatMoved(session, catalog, new Map())
  const [now, then] = [catalog, shippedCatalog].map((of) => orThrow(compileTimeline(session, of)).totalMs)
  expect(moved?.byMs).toBe((now ?? 0) - (then ?? 0))
  expect(moved?.parts.map(({ key }) => key)).toEqual(['setUp:deer', 'setUp:sphinx'])
  // The second set-up takes half of the first.
  expect(moved?.parts[0]?.byMs).toBe(60_000)
  expect(moved?.parts.reduce((sum, { byMs }) => sum + byMs, 0)).toBe(moved?.byMs)
})

test('with the same times, or where what changed is not in the plan, nothing moved', () => {
  expect(whatMoved(session, catalog, learned)).toBeUndefined()
  expect(whatMoved(aSession([aHold('knees-to-chest')]), catalog, new Map())).toBeUndefined()
})

test('a time that is forgotten again makes a plan shorter', () => {
  const moved = whatMoved(session, { ...shippedCatalog, learned: new Map() }, learned)
  expect(moved?.byMs).toBe(-55_000)
})
