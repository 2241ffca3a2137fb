import type { Block } from '#model/block'
import type { SetUpItem } from '#model/set-up'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aHold, aSession, aTalk } from '#testing/sessions'
import { betweenSetUps } from './between.ts'
import { usedIn } from './used.ts'

const bolster: SetUpItem = { id: 'b', kind: 'rectBolster', count: 1, under: 'knees' }
const blanket: SetUpItem = { id: 'l', kind: 'blanket', count: 1, under: 'head' }
const between = (...blocks: Block[]) => {
  const session = aSession(blocks)
  const used = usedIn(session, shippedCatalog)
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  return betweenSetUps(used, timeline, 'regular')
}
const lying = (id: string, items: SetUpItem[]) => aHold('knees-to-chest', { id, setUpItems: items })

test('all of the first set-up is brought; what both have stays, and what a talk stands between stays too', () => {
  const rows = between(lying('one', [bolster]), aTalk('words'), lying('two', [bolster, blanket]))
  expect(rows.map(({ from, to, s, brought, aside, moved }) => ({ from, to, s, brought, aside, moved }))).toEqual([
    { from: undefined, to: 'Knees to chest', s: 4, brought: 1, aside: 0, moved: 0 },
    { from: 'Knees to chest', to: 'Knees to chest', s: 4, brought: 1, aside: 0, moved: 0 },
  ])
})

test('where people change their base position on the way all of it is off, though both lie alike', () => {
  const [, straight] = between(lying('one', [bolster]), lying('two', [bolster]))
  expect(straight).toMatchObject({ s: 0, moved: 0 })
  const [, seated] = between(lying('one', [bolster]), aBreath('even-breath'), lying('two', [bolster]))
  expect(seated).toMatchObject({ s: 5, moved: 1, lifts: 0 })
})
