import fc from 'fast-check'
import { elevation, measureNames, measuresOf } from '#core/figure'
import type { Elevation } from '#core/figure'
import type { Figure } from '#model/figure'
import type { SetUp } from '#model/set-up'
import { propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { drawFromAbove } from './draw-from-above.ts'
import { drawFromTheSide } from './draw-upright.ts'
import type { Drawing } from './picture.ts'
import { angleText, lengthNumber, lengthText, wallDistanceText } from '#words/lengths'
import { captionWords, markWords } from '#words/measures'
import { covers, crosses, overlap } from './occupied.ts'
import type { Box, Solid } from './occupied.ts'
import { limbPath, roundedPath } from './outlines.ts'
import { placeLabels } from './place-labels.ts'
import type { Wanted } from './place-labels.ts'
import { itemWords, takesWords, turnChoices } from '#words/props'
import { figureOf } from '#testing/set-ups'

interface Laid {
  readonly name: string
  readonly figure: Figure
  readonly elevation: Elevation
}

function laidOf(setUp: SetUp, statureCm: number): Laid {
  const figure = figureOf(setUp)
  const laid = elevation({ figure, items: setUp.items, kinds: propKinds, who: { statureCm } })
  if (!laid.ok) throw new Error(laid.code)
  return { name: `${setUp.id} ${String(statureCm)}`, figure, elevation: laid.value }
}

function drawnOf({ figure, elevation }: Laid, width: number, height: number, view: 'side' | 'above'): Drawing {
  const input = { elevation, measures: measuresOf(figure, elevation), width, height, unit: 'cm' as const }
  return view === 'side' ? drawFromTheSide(input) : drawFromAbove({ ...input, mat: propKinds.mat })
}

/** The points of a path's straight and round pieces, near enough to tell whether a label lies on them. */
function pointsOf(path: string): { x: number; y: number }[] {
  const points: { x: number; y: number }[] = []
  for (const [, letter, numbers] of path.matchAll(/([MLAQ])([^MLAQZ]*)/g)) {
    const values = (numbers ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(Number)
    const [x = 0, y = 0] = values.slice(-2)
    const end = { x, y }
    const start = points.at(-1)
    if (letter === 'L' && start)
      for (let at = 1; at < 20; at += 1)
        points.push({ x: start.x + ((end.x - start.x) * at) / 20, y: start.y + ((end.y - start.y) * at) / 20 })
    points.push(end)
  }
  return points
}
const inside = ({ left, top, right, bottom }: Box, { x, y }: { x: number; y: number }): boolean =>
  x > left && x < right && y > top && y < bottom

const everybody = setUps.flatMap((setUp) => [150, 170, 190].map((statureCm) => laidOf(setUp, statureCm)))

describe.each([
  ['side', 718, 480],
  ['side', 320, 230],
  ['above', 718, 480],
  ['above', 320, 230],
] as const)('seen from the %s, %i px wide', (view, width, height) => {
  // In the large picture, where there is room, one stature of each set-up by turns.
  const looked = width > 400 ? everybody.filter((_, at) => at % 3 === Math.floor(at / 3) % 3) : everybody
  const drawings = looked.map((laid) => ({ name: laid.name, drawing: drawnOf(laid, width, height, view) }))

  test('no label lies on another, on a limb, on a prop or on a line, and all are in the picture', () => {
    const wrong = drawings.flatMap(({ name, drawing }) => {
      const drawn = [...drawing.shapes, ...drawing.measures].map(({ key, path }) => ({ key, points: pointsOf(path) }))
      return drawing.labels.flatMap((label, at) => {
        const others = drawing.labels
          .slice(at + 1)
          .filter(({ box }) => overlap(box, label.box))
          .map(({ text }) => text)
        const on = drawn.filter(({ points }) => points.some((point) => inside(label.box, point))).map(({ key }) => key)
        const out =
          label.box.left < 0 || label.box.top < 0 || label.box.right > width || label.box.bottom > height
            ? ['outside']
            : []
        return [...others, ...on, ...out].map((what) => `${name}: ${label.text} and ${what}`)
      })
    })
    expect(wrong).toEqual([])
  })

  test('no line to a label runs through another label', () => {
    const wrong = drawings.flatMap(({ name, drawing }) =>
      drawing.labels.flatMap((label) =>
        (label.leader
          ? drawing.labels.filter(
              (other) =>
                other !== label &&
                crosses(
                  ...(label.leader ?? [
                    { x: 0, y: 0 },
                    { x: 0, y: 0 },
                  ]),
                  other.box,
                ),
            )
          : []
        ).map(({ text }) => `${name}: ${label.text} through ${text}`),
      ),
    )
    expect(wrong).toEqual([])
  })

  test('every label has found room, but for a rare one in the smallest picture', () => {
    const left = drawings
      .filter(({ drawing }) => drawing.left.length > 0)
      .map(({ name, drawing }) => `${name}: ${drawing.left.join(', ')}`)
    if (width > 400) expect(left).toEqual([])
    else expect(left.length).toBeLessThanOrEqual(5)
  })
})

test('a taller person is drawn larger, to the same scale', () => {
  const [rest] = setUps.filter(({ id }) => id === 'constructive-rest-few')
  const spanOf = (statureCm: number): number => {
    if (!rest) return NaN
    const xs = drawnOf(laidOf(rest, statureCm), 718, 480, 'side')
      .shapes.filter(({ is }) => is === 'flesh')
      .flatMap(({ path }) => pointsOf(path).map(({ x }) => x))
    return Math.max(...xs) - Math.min(...xs)
  }
  expect(spanOf(190) / spanOf(150)).toBeGreaterThan(1.15)
})

describe('placing labels', () => {
  const label = (key: string, x: number, y: number): Wanted => ({
    key,
    text: key,
    width: 60,
    height: 17,
    anchor: { x, y },
    rather: -90,
  })
  const room = { left: 0, top: 0, right: 600, bottom: 400 }

  test('alone it stands beside its anchor, where it would rather have it, with no line', () => {
    const [placed] = placeLabels({ labels: [label('a', 300, 200)], solids: [], room }).placed
    expect(placed?.leader).toBeUndefined()
    expect(placed?.box.bottom).toBeLessThanOrEqual(200)
    expect(200 - (placed?.box.bottom ?? 0)).toBeLessThan(6)
  })

  test('what is in the way is gone round, with a line back to the anchor', () => {
    const [placed] = placeLabels({
      labels: [label('a', 300, 200)],
      solids: [{ core: [{ x: 300, y: 200 }], radius: 60 }],
      room,
    }).placed
    expect(placed && covers({ core: [{ x: 300, y: 200 }], radius: 60 }, placed.box)).toBe(false)
    expect(placed?.leader?.[0]).toEqual({ x: 300, y: 200 })
  })

  test('where there is no room at all it is given back', () => {
    const { placed, left } = placeLabels({
      labels: [label('a', 20, 10)],
      solids: [],
      room: { left: 0, top: 0, right: 40, bottom: 20 },
    })
    expect([placed.length, left.map(({ key }) => key)]).toEqual([0, ['a']])
  })

  test('however many and wherever they belong, none touches another or a solid', () => {
    const point = fc.record({ x: fc.integer({ min: 0, max: 600 }), y: fc.integer({ min: 0, max: 400 }) })
    const solid = fc.record({
      core: fc.array(point, { minLength: 1, maxLength: 2 }),
      radius: fc.integer({ min: 1, max: 50 }),
    })
    fc.assert(
      fc.property(fc.array(point, { maxLength: 14 }), fc.array(solid, { maxLength: 6 }), (anchors, solids: Solid[]) => {
        const { placed, left } = placeLabels({
          labels: anchors.map(({ x, y }, at) => label(String(at), x, y)),
          solids,
          room,
        })
        expect(placed.length + left.length).toBe(anchors.length)
        for (const [at, one] of placed.entries()) {
          expect(placed.slice(at + 1).some(({ box }) => overlap(box, one.box))).toBe(false)
          expect(solids.some((each) => covers(each, one.box))).toBe(false)
        }
      }),
      { numRuns: 60 },
    )
  })

  test('a rectangle in the middle of something solid is covered by it, and one that holds it whole too', () => {
    const square = [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 100, y: 100 },
      { x: 0, y: 100 },
    ]
    expect(covers({ core: square, radius: 0 }, { left: 40, top: 40, right: 50, bottom: 50 })).toBe(true)
    expect(covers({ core: square, radius: 0 }, { left: -10, top: -10, right: 200, bottom: 200 })).toBe(true)
    expect(covers({ core: square, radius: 4 }, { left: 103, top: 0, right: 120, bottom: 10 })).toBe(true)
    expect(covers({ core: square, radius: 4 }, { left: 105, top: 0, right: 120, bottom: 10 })).toBe(false)
  })
})

test('outlines: a limb inside its own end is a disc; a box keeps its bounds and its roundness', () => {
  expect(limbPath({ x: 0, y: 0 }, { x: 1, y: 0 }, 10, 2)).toBe('M-10 0A10 10 0 0 1 10 0A10 10 0 0 1 -10 0Z')
  const box = pointsOf(
    roundedPath(
      [
        { x: 10, y: 90 },
        { x: 90, y: 90 },
        { x: 90, y: 40 },
        { x: 10, y: 40 },
      ],
      5,
    ),
  )
  expect([
    Math.min(...box.map(({ x }) => x)),
    Math.max(...box.map(({ x }) => x)),
    Math.min(...box.map(({ y }) => y)),
    Math.max(...box.map(({ y }) => y)),
  ]).toEqual([5, 95, 35, 95])
})

describe('words', () => {
  test('lengths go to half a centimetre or a quarter of an inch; distances to a wall up, never down', () => {
    expect([lengthText(13.92, 'cm'), lengthText(4.16, 'cm'), lengthNumber(13.92, 'in'), lengthText(0, 'cm')]).toEqual([
      '14 cm',
      '4 cm',
      '5.5',
      '0 cm',
    ])
    expect([wallDistanceText(11.6, 'cm'), wallDistanceText(12, 'cm'), wallDistanceText(11.6, 'in')]).toEqual([
      '12 cm',
      '12 cm',
      '5 in',
    ])
    expect(angleText(15.5)).toBe('16°')
  })

  test('every measure has words, in full and short, in the picture and under it', () => {
    for (const what of measureNames) {
      const measure = { what, unit: 'cm' as const, value: 12.3, limit: 8.5 }
      expect(markWords(measure, 'cm', false)).toMatch(/1[23]/)
      expect(markWords(measure, 'cm', true).length).toBeLessThan(8)
      expect(captionWords(measure, 'cm').value).toMatch(/cm$/)
    }
    expect(markWords({ what: 'backEdge', unit: 'cm', value: 7.8, limit: 8.5 }, 'cm', false)).toBe(
      'bolster’s edge 8 cm, limit 8.5',
    )
    expect(markWords({ what: 'kneesHeight', unit: 'cm', value: 13.5, about: true }, 'cm', false)).toBe(
      'under the knees about 13.5 cm',
    )
  })

  test('an item is told as one would ask for it', () => {
    const words = (id: string, at: number) => {
      const item = setUps.find((setUp) => setUp.id === id)?.items[at]
      return item ? itemWords(item, propKinds[item.kind]) : ''
    }
    expect(words('inclined-rest-full', 0)).toBe('1 blanket, standard fold')
    expect(words('inclined-rest-full', 1)).toBe('2 bolsters')
    expect(words('reclined-bound-angle-full', 1)).toBe('1 block, on its side')
    expect(words('inclined-rest-household', 1)).toBe('1 chair, turned over, the back a slope')
    expect(words('inclined-rest-full', 2)).toBe('1 bolster, long way')
    expect(words('inclined-rest-full', 4)).toBe('2 blankets, rolled, long way, one each side')
    expect(takesWords(setUps.find(({ id }) => id === 'inclined-rest-full')?.items ?? [])).toBe(
      '6 blankets · 3 bolsters',
    )
    expect(turnChoices(propKinds.foamBlock).map(({ words: each }) => each)).toEqual([
      'flat',
      'flat, long way',
      'on its side',
      'on its end',
    ])
    expect(turnChoices(propKinds.chair).map(({ words: each }) => each)).toEqual([
      'on its feet',
      'turned over, the back a slope',
    ])
    expect(turnChoices(propKinds.sofa)).toEqual([])
  })
})
