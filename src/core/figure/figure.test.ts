import fc from 'fast-check'
import type { SetUp, SetUpItem } from '#model/set-up'
import { boneLengths, bonesOf, clearance, distanceTo, elevation, headCentre, measuresOf } from '#core/figure'
import type { Elevation, ElevationInput, Limb, PlacedProp } from '#core/figure'
import { assess } from '#core/comfort'
import { namedFolds, propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { figureOf } from '#testing/set-ups'

const statures = [150, 170, 190]
const inputOf = (setUp: SetUp, statureCm: number, items: readonly SetUpItem[] = setUp.items): ElevationInput => ({
  figure: figureOf(setUp),
  items,
  kinds: propKinds,
  who: { statureCm },
})
const named = (id: string): SetUp => {
  const found = setUps.find((setUp) => setUp.id === id)
  if (!found) throw new Error(`no set-up ${id}`)
  return found
}
const before = new Map<string, Elevation>()
function drawn(input: ElevationInput): Elevation {
  const key = JSON.stringify([input.figure, input.items, input.who])
  const known = before.get(key)
  if (known) return known
  const laid = elevation(input)
  if (!laid.ok) throw new Error(`${laid.code} ${laid.field}`)
  before.set(key, laid.value)
  return laid.value
}
const allOf = (what: (setUp: SetUp, statureCm: number) => readonly string[]): readonly string[] =>
  setUps.flatMap((setUp) => statures.flatMap((statureCm) => what(setUp, statureCm)))
const lengthOf = ({ a, b }: Limb): number => Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z)

/** Flesh and soft props give: the inner part of a limb may lie so deep in a prop of each rank, cm. */
const gives = { 0: 0.5, 1: 2, 2: 2 } as const
const inner = 0.6
/** Nearer than this counts as touching, cm. */
const touches = 3

