import {
  bodyOf,
  boundAngle,
  calibrate,
  chairFeet,
  childsPose,
  childsPoseInv,
  findStacks,
  fold,
  forwardFold,
  forwardFoldHold,
  incline,
  kneeBolster,
  legsUpWall,
  matsRoom,
  matsWall,
  pelvisRaised,
  seatCross,
  secondBlock,
  stackHeight,
} from '#core/props'
import type { Calculated, FoldOp, Stocked } from '#core/props'

/** The value of a calculation and its warnings; fails the test where there is none. */
function valueOf<T>(result: Calculated<T>): { value: T; warnings: readonly string[] } {
  if (!result.ok) throw new Error(`${result.code} at ${result.field}`)
  return result
}
/** Numbers to one place, as the worked examples give them. */
const shown = (value: object): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(value).map(([name, number]: [string, unknown]) => [
      name,
      typeof number === 'number' ? Math.round(number * 10) / 10 : number,
    ]),
  )
const expectShown = <T extends object>(result: Calculated<T>, expected: Record<string, unknown>) => {
  expect(shown(valueOf(result).value)).toMatchObject(expected)
}

const stature = 170
const blanket = { L: 200, W: 150, t: 0.5 }
const ops = (text: string): FoldOp[] =>
  text
    .split(' ')
    .map((word): FoldOp =>
      word.startsWith('accordion')
        ? { op: word.slice(0, 10) as 'accordionL', n: Number(word.slice(10)) }
        : { op: word as 'halfL' },
    )

describe('folds (2)', () => {
  test.each([
    ['W2f single', 'halfL', 100, 150, 2, 1],
    ['W2o long half', 'halfW', 200, 75, 2, 1],
    ['W2g double', 'halfL halfW', 100, 75, 4, 2],
    ['W2h long strip', 'halfW halfW', 200, 37.5, 4, 2],
    ['W2a standard', 'halfL halfW halfL', 50, 75, 8, 4],
    ['W2b narrow', 'halfL halfW halfL halfL', 25, 75, 16, 8],
    ['W2c square', 'halfL halfW halfL halfW', 50, 37.5, 16, 8],
    ['W2e thirds crosswise', 'halfL halfW halfL thirdW', 50, 25, 24, 12],
    ['W2i spine pad', 'halfL halfW thirdW', 100, 25, 12, 6],
    ['W2j spine accordion', 'halfL halfW accordionW4', 100, 18.75, 16, 8],
  ])('%s', (_, text, L, W, layers, height) => {
    const { value, warnings } = valueOf(fold({ ...blanket, ops: ops(text) }))
    expect(value).toEqual({ roll: false, L, W, layers, height })
    expect(warnings).toEqual([])
  })

  test('W2d warns that it is bulky', () => {
    expect(valueOf(fold({ ...blanket, ops: ops('halfL halfW halfL thirdL') })).warnings).toEqual(['FOLD_BULKY'])
  })

  test.each([
    ['W2k', 'halfL halfW rollL', 16.8, 75, 3.8],
    ['W2l', 'halfL rollL', 11.9, 150, 5.4],
    ['W2m', 'halfL halfW halfL rollL', 16.8, 75, 1.9],
    ['W2n', 'halfW halfW rollL', 23.8, 37.5, 5.4],
  ])('%s rolled', (_, text, diameter, length, turns) => {
    expectShown(fold({ ...blanket, ops: ops(text) }), { roll: true, diameter, length, turns })
  })

  test('what cannot be folded is refused with its operation', () => {
    expect(fold({ ...blanket, ops: ops('rollL halfL') })).toMatchObject({ code: 'AFTER_ROLL', field: 'ops[1]' })
    expect(fold({ ...blanket, ops: [{ op: 'crumple' } as unknown as FoldOp] })).toMatchObject({
      code: 'UNKNOWN_OP',
      field: 'ops[0]',
    })
    expect(fold({ ...blanket, ops: ops('accordionL13') })).toMatchObject({ code: 'OUT_OF_RANGE', field: 'ops[0]' })
    expect(fold({ ...blanket, ops: ops('accordionL12 accordionW12') })).toMatchObject({
      code: 'FOLD_TOO_THICK',
      field: 'ops[1]',
    })
    expect(fold({ ...blanket, L: Number.NaN, ops: [] })).toMatchObject({ code: 'NOT_FINITE', field: 'L' })
    expect(fold({ ...blanket, t: 0, ops: [] })).toMatchObject({ code: 'OUT_OF_RANGE', field: 't' })
  })
})

