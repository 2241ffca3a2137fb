import fc from 'fast-check'
import type { HoldBlock, RestBlock } from '#model/block'
import type { Session } from '#model/session'
import type { SetUpItem } from '#model/set-up'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { poses } from '#library/poses'
import { sessions } from '#testing/arbitraries'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { ownPoseFrom } from '#testing/own-poses'
import { changeCosts, changesBetween, positionsAlong, resolveSession, withOwn } from './index.ts'
import type { Catalog, ChangeCosts } from './index.ts'

const aRest = (details: Partial<RestBlock> = {}): RestBlock => ({ kind: 'rest', id: 'rest', s: 60, ...details })
const changesOf = (session: Session, catalog: Catalog = shippedCatalog, more: Partial<ChangeCosts> = {}) =>
  changesBetween(orThrow(resolveSession(session, catalog)), { ...changeCosts(session, catalog), ...more })
/** The change into the last block of some, one after the other as they stand. */
const lastChange = (blocks: Session['blocks'], details: Partial<Session> = {}, more: Partial<ChangeCosts> = {}) => {
  const changes = changesOf(aSession(blocks, details), shippedCatalog, more)
  let stand: number | undefined
  for (const at of blocks.keys()) if (at < blocks.length - 1) stand = changes.after(at, stand)
  return changes.into(blocks.length - 1, stand)
}

const bolster: SetUpItem = { id: 'b', kind: 'rectBolster', count: 1, under: 'knees' }
const pillow: SetUpItem = { id: 'p', kind: 'eyePillow', count: 1, under: 'eyes', lies: 'over' }
const supine = (id: string, setUpItems: SetUpItem[], more: Partial<HoldBlock> = {}) =>
  aHold('knees-to-chest', { id, setUpItems, ...more })
const seated = (id: string, setUpItems: SetUpItem[], more: Partial<HoldBlock> = {}) =>
  aHold('cross-legged-seat', { id, setUpItems, ...more })

describe('the seconds of a change', () => {
  test('from the start are those of what is brought; where the position stays, those by hand', () => {
    expect(lastChange([supine('a', [bolster])])).toMatchObject({
      from: undefined,
      changeS: { value: 4, from: 'props' },
      trips: 1,
    })
    expect(lastChange([supine('a', [bolster]), supine('b', [])])?.changeS).toEqual({ value: 3, from: 'props' })
    expect(lastChange([supine('a', [bolster]), supine('b', [{ ...bolster, id: 'same' }])])?.changeS).toEqual({
      value: 0,
      from: 'position',
    })
  })

  test('where people come up and anything lies under them are coming over, all of it laid anew, and showing it', () => {
    const change = lastChange([supine('a', [bolster]), seated('b', [bolster])])
    const overS = shippedCatalog.changes.supine.seated
    expect(change?.parts).toEqual({ positionS: overS, propsS: 5, showS: 10, factor: 1, over: 1, by: 'props' })
    expect(change?.changeS).toEqual({ value: overS + 15, from: 'props' })
    // What lies on the body alone is nothing to be shown.
    expect(lastChange([supine('a', [pillow]), seated('b', [])])).toMatchObject({
      changeS: { value: overS, from: 'position' },
      parts: { propsS: 3, showS: 0 },
    })
    expect(lastChange([supine('a', []), seated('b', [])])?.changeS).toEqual({ value: overS, from: 'position' })
  })

  test('are what led classes taught of coming over, or of a change that props make, never shorter than coming over', () => {
    const overS = shippedCatalog.changes.supine.seated
    const taught = (learned: Catalog['learned'], ...blocks: Session['blocks']) =>
      lastChange(blocks, {}, changeCosts({ level: 'regular' }, { ...shippedCatalog, learned }))?.changeS
    const bare = [supine('a', []), seated('b', [])]
    const propped = [supine('a', [bolster]), seated('b', [bolster])]
    const over = new Map([['change:supine>seated regular', 40]])
    expect(taught(over, ...bare)).toEqual({ value: 40, from: 'learned' })
    expect(taught(over, ...propped)).toEqual({ value: 55, from: 'props' })
    expect(taught(new Map([['change:supine>seated new', 40]]), ...bare)).toEqual({ value: overS, from: 'position' })
    expect(taught(new Map([['changeover regular', 200]]), ...propped)).toEqual({
      value: 2 * (overS + 15),
      from: 'learned',
    })
    expect(taught(new Map([['changeover regular', 35]]), ...propped)).toEqual({ value: overS, from: 'position' })
    expect(taught(new Map([['changeover regular', 200]]), ...bare)).toEqual({ value: overS, from: 'position' })
  })

  test('go with the level, and with how many there are past four, at most by half', () => {
    const many = Array.from({ length: 5 }, (_, at): SetUpItem => ({ ...bolster, id: `b${String(at)}`, kind: 'strap' }))
    const s = (level: Session['level'], people?: number) =>
      lastChange([supine('a', many)], { level }, { people })?.changeS.value
    expect([s('regular'), s('new'), s('experienced')]).toEqual([60, 90, 48])
    expect([s('regular', 4), s('regular', 14), s('regular', 40)]).toEqual([60, 78, 90])
  })

  test('set by the teacher, by their own pose or by the record stand, for any number of people', () => {
    const set = [supine('a', [bolster]), seated('b', [bolster], { times: { changeS: 7 } })]
    expect(lastChange(set, {}, { people: 30 })).toMatchObject({ changeS: { value: 7, from: 'block' }, trips: 0 })
    expect(lastChange(set)?.parts).toBeUndefined()
    const pose = ownPoseFrom('cross-legged-seat', { id: 'mine' })
    const own = withOwn(shippedCatalog, [
      { kind: 'pose', version: 1, document: { ...pose, times: { ...pose.times, changeS: 9 } } },
    ])
    expect(changesOf(aSession([aHold('mine')]), own).into(0, undefined)?.changeS).toEqual({
      value: 9,
      from: 'own pose',
    })
  })

  test('no shipped pose says any: they follow from what it takes', () => {
    expect(poses.filter(({ times }) => times.changeS !== undefined)).toEqual([])
  })
})

