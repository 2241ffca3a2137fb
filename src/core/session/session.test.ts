import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import {
  applyEdit,
  changeCosts,
  changesBetween,
  compareSessions,
  familyCeilingS,
  finalRestFloorS,
  insertionIndex,
  linkHold,
  mirrorText,
  orderEdits,
  orderShifted,
  orderWith,
  resolveSession,
  setHoldSide,
  sideParts,
  storeSideText,
  turnSideWord,
} from './index.ts'
import type { Catalog, Edit, ResolvedHold } from './index.ts'

const patternIn = (techniqueId: string, more: object = {}) => {
  const session = aSession([aBreath(techniqueId, more)])
  const [resolved] = orThrow(resolveSession(session, shippedCatalog))
  const [section] = resolved?.kind === 'breath' ? resolved.sections : []
  return section?.kind === 'rounds' ? section.pattern : undefined
}

test('a hum is not counted, unless counts or rounds were planned for it; what an old plan said of the natural breath is not', () => {
  const sets = { amount: { sets: 1, roundsPerSet: 5 } }
  const pattern = { in: 6, full: 0, out: 8, empty: 0 }
  expect(patternIn('humming-exhale')).toBeUndefined()
  expect(patternIn('humming-exhale', sets)).toMatchObject({ in: 8, out: 12 })
  expect(patternIn('humming-exhale', { pattern, amount: { fillS: 120, roundsPerSet: 5 } })).toEqual(pattern)
  expect(patternIn('even-breath')).toMatchObject({ in: 8, out: 8 })
  expect(patternIn('watching-the-breath', { ...sets, pattern })).toBeUndefined()
})

const edits = (session: Session): fc.Arbitrary<Edit> => {
  const ids = fc.constantFrom(...session.blocks.map((block) => block.id), 'nobody')
  const place = fc.integer({ min: -1, max: session.blocks.length + 1 })
  return fc.oneof(
    fc.record({
      type: fc.constant('insert' as const),
      at: place,
      block: fc.constantFrom(aTalk('new'), aClosing({ id: 'end' })),
    }),
    fc.record({ type: fc.constant('remove' as const), id: ids }),
    fc.record({ type: fc.constant('move' as const), id: ids, to: place }),
    fc.record({ type: fc.constant('replace' as const), block: ids.map((id) => aTalk(id, 77)) }),
    fc.constant<Edit>({ type: 'details', details: { name: 'Another name', lengthS: 1800 } }),
  )
}

test('every edit that is taken is undone by its inverse, and never leaves a closing before the end', () => {
  fc.assert(
    fc.property(
      sessions().chain((session) => fc.tuple(fc.constant(session), edits(session))),
      ([session, edit]) => {
        const done = applyEdit(session, edit)
        if (!done.ok) return
        const { blocks } = done.value.session
        expect(blocks.slice(0, -1).every((block) => block.kind !== 'closing')).toBe(true)
        expect(orThrow(applyEdit(done.value.session, done.value.inverse)).session).toEqual(session)
      },
    ),
  )
})

test('an edit that changes nothing gives the same session back', () => {
  const session = aSession([aTalk('a'), aTalk('b')])
  const same = (edit: Edit) => orThrow(applyEdit(session, edit)).session
  expect(same({ type: 'move', id: 'b', to: 1 })).toBe(session)
  expect(same({ type: 'details', details: { name: session.name } })).toBe(session)
})

test.each<[Edit, string]>([
  [{ type: 'remove', id: 'nobody' }, 'UNKNOWN_BLOCK'],
  [{ type: 'insert', at: 0, block: aTalk('a') }, 'ID_TWICE'],
  [{ type: 'insert', at: 9, block: aTalk('new') }, 'NO_SUCH_PLACE'],
  [{ type: 'move', id: 'closing', to: 0 }, 'CLOSING_NOT_LAST'],
  [{ type: 'insert', at: 2, block: aTalk('new') }, 'CLOSING_NOT_LAST'],
])('an edit that cannot be is refused: %j', (edit, code) => {
  expect(applyEdit(aSession([aTalk('a'), aClosing()]), edit)).toMatchObject({ ok: false, code })
})

