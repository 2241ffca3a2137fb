import { elevation } from '#core/figure'
import type { SetUpItem } from '#model/set-up'
import { propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { figureOf } from '#testing/set-ups'
import { bodyOf } from './body/body.ts'
import { looseLayers } from './loose-shapes.ts'
import { numberRadii, numbersOf } from './numbers.ts'
import type { Plot } from './picture.ts'

/** A px is a cm, up is up. */
const plot: Plot = { scale: 1, at: ({ x, y }) => ({ x, y }) }

const laid = (id: string, more: readonly SetUpItem[] = []) => {
  const setUp = setUps.find((one) => one.id === id)
  if (!setUp) throw new Error(id)
  const one = elevation({
    ...{ figure: figureOf(setUp), items: [...setUp.items, ...more], kinds: propKinds },
    who: { statureCm: 170 },
  })
  if (!one.ok) throw new Error(one.code)
  return one.value
}
const layersOf = (one: ReturnType<typeof laid>) =>
  looseLayers({ elevation: one, body: bodyOf(one), view: 'side', plot })
const linesOf = (one: ReturnType<typeof laid>, is: string) =>
  layersOf(one)
    .filter(({ shapes }) => shapes.some((shape) => shape.is === is))
    .flatMap(({ lines }) => lines)

test('a strap is straight from each hand to the foot that is raised', () => {
  const one = laid('leg-up-with-a-strap-full')
  const { left, right } = one.skeleton
  expect(linesOf(one, 'strap')).toEqual(
    [right, left].map(({ wrist }) => [
      { x: wrist.x, y: wrist.y },
      { x: right.toe.x, y: right.toe.y },
    ]),
  )
})

test('a blanket that is laid over lies on the upper side of the body, and a sandbag thicker and shorter', () => {
  const bag = { id: 'bag', kind: 'sandbag', count: 1, under: 'belly', lies: 'over' } as const satisfies SetUpItem
  const one = laid('final-rest-lying-few', [bag])
  const drawn = layersOf(one).flatMap(({ shapes, lines }) =>
    shapes.map(({ kind }) => ({
      kind,
      xs: lines.flat().map(({ x }) => x),
      ys: lines.flat().map(({ y }) => y),
    })),
  )
  const [cloth, weight] = (['blanket', 'sandbag'] as const).map((wanted) => drawn.find(({ kind }) => kind === wanted))
  if (!cloth || !weight) throw new Error('not laid over')
  for (const { ys } of [cloth, weight]) expect(Math.min(...ys)).toBeGreaterThan(one.skeleton.hip.y)
  const long = ({ xs }: { readonly xs: readonly number[] }): number => Math.max(...xs) - Math.min(...xs)
  expect(long(weight)).toBeLessThan(long(cloth))
  expect(Math.max(...weight.ys)).toBeGreaterThan(Math.max(...cloth.ys))
})

test('a pillow lies on the eyes, and a chair stands under the hands that hold it', () => {
  const rest = laid('final-rest-lying-full')
  const [eyes] = layersOf(rest).filter(({ shapes }) => shapes.some(({ kind }) => kind === 'eyePillow'))
  const { skeleton, frame } = rest
  expect(Math.min(...(eyes?.lines.flat().map(({ y }) => y) ?? []))).toBeGreaterThan(skeleton.crown.y)
  const fold = laid('hanging-fold-on-a-chair-full')
  const tops = linesOf(fold, 'frame').flatMap((line) => line.map(({ y }) => y))
  expect(Math.max(...tops)).toBeCloseTo(fold.skeleton.right.wrist.y - frame.wristR, 6)
})

test('each thing that is laid has its number, counted as it is listed, and no number covers another', () => {
  for (const setUp of setUps) {
    const one = laid(setUp.id)
    const order = setUp.items.map(({ id }) => id)
    const numbers = numbersOf(one, order, 'side', plot)
    const there = new Set(one.props.map(({ piece }) => piece.itemId))
    expect(numbers.map(({ text }) => text)).toEqual(order.flatMap((id, at) => (there.has(id) ? [String(at + 1)] : [])))
    for (const [at, a] of numbers.entries())
      for (const b of numbers.slice(at + 1))
        expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(2 * numberRadii.beside)
  }
})