describe('every shipped set-up, for 150, 170 and 190 cm', () => {
  test('no bone is longer or shorter than it is', () => {
    const wrong = allOf((setUp, statureCm) => {
      const { skeleton, frame } = drawn(inputOf(setUp, statureCm))
      const lengths = boneLengths(frame)
      return bonesOf(skeleton, frame)
        .filter((bone) => Math.abs(lengthOf(bone) - lengths[bone.name]) > 0.01)
        .map(({ name, side }) => `${setUp.id} ${String(statureCm)} ${side ?? ''} ${name}`)
    })
    expect(wrong).toEqual([])
  })

  test('no limb is in the floor or goes through a prop', () => {
    const wrong = allOf((setUp, statureCm) => {
      const { skeleton, frame, props } = drawn(inputOf(setUp, statureCm))
      return bonesOf(skeleton, frame)
        .filter(({ name }) => name !== 'neck')
        .flatMap((bone) => {
          const core = { ...bone, ra: bone.ra * inner, rb: bone.rb * inner }
          const through = props.filter(
            (prop) => clearance(core, [prop]) < Math.min(-gives[prop.piece.rank], clearance(core, []) - 1e-6),
          )
          const inFloor = clearance(core, []) < -0.5 ? ['floor'] : []
          return [...inFloor, ...through.map(({ part, piece }) => `${part} ${piece.kind}`)].map(
            (where) => `${setUp.id} ${String(statureCm)} ${bone.side ?? ''} ${bone.name} in ${where}`,
          )
        })
    })
    expect(wrong).toEqual([])
  })

  test('nothing floats: the top of every pile carries the body or another prop', () => {
    const apart = (limb: Limb, prop: PlacedProp): number =>
      Math.min(
        ...Array.from({ length: 21 }, (_, at) => at / 20).map((share) => {
          const [x, y, z] = [
            limb.a.x + (limb.b.x - limb.a.x) * share,
            limb.a.y + (limb.b.y - limb.a.y) * share,
            limb.a.z + (limb.b.z - limb.a.z) * share,
          ]
          const radius = limb.ra + (limb.rb - limb.ra) * share
          return z < prop.zFrom - radius || z > prop.zTo + radius ? Infinity : distanceTo(prop, { x, y }) - radius
        }),
      )
    const meets = (prop: PlacedProp, other: PlacedProp): boolean =>
      other.core.some((corner) => distanceTo(prop, corner) - other.radius < touches)
    const wrong = allOf((setUp, statureCm) => {
      const { skeleton, frame, props } = drawn(inputOf(setUp, statureCm))
      const head = headCentre(skeleton, frame)
      const body: Limb[] = [...bonesOf(skeleton, frame), { a: head, b: head, ra: frame.headR, rb: frame.headR }]
      const near = (prop: PlacedProp): boolean =>
        body.some((limb) => apart(limb, prop) < touches) ||
        props.some((other) => other !== prop && (meets(prop, other) || meets(other, prop)))
      return props
        .filter((prop) => !near(prop))
        .map(({ part, piece }) => `${setUp.id} ${String(statureCm)} ${part} ${piece.kind}`)
    })
    expect(wrong).toEqual([])
  })

  test('the trunk bends only between its parts and no further than low back and neck go', () => {
    const direction = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
      (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI
    const turned = (degrees: number): number => ((degrees + 540) % 360) - 180
    const wrong = allOf((setUp, statureCm) => {
      // On the side the body is seen from the front: what bends there bends sideways.
      if (figureOf(setUp).kind === 'side') return []
      const { hip, waist, shoulder, crown } = drawn(inputOf(setUp, statureCm)).skeleton
      const back = turned(direction(hip, waist) - direction(waist, shoulder))
      const neck = turned(direction(waist, shoulder) - direction(shoulder, crown))
      return back < -30.5 || back > 60.5 || neck < -20.5 || neck > 50.5
        ? [`${setUp.id} ${String(statureCm)} low back ${String(Math.round(back))} neck ${String(Math.round(neck))}`]
        : []
    })
    expect(wrong).toEqual([])
  })

  test('a knee falls outwards, never through the middle', () => {
    const bound = setUps.filter((setUp) => setUp.poseId.includes('bound-angle'))
    for (const setUp of bound) {
      const { right, left } = drawn(inputOf(setUp, 170)).skeleton
      expect(right.knee.z).toBeGreaterThan(right.hip.z)
      expect(left.knee.z).toBeLessThan(left.hip.z)
    }
  })
})

describe('the figure follows its set-up', () => {
  const inclined = named('reclined-bound-angle-full')
  const chest = (items: readonly SetUpItem[], statureCm = 170) =>
    drawn(inputOf(inclined, statureCm, items)).skeleton.shoulder.y
  const with_ = (id: string, change: Partial<SetUpItem>) =>
    inclined.items.map((item) => (item.id === id ? { ...item, ...change } : item))
  const block = inclined.items.find(({ kind }) => kind === 'foamBlock')?.id ?? ''

  test('a second block under the bolster raises the shoulders, a flat one lowers them', () => {
    expect(chest(with_(block, { count: 2, turn: 'flat' }))).toBeGreaterThan(chest(inclined.items) + 2)
    expect(chest(with_(block, { turn: 'flat' }))).toBeLessThan(chest(inclined.items) - 2)
  })

  test('a blanket folded once more under the head raises it, and a bolster in the place of a roll lowers or lifts the knees', () => {
    const rest = named('knees-over-a-bolster-few')
    const heads = (['standard', 'narrow'] as const).map((fold) => {
      const items = rest.items.map((item) => (item.under === 'head' ? { ...item, folds: [...namedFolds[fold]] } : item))
      const { skeleton, frame } = drawn(inputOf(rest, 170, items))
      return headCentre(skeleton, frame).y
    })
    expect((heads[1] ?? 0) - (heads[0] ?? 0)).toBeGreaterThan(2)
    const knees = (items: readonly SetUpItem[]) => drawn(inputOf(rest, 170, items)).skeleton.right.knee.y
    const higher = rest.items.map((item): SetUpItem => {
      const { folds, ...plain } = item
      return item.under === 'knees' ? { ...plain, kind: 'roundBolster' } : { ...plain, ...(folds ? { folds } : {}) }
    })
    expect(knees(higher)).toBeGreaterThan(knees(rest.items) + 3)
  })

  test('from 150 to 195 cm everything grows, and the seat-to-wall distance with it', () => {
    const wall = named('legs-up-the-wall-full')
    const distance = (statureCm: number) =>
      measuresOf(figureOf(wall), drawn(inputOf(wall, statureCm))).find(({ what }) => what === 'sitBonesToWall')
        ?.value ?? 0
    expect(distance(170)).toBeCloseTo(11.6, 1)
    expect(distance(195)).toBeGreaterThan(distance(150))
    expect(chest(inclined.items, 195)).toBeGreaterThan(chest(inclined.items, 150))
  })

  test('knees that were measured cross-legged on the floor stand before the turn of the hips', () => {
    const sitting = {
      figure: { kind: 'seated', legs: 'crossed', trunk: 'upright' },
      items: [],
      kinds: propKinds,
    } as const
    const kneesAt = (kneeH0Cm?: number) =>
      drawn({ ...sitting, who: { statureCm: 170, kneeH0Cm } }).skeleton.right.knee.y
    expect(kneesAt(31) - kneesAt(19)).toBeCloseTo(12)
    expect(kneesAt(31)).toBeGreaterThan(kneesAt())
  })

  test('what was measured stands before the share of the stature', () => {
    const long = drawn({ ...inputOf(inclined, 170), who: { statureCm: 170, measured: { thigh: 46 } } })
    const thigh = bonesOf(long.skeleton, long.frame).find(({ name, side }) => name === 'thigh' && side === 'right')
    expect(thigh && lengthOf(thigh)).toBeCloseTo(46, 6)
  })

  test('what cannot be drawn is refused with its code, naming the item', () => {
    const folds = [...namedFolds.narrow, ...namedFolds.narrow]
    const items = inclined.items.map((item) => (item.under === 'head' ? { ...item, folds } : item))
    expect(elevation(inputOf(inclined, 170, items))).toMatchObject({
      ok: false,
      code: 'FOLD_TOO_THICK',
      extra: { itemId: inclined.items.find(({ under }) => under === 'head')?.id },
    })
  })
})

describe('measures', () => {
  const measured = (id: string, statureCm = 170) =>
    measuresOf(figureOf(named(id)), drawn(inputOf(named(id), statureCm)))

  test('they are the numbers of the formula book for the loaded heights', () => {
    const { numbers } = drawn(inputOf(named('inclined-rest-few'), 170))
    const incline = numbers.incline?.ok ? numbers.incline.value : undefined
    expect(measured('inclined-rest-few').find(({ what }) => what === 'backEdge')).toMatchObject({
      value: incline?.edge,
      limit: 8.5,
    })
    expect(measured('inclined-rest-few').find(({ what }) => what === 'trunkAngle')?.value).toBe(incline?.trunkAngle)
  })

  test('where the drawing and the number are more than 2 cm apart it says so, and only there', () => {
    for (const setUp of setUps.filter(({ poseId }) => poseId === 'knees-over-a-bolster')) {
      const { skeleton, frame } = drawn(inputOf(setUp, 170))
      const knees = measured(setUp.id).find(({ what }) => what === 'kneesHeight')
      expect(knees?.about).toBe(Math.abs(skeleton.right.knee.y - frame.kneeR - (knees?.value ?? 0)) > 2)
    }
  })
})

test('whatever is tried out, it is drawn with its bones whole or refused with a code', () => {
  const kinds = ['rectBolster', 'roundBolster', 'foamBlock', 'blanket', 'longPillow'] as const
  const folds = Object.values(namedFolds).map((ops) => [...ops])
  fc.assert(
    fc.property(
      fc.constantFrom(...setUps),
      fc.integer({ min: 120, max: 220 }),
      fc.nat(),
      fc.constantFrom(...kinds),
      fc.constantFrom(...folds),
      fc.constantFrom('flat', 'side', 'lengthwise', 'crosswise'),
      (setUp, statureCm, at, kind, ops, turn) => {
        const items = setUp.items.map((item, index): SetUpItem =>
          index === at % Math.max(1, setUp.items.length)
            ? {
                id: item.id,
                kind,
                count: item.count,
                under: item.under,
                turn: turn as 'flat',
                folds: ops,
                ...(item.piles ? { piles: item.piles } : {}),
              }
            : item,
        )
        const { elevation: laid, findings } = assess(inputOf(setUp, statureCm, items))
        if (!laid.ok) {
          expect(findings).toEqual([expect.objectContaining({ code: laid.code, grade: 'must' })])
          return
        }
        const lengths = boneLengths(laid.value.frame)
        for (const bone of bonesOf(laid.value.skeleton, laid.value.frame))
          expect(Math.abs(lengthOf(bone) - lengths[bone.name])).toBeLessThan(0.01)
      },
    ),
    { numRuns: 100 },
  )
})

test('astride a seat that is wider than the thigh is long the bones stay whole', () => {
  const [seat, ...rest] = named('lean-on-a-chair-full').items
  const wide: SetUpItem = { id: seat?.id ?? 'i1', kind: 'rectBolster', count: 1, under: 'pelvis', turn: 'side' }
  const { skeleton, frame } = drawn(inputOf(named('lean-on-a-chair-full'), 120, [wide, ...rest]))
  const lengths = boneLengths(frame)
  for (const bone of bonesOf(skeleton, frame)) expect(lengthOf(bone)).toBeCloseTo(lengths[bone.name], 2)
})

test('on its side, a knee on more than the thigh is long stays as high as the thigh reaches', () => {
  const setUp = named('side-rest-household')
  const high: SetUpItem = { id: 'high', kind: 'rectBolster', count: 2, under: 'knees', turn: 'side' }
  const { skeleton, frame } = drawn(inputOf(setUp, 120, [high]))
  const lengths = boneLengths(frame)
  for (const bone of bonesOf(skeleton, frame)) expect(lengthOf(bone)).toBeCloseTo(lengths[bone.name], 5)
})

describe('what the solver knew of the props', () => {
  test('every prop lies in one heap, whose height is that of its pile', () => {
    const wrong = allOf((setUp, statureCm) => {
      const { heaps, props, piles } = drawn(inputOf(setUp, statureCm))
      const inHeaps = heaps.flatMap((heap) => heap.props)
      const said = [setUp.id, String(statureCm)].join(' ')
      // The two parts of a slope are one pile; a twin is as high as its pile.
      const heights = (part: string, role: string) =>
        heaps.filter((heap) => heap.part === part && heap.role === role).map(({ height }) => height)
      const high = piles
        .filter(({ part }) => props.some((prop) => prop.part === part))
        .filter(({ part, height }) => {
          const [slope, riser] = [heights(part, 'slope')[0], heights(part, 'riser')[0] ?? 0]
          const there = slope === undefined ? heights(part, 'support') : [slope + riser]
          return !there.some((one) => Math.abs(one - height) < 1e-6)
        })
      return [
        ...(inHeaps.length === props.length && new Set(inHeaps).size === props.length ? [] : [`${said}: not one heap`]),
        ...high.map(({ part }) => `${said}: ${part}`),
      ]
    })
    expect(wrong).toEqual([])
  })

  test('a bolster on a block is a slope that leans with its low end on the floor, and the block raises it', () => {
    const { heaps, slope, numbers } = drawn(inputOf(named('reclined-bound-angle-full'), 170))
    expect(heaps.filter(({ part }) => part === 'upperBack').map(({ role }) => role)).toEqual(['riser', 'slope'])
    expect(slope?.foot).toEqual({ x: 0, y: 0 })
    expect(slope?.corner.y).toBeGreaterThan(0)
    expect(slope?.blockH).toBeCloseTo(heaps.find(({ role }) => role === 'riser')?.height ?? 0)
    expect(numbers.incline).toMatchObject({ ok: true, value: { edgeLimit: 8.5 } })
  })

  test("of two equal piles each is the twin of a side, and one pile is nobody's twin", () => {
    const { heaps } = drawn(inputOf(named('reclined-bound-angle-full'), 170))
    expect(heaps.filter(({ part }) => part === 'knees').map(({ twin }) => twin)).toEqual(['left', 'right'])
    expect(heaps.find(({ part }) => part === 'head')?.twin).toBeUndefined()
  })

  test('a blanket over the bolster of a slope lies with the bolster, not with the block', () => {
    const setUp = named('reclined-bound-angle-full')
    const blanket: SetUpItem = {
      id: 'over',
      kind: 'blanket',
      count: 1,
      under: 'upperBack',
      folds: [...namedFolds.standard],
    }
    const { heaps } = drawn(inputOf(setUp, 170, [...setUp.items, blanket]))
    expect(heaps.find(({ role }) => role === 'slope')?.props.map(({ piece }) => piece.kind)).toEqual([
      'rectBolster',
      'blanket',
    ])
    expect(heaps.find(({ role }) => role === 'riser')?.props.every(({ piece }) => piece.kind !== 'blanket')).toBe(true)
  })
})