test('a new block goes after the chosen one, before the closing, and a second closing nowhere', () => {
  const session = aSession([aTalk('a'), aTalk('b'), aClosing()])
  expect(insertionIndex(session, 'hold', 'a')).toBe(1)
  expect(insertionIndex(session, 'hold', undefined)).toBe(2)
  expect(insertionIndex(session, 'hold', 'closing')).toBe(2)
  expect(insertionIndex(session, 'closing', 'a')).toBeUndefined()
  expect(insertionIndex(aSession(), 'closing', undefined)).toBe(0)
})

const resolvedHold = (session: Session, catalog: Catalog = shippedCatalog): ResolvedHold => {
  const last = orThrow(resolveSession(session, catalog)).findLast((block) => block.kind === 'hold')
  if (!last) throw new Error('the session has no hold')
  return last
}

test('a time is taken from the block, then the session, then the own pose, then learned, then shipped', () => {
  const shipped = shippedCatalog.poses.get('deer')
  if (!shipped) throw new Error('deer is on the shelf')
  const learned: Catalog = { ...shippedCatalog, learned: new Map([['settle:deer regular', 21]]) }
  const own: Catalog = {
    ...learned,
    ownPoses: new Map([['deer', { ...shipped, times: { ...shipped.times, settleS: 22 } }]]),
  }
  const general = aSession([aHold('deer')], { times: { settleS: 23 } })
  const particular = aSession([aHold('deer', { times: { settleS: 24 } })], { times: { settleS: 23 } })
  const settle = (session: Session, catalog: Catalog) => resolvedHold(session, catalog).times.settleS
  expect(settle(particular, own)).toEqual({ value: 24, from: 'block' })
  expect(settle(general, own)).toEqual({ value: 23, from: 'session' })
  expect(settle(aSession([aHold('deer')]), own)).toEqual({ value: 22, from: 'own pose' })
  expect(settle(aSession([aHold('deer')]), learned)).toEqual({ value: 21, from: 'learned' })
  expect(settle(aSession([aHold('deer')]), shippedCatalog)).toEqual({ value: 10, from: 'shipped' })
})

test('an answer is taken from the block, then the session, then the own pose, then the school', () => {
  const answered = (session: Session) => resolvedHold(session).answers.betweenSides
  expect(answered(aSession([aHold('deer')]))).toBe('movement')
  expect(answered(aSession([aHold('deer')], { answers: { betweenSides: 'nothing' } }))).toBe('nothing')
  expect(
    answered(
      aSession([aHold('deer', { answers: { betweenSides: 'stillness' } })], { answers: { betweenSides: 'nothing' } }),
    ),
  ).toBe('stillness')
})

test('where the school puts nothing between the sides, nothing is planned between them', () => {
  const session = aSession([aHold('deer')], { answers: { betweenSides: 'nothing' } })
  expect(resolvedHold(session).times.betweenSidesS).toEqual({ value: 0, from: 'school' })
})

test('the first side is the school’s, alternates from pose to pose where asked, and a block decides for itself', () => {
  const first = (session: Session) =>
    orThrow(resolveSession(session, shippedCatalog)).map((block) =>
      block.kind === 'hold' ? block.sides[0]?.side : null,
    )
  const three = [
    aHold('deer', { id: 'a' }),
    aHold('sphinx'),
    aHold('deer', { id: 'b' }),
    aHold('deer', { id: 'c', firstSide: 'right' }),
  ]
  expect(first(aSession(three))).toEqual(['left', 'both', 'left', 'right'])
  expect(first(aSession(three, { answers: { firstSide: 'alternate' } }))).toEqual(['left', 'both', 'right', 'right'])
})

test('the change before a block follows the base positions, and is nothing at the very start', () => {
  const resolved = orThrow(resolveSession(aSession([aHold('sphinx'), aTalk(), aHold('deer')]), shippedCatalog))
  const changes = changesBetween(resolved, changeCosts({ level: 'regular' }, shippedCatalog))
  expect(changes.into(0, undefined)).toMatchObject({ from: undefined, parts: { positionS: 0 } })
  const lying = changes.after(0, undefined)
  expect(changes.into(1, lying)).toBeUndefined()
  expect(changes.after(1, lying)).toBe(lying)
  expect(changes.into(2, lying)).toMatchObject({ from: 'prone', to: 'seated', parts: { positionS: 20 } })
})

