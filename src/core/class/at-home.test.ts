import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { substitutes } from '#library/substitutes'
import { aClosing, aHold, aSession } from '#testing/sessions'
import { dealAtHome, lacksAtHome, laidByPeople, laidIn, posesToDeal, takenOf, thingsOf } from './index.ts'

const session = aSession([aHold('wide-knee-fold', { id: 'fold' }), aClosing()], { setting: 'online', extent: 'full' })
const timeline = orThrow(compileTimeline(session, shippedCatalog))
const laid = laidIn(timeline)
const atHome = [
  { id: 'rich', stock: { rectBolster: 2, blanket: 9, towel: 2, eyePillow: 1 } },
  { id: 'poor', stock: { blanket: 2 } },
]

test('what is noted of people is what they have; of whom nothing is noted nothing is known', () => {
  const people = [{ id: 'a', things: [{ kind: 'blanket' as const, count: 3 }] }, { id: 'b' }]
  expect(thingsOf(['a', 'b', 'guest-1'], people)).toEqual([{ id: 'a', stock: { blanket: 3 } }])
})

test('each lacks what lies at their own mat at once and is not among their things', () => {
  const groups = laidByPeople(laid, ['rich', 'poor', 'nobody'], [])
  const [poor, ...others] = lacksAtHome(groups, atHome)
  expect([poor?.id, others]).toEqual(['poor', []])
  expect(poor?.lacks).toContainEqual({ kind: 'rectBolster', wanted: 1, here: 0 })
  for (const { wanted, here } of poor?.lacks ?? []) expect(wanted).toBeGreaterThan(here)
  // Who has the block otherwise lacks nothing of its set-up.
  const otherwise = laidByPeople(
    laid,
    ['poor'],
    [
      { blockId: 'fold', who: ['poor'], items: [] },
      { blockId: 'closing', who: ['poor'], items: [] },
    ],
  )
  expect(lacksAtHome(otherwise, atHome)).toEqual([])
})

test('dealt out of their own things, nobody lacks anything any more, and who had all keeps all', () => {
  const poses = posesToDeal(timeline, shippedCatalog, session)
  const dealt = orThrow(
    dealAtHome(
      atHome.map((one) => ({ ...one, poses })),
      substitutes,
    ),
  )
  expect(dealt.people).toBe(1)
  const taken = takenOf(dealt.given, 3)
  expect(taken.length).toBeGreaterThan(0)
  expect(taken.every(({ who }) => who?.join() === 'poor')).toBe(true)
  expect(lacksAtHome(laidByPeople(laid, ['rich', 'poor', 'nobody'], taken), atHome)).toEqual([])
})
