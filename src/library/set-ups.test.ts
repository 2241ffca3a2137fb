import { setUpSchema } from '#model/set-up'
import { heightsOf } from '#core/figure'
import { poses } from './poses.ts'
import { namedFolds, propKinds } from './prop-kinds.ts'
import { setUps } from './set-ups.ts'
import { fold } from '#core/props'

const poseOf = (id: string) => poses.find((pose) => pose.id === id)

test('every set-up is a valid document of a pose on the shelf, with ids of its own', () => {
  for (const setUp of setUps) {
    expect(setUpSchema.safeParse(setUp)).toMatchObject({ success: true })
    expect(poseOf(setUp.poseId)).toBeDefined()
    expect(new Set(setUp.items.map(({ id }) => id)).size).toBe(setUp.items.length)
  }
  expect(new Set(setUps.map(({ id }) => id)).size).toBe(setUps.length)
})

test('every pose that uses props has a full set-up, one with few props, and one with what a house has', () => {
  const extents = (poseId: string) => setUps.filter((setUp) => setUp.poseId === poseId).map(({ extent }) => extent)
  const lacking = poses
    .filter(
      ({ id, props }) =>
        props.length > 0 && JSON.stringify(extents(id)) !== JSON.stringify(['full', 'few', 'household']),
    )
    .map(({ id }) => id)
  expect(lacking).toEqual([])
})

test('at least twenty restorative poses have a complete set-up: the head, what carries the shape, and what lies over it', () => {
  const complete = setUps.filter(
    ({ poseId, extent, items }) =>
      extent === 'full' && items.length > 1 && poseOf(poseId)?.practices.includes('restorative'),
  )
  expect(complete.length).toBeGreaterThanOrEqual(20)
})

test('a house has no studio’s bolsters, blocks or cushioned kit in its set-ups but what lies about', () => {
  const studio = new Set(['rectBolster', 'roundBolster', 'corkBlock', 'foamBlock', 'halfMoonCushion', 'sandbag'])
  expect(
    setUps
      .filter(({ extent, items }) => extent === 'household' && items.some(({ kind }) => studio.has(kind)))
      .map(({ id }) => id),
  ).toEqual([])
})

test.each([150, 170, 190])('every set-up comes to its heights at %i cm', (statureCm) => {
  for (const setUp of setUps) {
    const figure = setUp.figure ?? poseOf(setUp.poseId)?.figure
    if (!figure) throw new Error(`no figure for ${setUp.id}`)
    expect(heightsOf({ figure, items: setUp.items, kinds: propKinds, who: { statureCm } })).toMatchObject({ ok: true })
  }
})

test('the folds teachers name come to the figures of the formula book for a cotton blanket', () => {
  const folded = (ops: (typeof namedFolds)[keyof typeof namedFolds]) => fold({ L: 200, W: 150, t: 0.5, ops: [...ops] })
  expect(folded(namedFolds.standard)).toMatchObject({ ok: true, value: { L: 50, W: 75, layers: 8, height: 4 } })
  expect(folded(namedFolds.spinePad)).toMatchObject({ ok: true, value: { L: 100, W: 25, layers: 12, height: 6 } })
  expect(folded(namedFolds.roll)).toMatchObject({ ok: true, value: { roll: true, length: 75 } })
  for (const ops of Object.values(namedFolds)) expect(folded(ops).ok).toBe(true)
})
