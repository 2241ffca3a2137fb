import { assess } from '#core/comfort'
import { orThrow } from '#core/result'
import { resolveSession } from '#core/session'
import { namedFolds } from '#library/prop-kinds'
import { shippedCatalog } from '#library/shipped'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { fittedTo, forHeights } from './index.ts'
import type { ForHeightsInput } from './index.ts'

const kinds = shippedCatalog.propKinds
const usual = { statureCm: 170 }
const blocks = orThrow(resolveSession(aSession([aTalk(), aHold('calves-on-a-chair'), aClosing()]), shippedCatalog))
const fitted = (heightsCm: readonly number[], more: Partial<ForHeightsInput> = {}) =>
  forHeights({
    ...{ blocks, elsewhere: [], catalog: shippedCatalog, kinds, usual, folds: Object.values(namedFolds) },
    bodies: heightsCm.map((statureCm) => ({ id: String(statureCm), who: { statureCm } })),
    ...more,
  })
const chair = 'calves-on-a-chair'
const onChair = (...given: Parameters<typeof fitted>) => fitted(...given).filter(({ blockId }) => blockId === chair)

test('those whom a set-up fits alike stand together, as it is planned first; nobody is left out or told twice', () => {
  const groups = onChair([155, 170, 180, 159, 191, 167])
  expect(groups[0]).toMatchObject({ who: ['170', '180', '191'], leastCm: 170, mostCm: 191, mends: [], left: [] })
  expect(groups.length).toBeGreaterThan(1)
  expect(groups.flatMap(({ who }) => who).sort()).toEqual(['155', '159', '167', '170', '180', '191'])
  for (const { mends } of groups.slice(1)) expect(mends.length).toBeGreaterThan(0)
})

test('what is changed for a height leaves nothing that its body alone brings', () => {
  const [planned] = onChair([170])
  const figure = shippedCatalog.poses.get(chair)?.figure
  if (!planned || !figure) throw new Error('nothing lies there')
  const countedAt = (statureCm: number, items: typeof planned.items) =>
    assess({ figure, items, kinds, who: { statureCm } })
      .findings.filter(({ grade }) => grade !== 'tip')
      .map(({ code }) => code)
  const known = countedAt(170, planned.items)
  for (const { mends, items, left, leastCm } of onChair([150, 155, 160, 165])) {
    expect(mends.at(-1)?.items).toEqual(items)
    expect(left).toEqual([])
    expect(countedAt(leastCm, planned.items).filter((code) => !known.includes(code))).not.toEqual([])
    expect(countedAt(leastCm, items).filter((code) => !known.includes(code))).toEqual([])
  }
})

test('what no change mends is told for those it is found for', () => {
  const inclined = orThrow(resolveSession(aSession([aHold('inclined-rest')]), shippedCatalog))
  const groups = fitted([170, 190], { blocks: inclined })
  expect(groups.map(({ who, left }) => [who, left.map(({ code }) => code)])).toEqual([
    [['170'], []],
    [['190'], ['HEAD_OFF_END']],
  ])
})

test('who lies on something else in a block is not fitted there', () => {
  const elsewhere = [{ blockId: chair, who: ['155'] }]
  expect(onChair([155, 170], { elsewhere }).flatMap(({ who }) => who)).toEqual(['170'])
  expect(fitted([])).toEqual([])
})

test('one set-up lies for several bodies as it would for each in a class, in the order they were asked', () => {
  const [planned] = onChair([170])
  const figure = shippedCatalog.poses.get(chair)?.figure
  if (!planned || !figure) throw new Error('nothing lies there')
  const setUp = { figure, items: planned.items, kinds, who: usual, folds: Object.values(namedFolds) }
  const heightsCm = [150, 170, 190]
  const three = fittedTo(
    setUp,
    heightsCm.map((statureCm) => ({ statureCm })),
  )
  expect(three.map(({ items }) => items)).toEqual(heightsCm.map((cm) => onChair([cm])[0]?.items))
  expect(three.map(({ mends }) => mends.length > 0)).toEqual([true, false, false])
})
