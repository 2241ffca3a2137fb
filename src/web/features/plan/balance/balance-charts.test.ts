import { balanceOf } from '#core/checks'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog } from '#library/shipped'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { chartsOf } from './balance-charts.ts'

const chartsFor = (...blocks: Parameters<typeof aSession>[0] & unknown[]) => {
  const session = aSession(blocks)
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  return chartsOf(balanceOf({ session, timeline, catalog: shippedCatalog, book: cautionBook }), timeline.totalMs)
}

test('every figure stands in words beside its bar', () => {
  const sides = chartsFor(aHold('deer', { hold: { leftS: 200, rightS: 100 } }), aClosing()).find(
    ({ title }) => title === 'Left and right',
  )
  expect(sides?.rows).toEqual([
    { name: 'left', value: 200 / 60, words: '3:20', tone: 'left' },
    { name: 'right', value: 100 / 60, words: '1:40', tone: 'right' },
  ])
})

test('what would be empty is left out', () => {
  expect(chartsFor()).toEqual([])
  expect(chartsFor(aTalk()).map(({ title }) => title)).toEqual(['What people do'])
})

test('steps along the class break where nothing is felt, and reach its end', () => {
  const felt = chartsFor(aHold('sphinx', { hold: { holdS: 120 } }), aClosing()).find(({ title }) =>
    title.startsWith('Sensation'),
  )
  expect(felt?.spans?.map(({ value }) => value)).toEqual([null, 4, null])
  const spans = felt?.spans ?? []
  spans.slice(1).forEach(({ from }, at) => {
    expect(from).toBe(spans[at]?.to)
  })
})
