import { setUpSchema } from '#model/set-up'
import type { SetUp } from '#model/set-up'
import { assess } from '#core/comfort'
import { heightsOf } from '#core/figure'
import { poses } from './poses.ts'
import { namedFolds, propKinds } from './prop-kinds.ts'
import { setUps } from './set-ups.ts'
import { figureOf } from '#testing/set-ups'
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

test('every pose that needs props has a full set-up, one with few props, and one with what a house has', () => {
  const extents = (poseId: string) =>
    setUps.filter((setUp) => setUp.poseId === poseId && !setUp.variantId).map(({ extent }) => extent)
  // Counts come from the set-ups, so the pose's own words say whether it needs any.
  const needing = poses.filter(({ withoutProps }) => !withoutProps.startsWith('Needs none'))
  expect(needing.length).toBeGreaterThan(70)
  const lacking = needing.filter(({ id }) => extents(id).join() !== 'full,few,household').map(({ id }) => id)
  expect(lacking).toEqual([])
})

test('what a pose or a form takes is what its full set-up takes, counted by kind', () => {
  for (const { id, props, variants } of poses) {
    const forms = [
      { variantId: undefined, props },
      ...variants.flatMap((form) => (form.base ? { variantId: form.id, props: form.props } : [])),
    ]
    for (const { variantId, props: taken = [] } of forms) {
      const full = setUps.find((one) => one.poseId === id && one.variantId === variantId && one.extent === 'full')
      const kinds = new Set(full?.items.map(({ kind }) => kind))
      expect({ id, variantId, kinds: taken.map(({ kind }) => kind) }).toEqual({ id, variantId, kinds: [...kinds] })
      const pieces = (full?.items ?? []).reduce((sum, { count }) => sum + count, 0)
      expect({ id, variantId, pieces: taken.reduce((sum, { count }) => sum + count, 0) }).toEqual({
        id,
        variantId,
        pieces,
      })
    }
  }
})

test('a form that is another position has its own three set-ups, and is drawn as what it is', () => {
  const others = poses.flatMap((pose) => pose.variants.filter(({ base }) => base).map((form) => ({ pose, form })))
  expect(others.length).toBeGreaterThanOrEqual(12)
  for (const { pose, form } of others) {
    const own = setUps.filter(({ poseId, variantId }) => poseId === pose.id && variantId === form.id)
    expect({ id: `${pose.id}/${form.id}`, extents: own.map(({ extent }) => extent) }).toEqual({
      id: `${pose.id}/${form.id}`,
      extents: ['full', 'few', 'household'],
    })
    if (form.base?.enter !== pose.base.enter)
      expect({ id: pose.id, figure: form.figure?.kind }).toMatchObject({ figure: expect.any(String) as string })
  }
})

const extentOf = (poseId: string, extent: SetUp['extent']): SetUp | undefined =>
  setUps.find((setUp) => setUp.poseId === poseId && !setUp.variantId && setUp.extent === extent)
const ids = (wrong: readonly SetUp[]): readonly string[] => wrong.map(({ id }) => id)
const hasCover = ({ items }: SetUp): boolean => items.some(({ kind, lies }) => kind === 'blanket' && lies === 'over')

test('every restorative pose has a cover in its full set-up, and the final rest also at home', () => {
  const restorative = setUps.filter(
    ({ poseId, extent }) => extent === 'full' && poseOf(poseId)?.practices.includes('restorative'),
  )
  expect(restorative.length).toBeGreaterThan(20)
  expect(ids(restorative.filter((setUp) => !hasCover(setUp)))).toEqual([])
  expect(extentOf('final-rest-lying', 'household')?.items.some(({ lies }) => lies === 'over')).toBe(true)
})

test('no two extents of a pose are the same arrangement', () => {
  const laid = ({ items }: SetUp) => JSON.stringify(items.map(({ id: _id, ...item }) => item))
  const same = setUps.flatMap((setUp) =>
    setUps.filter(
      (other) =>
        other.poseId === setUp.poseId &&
        other.variantId === setUp.variantId &&
        other.id > setUp.id &&
        laid(other) === laid(setUp),
    ),
  )
  expect(ids(same)).toEqual([])
})

test('a head never lies on a bare seat', () => {
  const heads = setUps.filter(({ items }) => items.some(({ kind, under }) => kind === 'chair' && under === 'head'))
  const bare = heads.filter(
    ({ items }) => !items.some(({ kind, under, lies }) => under === 'head' && kind !== 'chair' && lies === undefined),
  )
  expect(heads.length).toBeGreaterThan(5)
  expect(ids(bare)).toEqual([])
})

test('who kneels on the kneecaps has a pad under them, however few the props', () => {
  const kneels = setUps.filter(({ poseId }) => {
    const figure = poseOf(poseId)?.figure
    return figure?.kind === 'allFours' && ['both', 'lunge', 'halfSplit', 'frog', undefined].includes(figure.legs)
  })
  expect(kneels.length).toBeGreaterThan(10)
  expect(ids(kneels.filter(({ items }) => !items.some(({ under }) => under === 'knees')))).toEqual([])
})