describe('what lies there', () => {
  test('stays while people talk, rest or breathe without a set-up, and is off where they left their position', () => {
    const laid = (...between: Session['blocks']) =>
      lastChange([supine('a', [bolster]), ...between, supine('b', [bolster])])?.laid
    expect(laid(aTalk())).toMatchObject({ from: [bolster], baseChanges: false })
    expect(laid(aRest())).toMatchObject({ from: [bolster], baseChanges: false })
    expect(laid(aBreath('even-breath'))).toMatchObject({ from: [bolster], baseChanges: true })
    expect(laid(aRest({ setUpItems: [pillow] }))).toMatchObject({ from: [pillow], baseChanges: false })
    // A hold without anything has nothing lie there.
    expect(laid(supine('bare', []))).toMatchObject({ from: [] })
  })

  test('is put aside for the final rest, or used for it', () => {
    const closing = aClosing({ setUpItems: [bolster] })
    expect(lastChange([supine('a', [bolster]), closing])?.changeS.value).toBe(0)
    expect(lastChange([supine('a', []), closing])?.changeS.value).toBe(4)
  })

  test('after a step in mid-hold is what that step left', () => {
    const stepped = supine('a', [bolster, pillow], {
      steps: [{ id: 's', at: { fromStartS: 60 }, items: [pillow] }],
    })
    expect(lastChange([stepped, supine('b', [])])?.laid?.from).toEqual([pillow])
  })
})

test('what lies on one side is brought over for the second, where that takes longer than half the set-up', () => {
  const secondOf = (setUpItems: SetUpItem[], more: Partial<HoldBlock> = {}) => {
    const [hold] = orThrow(resolveSession(aSession([aHold('deer', { setUpItems, ...more })]), shippedCatalog))
    return hold?.kind === 'hold' ? hold.times.secondSetUpS : undefined
  }
  const half = secondOf([])
  expect(half?.from).toBe('rule')
  const blocks = (more: Partial<SetUpItem> = {}): SetUpItem[] => [
    { id: 'a', kind: 'foamBlock', count: 20, under: 'knees', ...more },
  ]
  expect(secondOf(blocks())).toEqual({ value: 100, from: 'props' })
  expect(secondOf(blocks({ piles: 2 }))).toEqual(half)
  expect(secondOf(blocks({ under: 'head' }))).toEqual(half)
  expect(secondOf(blocks({ lies: 'over' }))).toEqual(half)
  expect(secondOf(blocks(), { times: { secondSetUpS: 12 } })).toEqual({ value: 12, from: 'block' })
})