test.each([
  [3600, 'regular', 360],
  [1200, 'regular', 180],
  [4530, 'regular', 450],
  [14_400, 'regular', 720],
  [14_400, 'new', 480],
] as const)('the final rest of %d s for %s people has its floor at %d s', (lengthS, level, floorS) => {
  expect(finalRestFloorS(lengthS, familyCeilingS(shippedCatalog.ceilings, 'final_rest', level))).toBe(floorS)
})

test('changing one side unlinks the two, and linking gives both the longer time', () => {
  const apart = setHoldSide({ holdS: 180 }, 'right', 150)
  expect(apart).toEqual({ leftS: 180, rightS: 150 })
  expect(linkHold(apart)).toEqual({ holdS: 180 })
})

test('a cue’s tokens name the side being held and the other one', () => {
  const text = '{this} knee in, {other} hand free'
  expect(mirrorText(text, 'left')).toBe('left knee in, right hand free')
  expect(mirrorText(text, 'right')).toBe('right knee in, left hand free')
})

test('several edits are one step: all are done and taken back together, or none is', () => {
  fc.assert(
    fc.property(
      sessions().chain((session) => fc.tuple(fc.constant(session), fc.array(edits(session), { maxLength: 5 }))),
      ([session, list]) => {
        const done = applyEdit(session, { type: 'several', edits: list })
        if (!done.ok) return
        expect(orThrow(applyEdit(done.value.session, done.value.inverse)).session).toEqual(session)
      },
    ),
  )
  const two = aSession([aTalk('a'), aTalk('b')])
  expect(
    applyEdit(two, {
      type: 'several',
      edits: [
        { type: 'remove', id: 'a' },
        { type: 'remove', id: 'nobody' },
      ],
    }).ok,
  ).toBe(false)
})

const sideTexts = fc
  .array(fc.constantFrom('left', 'right', '{this}', '{other}', 'knee', 'Left', 'quiet', ','), { maxLength: 8 })
  .map((parts) => parts.join(' '))

test('words for a side are shown for the left and stored for both, and untouched text stays as it was', () => {
  fc.assert(
    fc.property(sideTexts, (stored) => {
      const shown = mirrorText(stored, 'left')
      expect(storeSideText(stored, shown, 'left')).toBe(stored)
      expect(
        sideParts(stored, 'left')
          .map(({ text }) => text)
          .join(''),
      ).toBe(shown)
    }),
  )
})

test.each([
  ['', 'Left knee quiet, right hand free', '{this} knee quiet, {other} hand free'],
  ['what is left', 'what is left now', 'what is left now'],
  ['what is left', 'left knee, what is left', '{this} knee, what is left'],
  ['{this} knee', 'bright lefty', 'bright lefty'],
  ['', 'the right knee at a right angle', 'the {other} knee at a right angle'],
  ['', 'right under the heel, if it feels right', 'right under the heel, if it feels right'],
  ['', 'turn to the right over the block', 'turn to the {other} over the block'],
])('after %j, typing %j stores %j', (before, typed, stored) => {
  expect(storeSideText(before, typed, 'left')).toBe(stored)
})

test('a click turns one word for a side into plain text, and back', () => {
  expect(turnSideWord('{this} knee, {other} hand', 1, 'left')).toBe('{this} knee, right hand')
  expect(turnSideWord('{this} knee, right hand', 1, 'left')).toBe('{this} knee, {other} hand')
})

test('two states of a session: what was added, dropped, moved, changed, and which details', () => {
  const [a, b, c, d] = [aTalk('a'), aTalk('b'), aTalk('c'), aTalk('d')]
  const before = aSession([a, b, c, aHold('deer')])
  const after = aSession([b, c, a, { ...aHold('deer'), hold: { holdS: 90 } }, d], { name: 'Renamed' })
  expect(compareSessions(before, after)).toEqual([
    { kind: 'detail', detail: 'name', before: 'A session', after: 'Renamed' },
    { kind: 'moved', block: a, from: 0, to: 2 },
    { kind: 'changed', before: aHold('deer'), after: { ...aHold('deer'), hold: { holdS: 90 } } },
    { kind: 'added', block: d },
  ])
  expect(compareSessions(after, before).map(({ kind }) => kind)).toEqual(['detail', 'moved', 'changed', 'dropped'])
  expect(compareSessions(before, before)).toEqual([])
})

