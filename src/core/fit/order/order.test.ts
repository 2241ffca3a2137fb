import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { resolveSession } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { linkedSessions, sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { betterOrder } from '#core/fit'
import { keeps } from './better-order.ts'
import { precedenceOf } from './precedence.ts'

const better = (session: Session) => orThrow(betterOrder(session, shippedCatalog))
const inOrder = (session: Session, places: readonly number[]): Session => ({
  ...session,
  blocks: places.flatMap((at) => session.blocks[at] ?? []),
})

/** Change seconds, changes of base position and trips for props as the compiled session shows them. */
function costOf(session: Session): [number, number, number] {
  const { blocks, segments } = orThrow(compileTimeline(session, shippedCatalog))
  const changes = segments.flatMap(({ doing, startMs, endMs }) =>
    doing.kind === 'change' ? [{ ...doing, ms: endMs - startMs }] : [],
  )
  const moves = blocks.filter(({ change }) => change?.from !== undefined && change.from !== change.to)
  const trips = blocks.reduce((sum, { change }) => sum + (change?.trips ?? 0), 0)
  return [changes.reduce((sum, { ms }) => sum + ms / 1000, 0), moves.length, trips]
}

function permutations(items: readonly number[]): number[][] {
  if (items.length < 2) return [[...items]]
  return items.flatMap((item, at) => permutations(items.toSpliced(at, 1)).map((rest) => [item, ...rest]))
}

/** The fewest blocks to take out so that the rest still stands in its order. */
function movedIn(order: readonly number[]): number {
  const runs = order.map(() => 1)
  order.forEach((block, at) => {
    for (let before = 0; before < at; before += 1)
      if ((order[before] ?? 0) < block) runs[at] = Math.max(runs[at] ?? 1, (runs[before] ?? 0) + 1)
  })
  return order.length - Math.max(0, ...runs)
}

function bruteForce(session: Session): { order: number[]; merit: number[] } {
  const resolved = orThrow(resolveSession(session, shippedCatalog))
  const precedence = precedenceOf(resolved)
  const planned = resolved.map((_, at) => at)
  const free = planned.filter((at) => !precedence.isFixed(at))
  return permutations(free)
    .map((order) => {
      const left = [...order]
      return { free: order, order: planned.map((at) => (precedence.isFixed(at) ? at : (left.shift() ?? at))) }
    })
    .filter(({ order }) => keeps(order, precedence))
    .map(({ order, free: moved }) => ({ order, merit: [...costOf(inOrder(session, order)), movedIn(moved), ...order] }))
    .reduce((a, b) => {
      const at = a.merit.findIndex((value, index) => value !== b.merit[index])
      return at >= 0 && (b.merit[at] ?? 0) < (a.merit[at] ?? 0) ? b : a
    })
}

describe('a better order', () => {
  test('equals the best of all orders on 210 seeded sessions, each order compiled by itself', () => {
    const drawn = fc.sample(fc.oneof(sessions(5), linkedSessions(5)), { numRuns: 210, seed: 20_261_124 })
    let improved = 0
    for (const session of drawn) {
      const found = better(session)
      const expected = session.blocks.length === 0 ? [] : bruteForce(session).order
      expect(found.order).toEqual(expected.map((at) => session.blocks[at]?.id))
      expect(found.isBest).toBe(true)
      const [changeS] = costOf(inOrder(session, expected))
      expect(found.then.changeS).toBe(changeS)
      if (found.edits.length > 0) improved += 1
    }
    expect(improved).toBeGreaterThan(20)
  })

  test('keeps the opening first, warm before deep, the counterpose after and the closing last', () => {
    const session = aSession([
      aTalk(),
      aHold('wide-knee-fold'),
      aHold('figure-four-lying'),
      aHold('deer'),
      aHold('knees-to-chest'),
      aHold('long-leg-fold', { id: 'fold' }),
      aClosing(),
    ])
    const { order } = better(session)
    const at = (id: string) => order.indexOf(id)
    expect(order[0]).toBe('talk')
    expect(at('wide-knee-fold')).toBe(1)
    expect(at('knees-to-chest')).toBe(at('deer') + 1)
    expect(at('figure-four-lying')).toBeLessThan(at('deer'))
    expect(order.at(-1)).toBe('closing')
  })

  test('says what it saves, and suggests nothing where nothing is saved', () => {
    const back = aSession([
      aHold('cross-legged-seat'),
      aHold('crescent-lying'),
      aHold('one-leg-fold'),
      aHold('figure-four-lying'),
    ])
    const found = better(back)
    expect(found.order).toEqual(['cross-legged-seat', 'one-leg-fold', 'crescent-lying', 'figure-four-lying'])
    expect([found.now.changeS, found.then.changeS]).toEqual([156, 89])
    const good = better(inOrder(back, [0, 2, 1, 3]))
    expect(good.edits).toEqual([])
    expect(good.now).toEqual(good.then)
  })

  test('a movement that is done on the chair people sit on leaves them there, wherever it stands', () => {
    const drawn = fc.sample(
      fc.shuffledSubarray(
        [
          aHold('chair-fold'),
          aHold('chair-side-bend'),
          aHold('sphinx'),
          aHold('deer'),
          ...[...shippedCatalog.movements.values()]
            .filter(({ alsoIn }) => alsoIn?.includes('onChair'))
            .slice(0, 2)
            .map(({ id }) => ({ kind: 'movement' as const, id, movementId: id })),
          { kind: 'rest' as const, id: 'rest', s: 60, basePosition: 'onChair' as const },
        ],
        { minLength: 5, maxLength: 6 },
      ),
      { numRuns: 40, seed: 5 },
    )
    for (const blocks of drawn) {
      const session = aSession(blocks)
      const found = better(session)
      expect(found.order).toEqual(bruteForce(session).order.map((at) => session.blocks[at]?.id))
      expect(found.then.changeS).toBe(costOf(inOrder(session, bruteForce(session).order))[0])
    }
  })

  test('past twelve free blocks it is never worse, keeps the rules, and stays above its bound', () => {
    for (const session of fc.sample(fc.oneof(sessions(24), linkedSessions(24)), { numRuns: 60, seed: 7 })) {
      const found = better(session)
      const places = found.order.map((id) => session.blocks.findIndex((block) => block.id === id))
      expect(keeps(places, precedenceOf(orThrow(resolveSession(session, shippedCatalog))))).toBe(true)
      expect(found.then.changeS).toBeLessThanOrEqual(found.now.changeS)
      expect(found.then.changeS).toBeGreaterThanOrEqual(found.boundS)
    }
  })
})