test('a change is told by the block before, whichever stands before it in the plan', () => {
  const changes = changesOf(aSession([aHold('sphinx'), aHold('deer'), aHold('deer', { id: 'other' })]))
  const [sphinx, deer, other] = [0, 1, 2].map((at) => changes.after(at, undefined))
  expect(changes.into(1, sphinx)).toMatchObject({ from: 'prone', to: 'seated' })
  expect(changes.into(0, deer)).toMatchObject({ from: 'seated', to: 'prone' })
  // Blocks that leave the same leave the same number.
  expect(other).toBe(deer)
})

test('a rest that names no position is done wherever people are, and leaves them there', () => {
  const changes = changesOf(aSession([aHold('sphinx'), aRest(), aHold('deer')]))
  const lying = changes.after(0, undefined)
  expect(changes.into(1, lying)).toMatchObject({ from: 'prone', to: 'prone', changeS: { value: 0 } })
  expect(changes.after(1, lying)).toBe(lying)
  // At the start it is a place of its own, on the back.
  expect(changes.into(0, changes.after(1, undefined))).toMatchObject({ from: 'supine', to: 'prone' })
})

test('who sits on a chair stays there for a movement that is done there too, and for the next pose on it', () => {
  const rolls = { kind: 'movement', id: 'rolls', movementId: 'shoulder-rolls' } as const
  const changes = changesOf(aSession([aHold('chair-seat'), rolls, aHold('chair-twist'), aHold('sphinx')]))
  const onChair = changes.after(0, undefined)
  expect(changes.into(1, onChair)).toMatchObject({ from: 'onChair', to: 'onChair' })
  const rolled = changes.after(1, onChair)
  expect(rolled).toBe(onChair)
  expect(changes.into(2, rolled)).toMatchObject({ from: 'onChair', to: 'onChair', parts: { positionS: 0, showS: 0 } })
  // From anywhere else one sits down on the floor for it, and brings the chair for the pose.
  const prone = changes.after(3, undefined)
  expect(changes.into(1, prone)).toMatchObject({ from: 'prone', to: 'seated' })
  expect(changes.into(2, prone)?.changeS.value).toBeGreaterThanOrEqual(30)
})

test('the timeline lays out the changes of the order as it stands', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const changes = changesOf(session)
      let stand: number | undefined
      for (const [at, span] of orThrow(compileTimeline(session, shippedCatalog)).blocks.entries()) {
        expect(span.change).toEqual(changes.into(at, stand))
        stand = changes.after(at, stand)
      }
    }),
    { numRuns: 60 },
  )
})

test('no change is shorter than the least it can be, from wherever people come', () => {
  fc.assert(
    fc.property(sessions(6), (session) => {
      const changes = changesOf(session)
      const all = [...session.blocks.keys()]
      for (const at of all) {
        // A block comes once: what lies before it is what others left, in any order.
        const others = all.filter((one) => one !== at)
        let stands: readonly (number | undefined)[] = [undefined]
        for (let round = 0; round < 2; round += 1)
          stands = [...new Set(stands.flatMap((stand) => [stand, ...others.map((one) => changes.after(one, stand))]))]
        for (const from of others.filter((one) => session.blocks[one]?.kind !== 'talk'))
          for (const stand of stands) {
            const into = changes.into(at, changes.after(from, stand))
            if (into) expect(into.changeS.value).toBeGreaterThanOrEqual(changes.leastInto(at, from))
          }
      }
    }),
    { numRuns: 40 },
  )
})

test('a talk has no change', () => {
  const changes = changesOf(aSession([aTalk(), aHold('deer')]))
  expect(changes.into(0, undefined)).toBeUndefined()
  expect(changes.after(0, undefined)).toBeUndefined()
})

test('where each block is done: a talk where people are by then, a rest that names no place where they were left', () => {
  const blocks = [aTalk('hello'), aHold('deer'), aTalk('on'), aHold('sphinx'), aRest(), aClosing()]
  expect(positionsAlong(orThrow(resolveSession(aSession(blocks), shippedCatalog)))).toEqual([
    ...[undefined, 'seated', 'seated'],
    ...['prone', 'prone', 'supine'],
  ])
})
