import { elevation } from '#core/figure'
import { propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { shippedCatalog } from '#library/shipped'
import { lengthNumber } from '#words/lengths'
import { heapNumber } from './heap-number.ts'

test('the heaps of a pile add up to what the pile is shown to be, in every shipped set-up', () => {
  let looked = 0
  for (const { poseId, figure = shippedCatalog.poses.get(poseId)?.figure, items } of setUps) {
    const drawn = figure && elevation({ figure, items, kinds: propKinds, who: { statureCm: 170 } })
    if (!drawn?.ok) continue
    for (const pile of drawn.value.piles) {
      const ofPile = drawn.value.heaps.filter(
        ({ part, twin, props }) =>
          part === pile.part &&
          twin !== 'right' &&
          props.some(({ piece }) => pile.pieces.some(({ itemId }) => itemId === piece.itemId)),
      )
      const heights = ofPile.reduce((sum, { height }) => sum + height, 0)
      // What lies aslant on others stands for itself.
      if (ofPile.length < 2 || Math.abs(heights - pile.height) > 0.05) continue
      looked += 1
      const shown = ofPile.reduce((sum, heap) => sum + Number(heapNumber(heap, drawn.value, 'cm')), 0)
      expect([poseId, shown]).toEqual([poseId, Number(lengthNumber(pile.height, 'cm'))])
    }
  }
  expect(looked).toBeGreaterThan(5)
})