describe('stacks under load (3)', () => {
  const folded = { material: 'blanket', t: 0.7, n: 8, footprintCm2: 3750 }
  test('W3a to W3d', () => {
    const height = (layers: Parameters<typeof stackHeight>[0]['layers'], loadKg: number, contactCm2: number) =>
      valueOf(stackHeight({ layers, loadKg, contactCm2 })).value
    expect(height([folded], 4.9, 120).height).toBeCloseTo(4.16, 2)
    const seat = height([{ material: 'foamBlock', t: 10, footprintCm2: 345 }, folded], 54.6, 600)
    expect(seat.height).toBeCloseTo(13.37, 2)
    expect(seat.parts.map((part) => Math.round(part * 100) / 100)).toEqual([9.66, 3.71])
    expect(height([{ material: 'boltRound', t: 22, footprintCm2: 1452 }], 10.5, 250).height).toBeCloseTo(18.87, 2)
    expect(height([{ material: 'boltRect', t: 15, footprintCm2: 1980 }], 25.9, 1000).height).toBeCloseTo(13.92, 2)
  })

  test('no load gives the loose height; an unknown material and a load too great are refused', () => {
    expect(valueOf(stackHeight({ layers: [folded], loadKg: 0, contactCm2: 100 })).value.height).toBeCloseTo(5.6)
    expect(stackHeight({ layers: [{ material: 'toString', t: 1 }], loadKg: 1, contactCm2: 100 })).toMatchObject({
      code: 'UNKNOWN_MATERIAL',
      field: 'material',
    })
    expect(stackHeight({ layers: [], loadKg: 251, contactCm2: 100 })).toMatchObject({
      code: 'OUT_OF_RANGE',
      field: 'loadKg',
    })
    expect(stackHeight({ layers: [], loadKg: 1, contactCm2: 0 })).toMatchObject({
      code: 'OUT_OF_RANGE',
      field: 'areaCm2',
    })
  })

  test('a measured prop, calibrated, comes out as it was measured', () => {
    const { value } = valueOf(calibrate({ p50: 8, looseH: 15, loadedH: 13, loadKg: 25.9, contactCm2: 1000 }))
    expect(
      valueOf(
        stackHeight({ layers: [{ material: 'mine', t: 15 }], loadKg: 25.9, contactCm2: 1000, own: { mine: value } }),
      ).value.height,
    ).toBeCloseTo(13)
  })
})

test('the body model (4) at 170 cm, and a measurement before its share', () => {
  expect(shown(bodyOf(170))).toMatchObject({
    thigh: 41.7,
    shank: 41.8,
    legToHeel: 86.7,
    trunk: 49,
    headNeck: 30.9,
    sitting: 88.4,
    hipAboveSeat: 8.5,
  })
  expect(bodyOf(170, { thigh: 44 })).toMatchObject({ thigh: 44, shank: 0.246 * 170 })
})

describe('legs up the wall (5a)', () => {
  test('W5a1 to W5a3', () => {
    expectShown(legsUpWall({ stature, slrDeg: 80 }), {
      sitBoneToWall: 11.6,
      heelHeight: 93,
      floorDepth: 100,
      supportEdgeToWall: null,
      touching: false,
    })
    expectShown(legsUpWall({ stature, slrDeg: 80, supportH: 14 }), {
      tailDrop: 7,
      legAngle: 73,
      sitBoneToWall: 21.8,
      supportEdgeToWall: 24.8,
      floorDepth: 110.1,
    })
    expectShown(legsUpWall({ stature, slrDeg: 95 }), {
      touching: true,
      sitBoneToWall: 0,
      legAngle: 87.7,
      heelHeight: 94.9,
    })
  })
  test('legs that would lie too low want a chair; far from the wall is warned of', () => {
    expect(legsUpWall({ stature, slrDeg: 39 })).toMatchObject({ code: 'USE_CHAIR', field: 'slrDeg' })
    expect(valueOf(legsUpWall({ stature, slrDeg: 59 })).warnings).toEqual(['FAR_FROM_WALL'])
    expect(legsUpWall({ stature: 119, slrDeg: 80 })).toMatchObject({ code: 'OUT_OF_RANGE', field: 'stature' })
  })
})

describe('incline (5b)', () => {
  const bolster = { stature, bolsterLen: 66, thickness: 14, blockH: 20 }
  test('W5b1 to W5b3', () => {
    expectShown(incline(bolster), {
      bolsterAngle: 20.9,
      trunkAngle: 32.2,
      shoulderAlong: 40.1,
      edge: 7.8,
      headAboveHeart: 15.7,
    })
    expectShown(incline({ ...bolster, seatH: 4, headPad: 4 }), { trunkAngle: 27.9, edge: 5, headAboveHeart: 18.3 })
    expectShown(secondBlock({ theta: 20.92, midBlockH: 10 }), { floorX: 26.2, alongBolster: 28 })
  })
  test('its errors and warnings', () => {
    expect(incline({ ...bolster, blockH: 56 })).toMatchObject({ code: 'UNREACHABLE', field: 'blockH' })
    expect(incline({ ...bolster, blockH: 50 })).toMatchObject({ code: 'TOO_STEEP', field: 'blockH' })
    expect(incline({ ...bolster, bolsterLen: 38 })).toMatchObject({ code: 'BOLSTER_TOO_SHORT', field: 'bolsterLen' })
    expect(valueOf(incline({ ...bolster, blockH: 42 })).warnings).toContain('STEEP')
    expect(valueOf(incline({ ...bolster, bolsterLen: 55, blockH: 10 })).warnings).toContain('HEAD_OFF_END')
  })
})

