import type { Figure } from '#model/figure'
import type { SetUpItem } from '#model/set-up'
import { assess, comfortRules, freeId, mendOf, standsFirmly } from '#core/comfort'
import type { ComfortFinding } from '#core/comfort'
import type { ElevationInput } from '#core/figure'
import { namedFolds, propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { figureOf } from '#testing/set-ups'
import {
  blanket,
  block,
  bolster,
  book,
  chair,
  corkBlock,
  pillow,
  roundBolster,
  sandbag,
  towel,
} from '../../library/set-ups/parts.ts'
import { comfortWords, mendWords } from '#words/comfort'

type Laid = Omit<SetUpItem, 'id'>
const kindsWith = (blanketCm: number): ElevationInput['kinds'] => ({
  ...propKinds,
  blanket: { ...propKinds.blanket, loadedCm: blanketCm },
})
const on = (figure: Figure, items: readonly Laid[], more: Partial<ElevationInput> = {}): ElevationInput => ({
  figure,
  items: items.map((item, at) => ({ id: `i${String(at)}`, ...item })),
  kinds: propKinds,
  who: { statureCm: 170 },
  ...more,
})
const codes = (input: ElevationInput): readonly string[] => assess(input).findings.map(({ code }) => code)
const found = (input: ElevationInput, code: string): ComfortFinding | undefined =>
  assess(input).findings.find((finding) => finding.code === code)

const long: Figure = { kind: 'lying', legs: 'long' }
const bent: Figure = { kind: 'lying', legs: 'bent' }
const bound: Figure = { kind: 'lying', legs: 'bound' }
const calves: Figure = { kind: 'lying', legs: 'chair' }
const wall: Figure = { kind: 'lying', legs: 'wall', legRaiseDeg: 80 }
const crossed: Figure = { kind: 'seated', legs: 'crossed', trunk: 'upright' }
const fold: Figure = { kind: 'seated', legs: 'long', trunk: 'fold' }
const child: Figure = { kind: 'childFold' }
const sitting: Figure = { kind: 'chair', trunk: 'upright' }
const heel: Figure = { kind: 'kneeling', feet: 'flat' }
const pad = blanket('head', 'standard')
const slope = (...blocks: Laid[]): Laid[] => [
  blanket('pelvis', 'standard'),
  ...blocks,
  bolster('upperBack', 'lengthwise'),
  pad,
]
const two = { count: 2, piles: 2 } as const

const late = { who: { statureCm: 170, lateInPregnancy: true } }

/** For every rule a set-up that makes it speak, and one close to it that does not. */
const cases: Readonly<
  Record<
    string,
    {
      readonly with: ElevationInput
      readonly without: ElevationInput
      readonly facts?: object
      readonly grade?: string
    }
  >
> = {
  HEAD_PAD_IMPOSSIBLE: {
    with: on(long, [blanket('head', 'thirds', { count: 3 })]),
    without: on(long, [pad]),
    grade: 'must',
  },
  HEAD_PAD_LOW: {
    with: on(long, [blanket('head', 'single')]),
    without: on(long, [blanket('head', 'quarter')]),
    facts: { leastCm: 2, mostCm: 8 },
  },
  HEAD_PAD_HIGH: { with: on(long, [blanket('head', 'thirds')]), without: on(long, [pad]), facts: { mostCm: 8 } },
  HEAD_TIPPED_BACK: {
    with: on(long, [roundBolster('upperBack', 'crosswise'), blanket('head', 'quarter')]),
    without: on(long, [blanket('upperBack', 'single'), pad]),
  },
  CHIN_TUCKED: { with: on(long, [blanket('head', 'thirds', { count: 2 })]), without: on(long, [pad]) },
  HEAD_NOT_REACHED: {
    with: on(long, [roundBolster('upperBack', 'crosswise', { count: 1 }), blanket('head', 'single')]),
    without: on(long, [pad]),
  },
  NECK_FLEXED_UNDER_LOAD: {
    with: on(bent, [blanket('pelvis', 'narrow'), pad]),
    without: on(bent, [blanket('pelvis', 'narrow'), blanket('head', 'quarter')]),
    facts: { mostCm: 3.4 },
  },
  NECK_ALONE: {
    with: on(long, [towel('neck', 'thinRoll')]),
    without: on(long, [towel('neck', 'thinRoll'), pad]),
    grade: 'tip',
  },
  NECK_ROLL_SIZE: {
    with: on(long, [blanket('neck', 'roll'), pad]),
    without: on(long, [towel('neck', 'thinRoll'), pad]),
    facts: { leastCm: 4, mostCm: 9 },
  },
  HEAD_BELOW_HEART: {
    with: on(bent, [bolster('pelvis', 'crosswise', { count: 2 })]),
    without: on(bent, [block('pelvis', 'flat')]),
    facts: { gentleCm: 5, everyone: false },
  },
  BELLY_FLAT_ON_BACK: { with: on(bent, [pad], late), without: on(bent, [pad]) },
  BELLY_LAIN_ON: {
    with: on({ kind: 'prone', trunk: 'flat' }, [], late),
    without: on({ kind: 'prone', trunk: 'flat' }, []),
  },
  BELLY_PRESSED: { with: on(fold, [], late), without: on(fold, []) },
  BELLY_UNFILLED: { with: on({ kind: 'side' }, [], late), without: on({ kind: 'side' }, []), grade: 'tip' },
  PELVIS_EDGE_AT_WAIST: {
    with: on(long, [block('lowBack', 'flat'), pad]),
    without: on(long, [towel('lowBack', 'standard'), pad]),
    grade: 'must',
    facts: { kind: 'foamBlock' },
  },
  LUMBAR_EDGE: {
    with: on(long, [bolster('upperBack', 'lengthwise'), pad]),
    without: on(long, slope(block('upperBack', 'side'))),
    facts: { limitCm: 8.5, seatCm: 4, raiseCm: 4 },
  },
  SACRUM_NARROW: {
    with: on(bent, [book('pelvis', 'flat')], {
      kinds: { ...propKinds, book: { ...propKinds.book, lengthCm: 10, widthCm: 8 } },
    }),
    without: on(bent, [block('pelvis', 'flat')]),
    facts: { leastCm: 12 },
  },
  TRUNK_ANGLE: {
    with: on(long, [
      blanket('pelvis', 'narrow', { count: 2 }),
      block('upperBack', 'flat'),
      bolster('upperBack', 'lengthwise'),
      pad,
    ]),
    without: on(long, slope(block('upperBack', 'side'))),
    facts: { leastDeg: 15, mostDeg: 45 },
  },
  STEEP: {
    with: on(long, slope(block('upperBack', 'side', { count: 3 }))),
    without: on(long, slope(block('upperBack', 'side'))),
    facts: { what: 'bolster', mostDeg: 45 },
  },
  HEAD_OFF_END: {
    with: on(long, slope(block('upperBack', 'side')), { who: { statureCm: 195 } }),
    without: on(long, slope(block('upperBack', 'side'))),
  },
  HANGS_FREE: {
    with: on(long, [...slope(block('upperBack', 'flat')), block('lowBack', 'side')]),
    without: on(long, [...slope(block('upperBack', 'side')), corkBlock('lowBack', 'flat')]),
    facts: { mostCm: 1 },
  },
  ARMS_UNFILLED: { with: on(long, slope(block('upperBack', 'side'))), without: on(long, [pad]), grade: 'tip' },
  TORSO_ANGLE: {
    with: on(child, [blanket('pelvis', 'narrow')]),
    without: on(child, [bolster('chest', 'lengthwise')]),
    grade: 'tip',
  },
  RAISE_SEAT: {
    with: on({ ...fold, hipFlexDeg: 75 }, [blanket('pelvis', 'narrow')]),
    without: on(fold, [blanket('pelvis', 'narrow')]),
    grade: 'must',
    facts: { seatCm: 19 },
  },
  SEAT_IMPOSSIBLE: {
    with: on(crossed, [bolster('pelvis', 'crosswise', { count: 5 })]),
    without: on(crossed, [bolster('pelvis', 'crosswise')]),
    grade: 'must',
  },
  FLOOR_IMPOSSIBLE: {
    with: on(wall, [pad], { who: { statureCm: 200, measured: { trunk: 220 } } }),
    without: on(wall, [pad]),
    grade: 'must',
    facts: { mostCm: 260 },
  },
  SEAT_HIGH: {
    with: on(heel, [bolster('pelvis', 'crosswise', { count: 2 })]),
    without: on(heel, [block('pelvis', 'flat')]),
    facts: { mostCm: 20, chair: false },
  },
  KNEES_ABOVE_HIPS: {
    with: on({ ...crossed, thighUpDeg: 20 }, [blanket('pelvis', 'standard')]),
    without: on(crossed, [blanket('pelvis', 'narrow')]),
  },
  KNEE_BEND: {
    with: on(long, [bolster('knees', 'crosswise', { count: 2 }), pad]),
    without: on(long, [blanket('knees', 'roll'), pad]),
    facts: { leastDeg: 15, mostDeg: 50 },
  },
  KNEES_UNFILLED: {
    with: on(bound, [pad]),
    without: on(bound, [
      pad,
      block('knees', 'lengthwise', two),
      blanket('knees', 'narrow', { ...two, turn: 'lengthwise' }),
    ]),
    facts: { wantedCm: 16.3, hereCm: 0 },
  },
  ONE_KNEE_FILLED: {
    with: on(bound, [pad, blanket('knees', 'shortRoll')]),
    without: on(bound, [pad, blanket('knees', 'roll', { ...two, turn: 'lengthwise' })]),
  },
  WALL_ANGLE: {
    with: on({ ...wall, legRaiseDeg: 55 }, [blanket('head', 'quarter')]),
    without: on(wall, [blanket('head', 'quarter')]),
    facts: { far: true },
  },
  PELVIS_LIFTED: {
    with: on(calves, [chair('shins'), pad], { who: { statureCm: 150 } }),
    without: on(calves, [chair('shins'), pad], { who: { statureCm: 185 } }),
  },
  FEET_HANG: {
    with: on(sitting, [chair('pelvis')], { who: { statureCm: 155 } }),
    without: on(sitting, [chair('pelvis')], { who: { statureCm: 185 } }),
    facts: { wantedCm: 7 },
  },
  SEAT_LOW: {
    with: on(sitting, [chair('pelvis')], { who: { statureCm: 195 } }),
    without: on(sitting, [chair('pelvis')]),
    grade: 'tip',
  },
  HEAD_SUPPORT_SHORT: {
    with: on(fold, [blanket('pelvis', 'narrow'), blanket('head', 'standard')]),
    without: on(fold, [
      blanket('pelvis', 'narrow'),
      bolster('head', 'crosswise', { count: 2 }),
      blanket('head', 'square'),
    ]),
  },
  STACK_TALL: {
    with: on(bent, [pad, block('feet', 'side', { count: 3 })]),
    without: on(bent, [pad, block('feet', 'flat')]),
    grade: 'must',
    facts: { most: 2 },
  },
  STACK_ORDER: {
    with: on(long, [pad, blanket('knees', 'square'), block('knees', 'flat'), blanket('knees', 'quarter')]),
    without: on(long, [pad, block('knees', 'flat'), blanket('knees', 'square')]),
    facts: { upper: 'foamBlock', lower: 'blanket' },
  },
  ON_ROUND: {
    with: on(long, [pad, roundBolster('knees', 'crosswise'), bolster('knees', 'crosswise')]),
    without: on(long, [pad, bolster('knees', 'crosswise')]),
  },
  STACK_MANY: {
    with: on(long, [pad, book('knees', 'flat', { count: 5 }), blanket('knees', 'quarter')]),
    without: on(long, [pad, book('knees', 'flat', { count: 3 }), blanket('knees', 'quarter')]),
    facts: { pieces: 6, most: 4 },
  },
  BLOCK_ON_END: {
    with: on(long, slope(block('upperBack', 'end'))),
    without: on(long, slope(block('upperBack', 'side'))),
    facts: { slope: true },
  },
  RIGID_CONTACT: {
    with: on(bent, [block('pelvis', 'flat')]),
    without: on(bent, [block('pelvis', 'flat'), blanket('pelvis', 'quarter')]),
    facts: { softCm: 2 },
  },
  SANDBAG_HEAVY: {
    with: on(long, [pad, { ...sandbag('thighs'), count: 2 }]),
    without: on(long, [pad, sandbag('thighs')]),
    grade: 'must',
  },
  SANDBAG_PLACE: { with: on(long, [pad, sandbag('belly')]), without: on(long, [pad, sandbag('feet')]), grade: 'must' },
  LAYER_IMPOSSIBLE: {
    with: on(long, [pad], { kinds: kindsWith(3.5) }),
    without: on(long, [pad]),
    grade: 'must',
    facts: { leastCm: 0.1, mostCm: 3 },
  },
  FOLD_BULKY: {
    with: on(long, [{ ...blanket('head', 'standard'), folds: [...namedFolds.standard, { op: 'thirdL' }] }]),
    without: on(long, [pad]),
    grade: 'tip',
  },
  ROLL_TOO_STIFF: {
    with: on(long, [pad, { ...blanket('knees', 'standard'), folds: [...namedFolds.narrow, { op: 'rollL' }] }]),
    without: on(long, [pad, blanket('knees', 'roll')]),
    grade: 'tip',
  },
}

test('every rule has a set-up of its own here', () => {
  expect(comfortRules.map(({ code }) => code).toSorted()).toEqual(Object.keys(cases).toSorted())
})

test.each(Object.entries(cases))(
  '%s speaks where it should and is silent where not',
  (code, { with: bad, without: good, facts, grade }) => {
    const finding = found(bad, code)
    expect(finding).toBeDefined()
    if (facts) expect(finding?.facts).toMatchObject(facts)
    if (grade) expect(finding?.grade).toBe(grade)
    expect(codes(good)).not.toContain(code)
  },
)

test('props stand firmly until a stack, a slope or something round is found: what the body does is no matter of theirs', () => {
  const unsteady = ['BLOCK_ON_END', 'HANGS_FREE', 'ON_ROUND', 'STACK_MANY', 'STACK_ORDER', 'STACK_TALL', 'STEEP']
  for (const [code, { with: bad }] of Object.entries(cases)) {
    const finding = found(bad, code)
    expect(`${code} ${String(finding && standsFirmly([finding]))}`).toBe(`${code} ${String(!unsteady.includes(code))}`)
  }
  expect(standsFirmly([])).toBe(true)
})

test('every code has words, which name their numbers and never a promise', () => {
  for (const [code, { with: bad }] of Object.entries(cases)) {
    const finding = found(bad, code)
    if (!finding) throw new Error(`${code} is not found`)
    const { title, mend } = comfortWords(finding, 'cm')
    expect(`${title} ${mend}`).not.toMatch(/undefined|NaN|\bsafe\b|treats|heals/)
    expect(mend).not.toBe('')
  }
})

test('worst come first, and what cannot be computed is a finding with its own code', () => {
  const grades = assess(on(bound, [block('lowBack', 'flat'), blanket('neck', 'roll')])).findings.map(
    ({ grade }) => grade,
  )
  expect(grades).toEqual(
    [...grades].sort((a, b) => ['must', 'look', 'tip'].indexOf(a) - ['must', 'look', 'tip'].indexOf(b)),
  )
  const odd: readonly (readonly [string, ElevationInput])[] = [
    ['USE_CHAIR', on({ ...wall, legRaiseDeg: 35 }, [])],
    ['TOO_STEEP', on(long, slope(block('upperBack', 'end', { count: 2 }), book('upperBack', 'flat', { count: 2 })))],
    // Knees so high that the heels would hang.
    ['UNREACHABLE', on(long, [pad, roundBolster('knees', 'crosswise', { count: 2 })], { who: { statureCm: 150 } })],
    ['FOLD_TOO_THICK', on(long, [{ ...pad, folds: [...namedFolds.narrow, ...namedFolds.narrow] }])],
    ['AFTER_ROLL', on(long, [{ ...pad, folds: [...namedFolds.roll, { op: 'halfL' }] }])],
  ]
  for (const [code, input] of odd) {
    expect(assess(input).findings).toEqual([expect.objectContaining({ code, grade: 'must' })])
  }
})

test('the low back’s edge is mended by exactly the seat it names', () => {
  const bad = on(long, [bolster('upperBack', 'lengthwise'), pad])
  const facts = found(bad, 'LUMBAR_EDGE')?.facts
  expect(facts).toMatchObject({ edgeCm: 11.3, limitCm: 8.5, seatCm: 4 })
  const { elevation } = assess(bad)
  expect(elevation.ok && elevation.value.numbers.incline?.ok).toBe(true)
})

describe('mends', () => {
  const folds = Object.values(namedFolds).map((ops) => [...ops])

  test('every mend of every shipped set-up makes its finding go, brings no new one that counts, and is one change', () => {
    let mended = 0
    for (const setUp of setUps) {
      const input = { figure: figureOf(setUp), items: setUp.items, kinds: propKinds, who: { statureCm: 170 }, folds }
      const before = assess(input).findings
      for (const finding of before) {
        const mend = mendOf(finding, input)
        if (!mend) continue
        mended += 1
        const after = assess({ ...input, items: mend.items }).findings
        expect(after.map(({ code }) => code)).not.toContain(finding.code)
        const counted = (list: readonly ComfortFinding[]) =>
          list.filter(({ grade }) => grade !== 'tip').map(({ code }) => code)
        expect(counted(after).filter((code) => !counted(before).includes(code))).toEqual([])
        expect(Math.abs(mend.items.length - setUp.items.length)).toBe(
          mend.does === 'add' || mend.does === 'remove' ? 1 : 0,
        )
        expect(mendWords(mend, propKinds)).not.toMatch(/undefined|another way/)
      }
    }
    expect(mended).toBeGreaterThan(20)
  })

  test('what one change cannot mend has none', () => {
    const finding = found(on(long, [pad, sandbag('belly')]), 'SANDBAG_PLACE')
    expect(finding && mendOf(finding, { ...on(long, [pad, sandbag('belly')]), folds })).toBeUndefined()
  })

  test('new items get ids that are free', () => {
    expect(freeId([{ id: 'i1' }, { id: 'i3' }])).toBe('i4')
    expect(freeId([])).toBe('i1')
  })
})

test('a pillow of one’s own size is reckoned with that size', () => {
  const thin = assess(
    on(long, [pillow('head', 'crosswise')], {
      kinds: { ...propKinds, longPillow: { ...propKinds.longPillow, heightCm: 3 } },
    }),
  )
  expect(thin.findings.map(({ code }) => code)).toContain('HEAD_PAD_LOW')
})

test('a pose that promises a slope is told when it lies under it, also where any other would lie well', () => {
  const promising: Figure = { kind: 'lying', legs: 'long', trunkFromDeg: 30 }
  const low = slope(block('upperBack', 'side'))
  expect(found(on(long, low), 'TRUNK_ANGLE')).toBeUndefined()
  expect(found(on(promising, low), 'TRUNK_ANGLE')).toMatchObject({
    grade: 'look',
    facts: { leastDeg: 30, mostDeg: 45, forBreath: false },
    wish: { part: 'upperBack', wants: 'higher' },
  })
  expect(found(on(promising, [pad]), 'TRUNK_ANGLE')).toMatchObject({ grade: 'look', facts: { angleDeg: 0 } })
  expect(found(on(promising, slope(bolster('upperBack', 'crosswise', { count: 2 }))), 'TRUNK_ANGLE')).toBeUndefined()
})

describe('what was listed and has no place yet', () => {
  const items: SetUpItem[] = [{ id: 'a', kind: 'rectBolster', count: 1 }]

  test('is not drawn, and nothing is said to be wanting where nothing is laid out', () => {
    const input = { ...on(long, []), items }
    const { elevation, findings } = assess(input)
    expect(elevation).toEqual(assess(on(long, [])).elevation)
    expect(findings).toEqual([])
  })

  test('counts once it is placed', () => {
    const placed = items.map((item) => ({ ...item, under: 'knees' as const }))
    const { elevation } = assess({ ...on(long, []), items: placed })
    expect(elevation.ok && elevation.value.piles.map(({ part }) => part)).toEqual(['knees'])
  })
})