const orders = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'), { minLength: 1 })

test('moves bring blocks into any order, groups stay together, and a shift passes nobody of the group', () => {
  fc.assert(
    fc.property(
      orders,
      fc.subarray(['a', 'b', 'c', 'd', 'e', 'f']),
      fc.nat(6),
      fc.constantFrom(1 as const, -1 as const),
      (ids, some, at, by) => {
        const session = aSession(ids.map((id) => aTalk(id)))
        const taken = new Set(some)
        const orderOf = (order: readonly string[]) =>
          orThrow(applyEdit(session, { type: 'several', edits: orderEdits(session, order) })).session.blocks.map(
            ({ id }) => id,
          )
        const together = orderWith(ids, taken, at)
        expect(orderOf(together)).toEqual(together)
        expect(together.filter((id) => !taken.has(id))).toEqual(ids.filter((id) => !taken.has(id)))
        const shifted = orderShifted(ids, taken, by, ids.length)
        expect(orderOf(shifted)).toEqual(shifted)
        expect(shifted.filter((id) => taken.has(id))).toEqual(ids.filter((id) => taken.has(id)))
        expect(ids.every((id, index) => Math.abs(shifted.indexOf(id) - index) <= ids.length)).toBe(true)
      },
    ),
  )
  expect(orderShifted(['a', 'b', 'c', 'd'], new Set(['b', 'c']), -1, 4)).toEqual(['b', 'c', 'a', 'd'])
  expect(orderShifted(['a', 'b', 'c', 'd'], new Set(['a', 'c']), -1, 4)).toEqual(['a', 'c', 'b', 'd'])
  expect(orderShifted(['a', 'b', 'closing'], new Set(['b']), 1, 2)).toEqual(['a', 'b', 'closing'])
})

test('a token that is typed is the word in its braces', () => {
  expect(storeSideText('', 'Lift {this} knee, {other} foot, {roll}', 'left')).toBe('Lift this knee, other foot, roll')
  expect(storeSideText('The {this} knee', 'The {this} left knee', 'left')).toBe('The this {this} knee')
})

test('where both sides are held at once no token is said', () => {
  expect(mirrorText('Weight on the {this} shoulder, the {other} arm free', 'both')).toBe(
    'Weight on the shoulder, the other arm free',
  )
})

test('what led classes taught stands before the shelf, by level, and of a form before its pose', () => {
  const learned: Catalog = {
    ...shippedCatalog,
    learned: new Map([
      ['setUp:deer regular', 44],
      ['setUp:deer:leaning-back regular', 52],
      ['comingOut:deer new', 3],
    ]),
  }
  const timesIn = (details: Parameters<typeof aHold>[1] = {}) =>
    resolvedHold(aSession([aHold('deer', details)]), learned).times
  expect(timesIn()).toMatchObject({
    setUpS: { value: 44, from: 'learned' },
    secondSetUpS: { value: 22, from: 'rule' },
    comingOutS: { from: 'shipped' },
  })
  const [form] = shippedCatalog.poses.get('deer')?.variants ?? []
  if (!form) throw new Error('deer has a form')
  const ofForm = new Map([...learned.learned, [`setUp:deer:${form.id} regular`, 52]])
  const formed = resolvedHold(aSession([aHold('deer', { variantId: form.id })]), { ...learned, learned: ofForm })
  expect(formed.times.setUpS).toEqual({ value: 52, from: 'learned' })
})

test('of an own pose a record stands above what was taken over with the copy, not above what was typed', () => {
  const deer = shippedCatalog.poses.get('deer')
  if (!deer) throw new Error('deer is on the shelf')
  const mine = { ...deer, id: 'mine', copiedFrom: 'deer', times: { ...deer.times, settleS: deer.times.settleS + 7 } }
  const catalog: Catalog = {
    ...shippedCatalog,
    ownPoses: new Map([['mine', mine]]),
    learned: new Map([
      ['settle:mine regular', 40],
      ['comingOut:mine regular', 41],
    ]),
  }
  const { settleS, comingOutS } = resolvedHold(aSession([aHold('mine')]), catalog).times
  expect(settleS.from).toBe('own pose')
  expect(comingOutS).toEqual({ value: 41, from: 'learned' })
})