describe('pelvis raised (5c)', () => {
  test('W5c1 and W5c2', () => {
    expectShown(pelvisRaised({ stature, pelvisH: 14 }), { slope: 16.6, headBelowHeart: 4.8, headBelowPelvis: 14 })
    const platform = pelvisRaised({ stature, pelvisH: 14, headPad: 2, slopeLen: 20 })
    expectShown(platform, { slope: 44.4, headBelowHeart: 9.7, headBelowPelvis: 12 })
    expect(valueOf(platform).warnings).toEqual(['STEEP'])
  })
  test('its errors and warnings', () => {
    expect(pelvisRaised({ stature, pelvisH: 2, shoulderPad: 4 })).toMatchObject({
      code: 'OUT_OF_RANGE',
      field: 'shoulderPad',
    })
    expect(pelvisRaised({ stature, pelvisH: 30, slopeLen: 20 })).toMatchObject({
      code: 'UNREACHABLE',
      field: 'pelvisH',
    })
    expect(valueOf(pelvisRaised({ stature, pelvisH: 10, headPad: 5 })).warnings).toEqual(['NECK_FLEXED_UNDER_LOAD'])
  })
})

describe('sitting (5d)', () => {
  test('W5d1 to W5d4', () => {
    expectShown(seatCross({ stature, thighUpDeg: 10 }), { kneeH0: 15.7, seatH: 12.3, kneeH: 18.8, kneeGap: 12.9 })
    expectShown(seatCross({ stature, kneeH0: 16 }), { seatH: 12.7, kneeH: 19.2 })
    expectShown(chairFeet({ stature: 155, seatH: 45 }), { footSupport: 7, seatRaise: 0 })
    expect(valueOf(chairFeet({ stature: 190, seatH: 45 })).value.seatRaise).toBeCloseTo(1.55)
  })
  test('past thirty centimetres a chair is better', () => {
    expect(seatCross({ stature, kneeH0: 40 })).toMatchObject({
      code: 'USE_CHAIR',
      field: 'seatH',
      extra: { seatH: expect.closeTo((40 + 2 - 8.5) / 0.75, 6) as number },
    })
    expect(seatCross({ stature })).toMatchObject({ code: 'NOT_FINITE', field: 'thighUpDeg' })
  })
})

describe('forward fold (5e)', () => {
  const fold105 = { stature, hipFlexDeg: 105, seatH: 8 }
  test('W5e1 to W5e4', () => {
    expectShown(forwardFold(fold105), { legSlope: 7.6, trunkLean: 22.6, headSupportH: 52.7, headX: 53.7 })
    expectShown(forwardFold({ ...fold105, base: 'legs' }), { headSupportH: 37.4 })
    expect(forwardFold({ stature, hipFlexDeg: 75, seatH: 8 })).toMatchObject({
      code: 'RAISE_SEAT',
      field: 'seatH',
      extra: { seatNeeded: expect.closeTo(19, 1) as number },
    })
    const held = valueOf(forwardFoldHold({ ...fold105, gainDeg: 6, holdS: 240 })).value
    expect(shown(held)).toMatchObject({ startH: 52.7, endH: 47.3, drop: 5.4 })
    expect(held.removeAtS.map((s) => Math.round(s * 10) / 10)).toEqual([38.9, 106.8])
  })
  test('without gain nothing is taken out; past the feet the floor carries', () => {
    expect(valueOf(forwardFoldHold({ ...fold105, gainDeg: 0, holdS: 240 })).value.removeAtS).toEqual([])
    expect(
      valueOf(forwardFold({ ...fold105, hipFlexDeg: 110, roundDeg: 0, neckDeg: -20, base: 'legs', legSlopeDeg: 60 }))
        .warnings,
    ).toContain('PAST_FEET')
    expect(valueOf(forwardFold({ stature, hipFlexDeg: 170 })).warnings).toContain('NO_SUPPORT_NEEDED')
    expect(forwardFold({ stature, hipFlexDeg: 60, legSlopeDeg: 0 })).toMatchObject({
      code: 'RAISE_SEAT',
      extra: { seatNeeded: null },
    })
  })
})