test('a pose named for its strap has a strap, or what stands in for one, in each of its set-ups', () => {
  const named = setUps.filter(({ poseId }) => {
    const { names } = poseOf(poseId) ?? { names: { english: '', others: [] } }
    return [names.english, ...names.others].some((name) => /strap/i.test(name))
  })
  expect(named.length).toBeGreaterThanOrEqual(6)
  expect(ids(named.filter(({ items }) => !items.some(({ kind }) => /strap|belt|scarf/.test(kind))))).toEqual([])
})

test('a house has no studio’s bolsters, blocks or cushioned kit in its set-ups but what lies about', () => {
  const studio = new Set(['rectBolster', 'roundBolster', 'corkBlock', 'foamBlock', 'halfMoonCushion', 'sandbag'])
  expect(
    setUps
      .filter(({ extent, items }) => extent === 'household' && items.some(({ kind }) => studio.has(kind)))
      .map(({ id }) => id),
  ).toEqual([])
})

/** All that is said of where the head and the trunk are in the form a set-up is for. */
function wordsOf({ poseId, variantId }: SetUp): string {
  const pose = poseOf(poseId)
  const form = pose?.variants.find(({ id }) => id === variantId)
  const { head, setUpWords = [], looksFor = [] } = form ?? pose ?? {}
  return [head?.rests ?? '', ...setUpWords, ...looksFor].join(' / ')
}

/** A set-up under somebody. */
function assessed(setUp: SetUp, statureCm: number) {
  return assess({ figure: figureOf(setUp), items: setUp.items, kinds: propKinds, who: { statureCm } })
}

describe.each([150, 170, 190])('at %i cm', (statureCm) => {
  const withCodes = (...codes: readonly string[]) =>
    setUps
      .map((setUp) => ({ id: setUp.id, codes: assessed(setUp, statureCm).findings.map(({ code }) => String(code)) }))
      .filter(({ codes: found }) => found.some((code) => codes.includes(code)))
      .map(({ id }) => id)

  test('a pose that promises a slope lies between it and 45 degrees in each of its set-ups', () => {
    const promised = setUps.flatMap((setUp) => {
      const figure = poseOf(setUp.poseId)?.figure
      const from = figure?.kind === 'lying' ? figure.trunkFromDeg : undefined
      return from === undefined ? [] : [{ setUp, from }]
    })
    expect(promised.length).toBeGreaterThanOrEqual(9)
    for (const { setUp, from } of promised) {
      const { elevation } = assessed(setUp, statureCm)
      const incline = elevation.ok ? elevation.value.numbers.incline : undefined
      const trunk = incline?.ok ? incline.value.trunkAngle : 0
      expect({ id: setUp.id, trunk, isHeld: trunk >= from && trunk < 45.5 }).toMatchObject({ isHeld: true })
    }
  })

  test('where the words say level with the heart or at hip height, the figure’s numbers say it too', () => {
    const promises = /level with the (?:heart|chest)|not below the heart|at hip height|trunk (?:is )?level/i
    const promised = setUps.filter((setUp) => promises.test(wordsOf(setUp)))
    expect(promised.length).toBeGreaterThanOrEqual(20)
    const low = promised.filter((setUp) =>
      assessed(setUp, statureCm).findings.some(({ code }) => code === 'HEAD_BELOW_HEART'),
    )
    expect(ids(low)).toEqual([])
  })

  test('every head that has something under it lies on it, and none is tipped back', () => {
    expect(withCodes('HEAD_NOT_REACHED', 'HEAD_TIPPED_BACK')).toEqual([])
  })

  test('nothing must be mended, nothing is unsteady, and nothing hard is bare', () => {
    expect(
      withCodes('STACK_TALL', 'STACK_ORDER', 'ON_ROUND', 'STACK_MANY', 'RIGID_CONTACT', 'PELVIS_EDGE_AT_WAIST'),
    ).toEqual([])
  })
})

test.each([150, 170, 190])('every set-up comes to its heights at %i cm', (statureCm) => {
  for (const setUp of setUps) {
    expect(
      heightsOf({ figure: figureOf(setUp), items: setUp.items, kinds: propKinds, who: { statureCm } }),
    ).toMatchObject({ ok: true })
  }
})

test('the folds teachers name come to the figures of the formula book for a cotton blanket', () => {
  const folded = (ops: (typeof namedFolds)[keyof typeof namedFolds]) => fold({ L: 200, W: 150, t: 0.5, ops: [...ops] })
  expect(folded(namedFolds.standard)).toMatchObject({ ok: true, value: { L: 50, W: 75, layers: 8, height: 4 } })
  expect(folded(namedFolds.spinePad)).toMatchObject({ ok: true, value: { L: 100, W: 25, layers: 12, height: 6 } })
  expect(folded(namedFolds.roll)).toMatchObject({ ok: true, value: { roll: true, length: 75 } })
  for (const ops of Object.values(namedFolds)) expect(folded(ops).ok).toBe(true)
})
