import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { substitutes } from '#library/substitutes'
import { bellowsHouse } from '#server/demo/bellows-house'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { dealOut, guestsOf, laidByPeople, laidIn, ledger, posesToDeal, stockOf, takenOf } from './index.ts'

const dealtFor = (people: number, extent: 'full' | 'few' | 'household' = 'full') => {
  const session = aSession([aTalk(), aHold('wide-knee-fold', { id: 'fold' }), aHold('deer'), aClosing()], { extent })
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const poses = posesToDeal(timeline, shippedCatalog, session)
  const who = guestsOf(people)
  const stock = stockOf(bellowsHouse.cupboard)
  const dealt = orThrow(dealOut({ people: who.map((id) => ({ id, poses })), stock, substitutes }))
  return { timeline, poses, who, stock, dealt }
}

test('set-ups of a lesser extent than the session’s are offered, its own and greater ones are not', () => {
  expect(dealtFor(1).poses.map(({ blockId }) => blockId)).toEqual(['fold', 'deer', 'closing'])
  const offered = (extent: 'full' | 'few' | 'household') => {
    const { few, household } = dealtFor(1, extent).poses[0]?.setUps ?? {}
    return [few !== undefined, household !== undefined]
  }
  expect(offered('full')).toEqual([true, true])
  expect(offered('few')).toEqual([false, true])
  expect(offered('household')).toEqual([false, false])
})

test('once it is taken, nothing is in use that is not there', () => {
  const { timeline, who, stock, dealt } = dealtFor(14)
  expect(dealt.short.map(({ kind }) => kind)).toContain('rectBolster')
  for (const given of [dealt.given, dealt.forAll?.given ?? []]) {
    const groups = laidByPeople(laidIn(timeline), who, takenOf(given, who.length))
    const rows = ledger({ people: groups.map(({ who: theirs, laid }) => ({ count: theirs.length, laid })) })
    for (const { kind, atOnce } of rows) expect([kind, atOnce <= (stock[kind] ?? 0)]).toEqual([kind, true])
  }
})

test('what all have is kept for all, what some have with who they are', () => {
  const { dealt } = dealtFor(14)
  const spread = takenOf(dealt.given, 14)
  expect(spread.length).toBeGreaterThan(0)
  expect(spread.every(({ who, blockId }) => blockId !== '' && (who === undefined || who.length < 14))).toBe(true)
  expect(takenOf(dealt.forAll?.given ?? [], 14).every(({ who }) => who === undefined)).toBe(true)
})

test('two sizes of a kind are counted together', () => {
  const cupboard = [
    { id: 'a', kind: 'blanket', count: 4 },
    { id: 'b', kind: 'blanket', count: 3, sizeMm: { length: 1800 } },
  ] as const
  expect(stockOf([...cupboard])).toEqual({ blanket: 7 })
})