test('bound angle (5f): W5f1, W5f3 and heels too far', () => {
  expectShown(boundAngle({ stature, abductionDeg: 60 }), { kneeRadius: 38.2, kneeH: 25.8, supportH: 17.3 })
  expectShown(boundAngle({ stature, abductionDeg: 75 }), { supportH: 9.5 })
  expect(boundAngle({ stature, abductionDeg: 60, heelGap: 80 })).toMatchObject({
    code: 'UNREACHABLE',
    field: 'heelGap',
  })
})

test('knee bolster (5g): W5g1, no contact, knees high and out of reach', () => {
  expectShown(kneeBolster({ stature, supportH: 18 }), {
    hipFlex: 21.8,
    shankAngle: 26.8,
    kneeFlex: 48.6,
    hipToHeel: 76,
  })
  expect(valueOf(kneeBolster({ stature, supportH: 0 }))).toMatchObject({
    value: { kneeFlex: 0 },
    warnings: ['NO_CONTACT'],
  })
  expect(valueOf(kneeBolster({ stature, supportH: 30 })).warnings).toEqual(['KNEES_HIGH'])
  expect(kneeBolster({ stature, supportH: 60 })).toMatchObject({ code: 'UNREACHABLE', field: 'supportH' })
})

test('child’s pose (5h): W5h1 to W5h3', () => {
  expectShown(childsPose({ stature, bolsterTop: 20 }), { hipH: 18.7, torsoAngle: 14.2 })
  expect(valueOf(childsPose({ stature, bolsterTop: 0 })).warnings).toEqual(['HEAD_LOW'])
  expectShown(childsPose({ stature, bolsterTop: 0 }), { torsoAngle: -9.2 })
  expectShown(childsPoseInv({ stature, torsoAngle: 5 }), { bolsterTop: 12 })
})

test('mats (5i): W5i1, W5i2 and a wall too short', () => {
  expect(valueOf(matsWall({ segments: [480, 60] })).value).toEqual({ perSegment: [5, 0], total: 5 })
  expect(valueOf(matsRoom({ X: 600, Y: 900 })).value).toEqual({
    orientation: 'lengthAlongY',
    acrossX: 6,
    alongY: 3,
    total: 18,
  })
  expect(matsWall({ segments: [100, Number.POSITIVE_INFINITY] })).toMatchObject({
    code: 'NOT_FINITE',
    field: 'segments[1]',
  })
})

describe('reach a height (5f2)', () => {
  const inventory: Stocked[] = [
    {
      kind: 'foamBlock',
      rank: 0,
      count: 2,
      options: [
        { opt: 'flat', h: 10, foot: [23, 15] },
        { opt: 'side', h: 15, foot: [23, 10] },
        { opt: 'end', h: 23, foot: [15, 10] },
      ],
    },
    {
      kind: 'blanket',
      rank: 2,
      count: 3,
      options: [
        { opt: 'standard', h: 4, foot: [75, 50] },
        { opt: 'half', h: 8, foot: [75, 25] },
        { opt: 'quarter', h: 2, foot: [100, 75] },
      ],
    },
    { kind: 'boltRect', rank: 1, count: 1, options: [{ opt: 'flat', h: 14, foot: [66, 30] }] },
  ]
  test('WF1 to WF3', () => {
    const fourteen = valueOf(findStacks({ H: 14, inventory })).value
    expect(fourteen.count).toBe(5)
    expect(fourteen.best.map(({ key }) => key)).toEqual([
      'boltRect:flat',
      'foamBlock:side',
      'foamBlock:flat|blanket:standard',
      'blanket:quarter|blanket:standard|blanket:half',
      'foamBlock:flat|blanket:quarter|blanket:quarter',
    ])
    const twentyFive = valueOf(findStacks({ H: 25, inventory })).value
    expect(twentyFive.count).toBe(12)
    expect(twentyFive.best.map(({ key }) => key)).toEqual([
      'boltRect:flat|blanket:quarter|blanket:half',
      'boltRect:flat|blanket:standard|blanket:half',
      'blanket:half|blanket:half|blanket:half',
      'boltRect:flat|blanket:quarter|blanket:standard|blanket:standard',
      'boltRect:flat|blanket:quarter|blanket:quarter|blanket:half',
    ])
    expect(findStacks({ H: 1, tol: 0.5, inventory })).toEqual({
      ok: false,
      code: 'NO_STACK',
      field: 'H',
      extra: { below: null, above: { height: 2, key: 'blanket:quarter' } },
    })
  })
  test('ranges and numbers that are none are refused by name', () => {
    expect(findStacks({ H: 0.4, inventory })).toMatchObject({ code: 'OUT_OF_RANGE', field: 'H' })
    expect(findStacks({ H: Number.NaN, tol: 99, inventory })).toMatchObject({ code: 'NOT_FINITE', field: 'H' })
  })
})
