import { picturedPose, picturedSetUp, setUpsFor } from '#core/session'
import { sides } from '#model/common'
import { propKinds } from '#library/prop-kinds'
import { shippedCatalog } from '#library/shipped'
import { drawThumbnail } from './draw-thumbnail.ts'
import { positionFigures } from './position-figures.ts'
import { drawShelf } from './shelf-pictures.ts'
import { thumbnailKey } from './thumbnail-key.ts'

const pathsOf = (pictured: Parameters<typeof drawThumbnail>[0] | undefined): string =>
  (pictured &&
    drawThumbnail(pictured, propKinds)
      ?.shapes.map(({ path }) => path)
      .join()) ??
  ''
const all = [...shippedCatalog.poses.values()]

test('every pose, each of its forms and each of its set-ups has a small picture without a word in it', () => {
  const wrong = all.flatMap((pose) => {
    const forms = pose.variants.map(({ id }) => picturedPose(shippedCatalog, pose.id, id))
    const setUps = setUpsFor(shippedCatalog, pose.id).map((setUp) => picturedSetUp(shippedCatalog, pose.id, setUp))
    return [picturedPose(shippedCatalog, pose.id), ...forms, ...setUps].flatMap((pictured, at) => {
      const drawing = pictured && drawThumbnail(pictured, propKinds)
      const isBare = drawing?.labels.length === 0 && drawing.measures.length === 0 && drawing.grid.length === 0
      return isBare && drawing.shapes.some(({ is }) => is === 'flesh') ? [] : [`${pose.id} ${String(at)}`]
    })
  })
  expect(wrong).toEqual([])
})

test.each(Object.entries(positionFigures))('%s has a picture of its own', (_, pictured) => {
  expect(pathsOf(pictured)).not.toBe('')
})

test('the sides of a pose that has sides are two pictures, one of them as it is drawn', () => {
  const wrong = all.flatMap((pose) => {
    const pictured = picturedPose(shippedCatalog, pose.id)
    if (!pose.sides || !pictured) return []
    const [left, right] = sides.map((side) => pathsOf({ ...pictured, side }))
    const drawn = pathsOf(pictured)
    return left !== right && (drawn === left || drawn === right) ? [] : [pose.id]
  })
  // A seat is the same to look at whichever shin or foot is named first.
  expect(wrong).toEqual([])
})

test('a pose of one’s own looks as the one it was made from; without a figure there is no picture', () => {
  const deer = shippedCatalog.poses.get('deer')
  if (!deer) throw new Error('no deer')
  const own = { ...deer, id: 'my-deer', copiedFrom: 'deer' }
  const catalog = { ...shippedCatalog, ownPoses: new Map([[own.id, own]]) }
  expect(pathsOf(picturedPose(catalog, own.id))).toBe(pathsOf(picturedPose(shippedCatalog, 'deer')))
  const { figure: _, ...bare } = deer
  expect(picturedPose({ ...catalog, ownPoses: new Map([[own.id, { ...bare, id: own.id }]]) }, own.id)).toBeUndefined()
  expect(picturedPose(catalog, 'nowhere')).toBeUndefined()
})

test('what is drawn with the pages is found by whoever asks for a pose of the shelf, whatever its items are called', () => {
  const shelf = drawShelf()
  const wrong = all.filter(({ id }) => {
    const pictured = picturedPose(shippedCatalog, id)
    if (!pictured) return false
    const renamed = { ...pictured, items: pictured.items.map((item, at) => ({ ...item, id: `other ${String(at)}` })) }
    const shapes = shelf[thumbnailKey(renamed)]?.shapes.map(({ path }) => path).join()
    return shapes === undefined || shapes !== pathsOf(pictured)
  })
  expect(wrong.map(({ id }) => id)).toEqual([])
})
