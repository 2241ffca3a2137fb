import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { resolveSession, usualHold } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { stretchToLength } from '#core/fit'

const stretch = (session: Session) => orThrow(stretchToLength(session, shippedCatalog))
const totalS = (session: Session) => orThrow(compileTimeline(session, shippedCatalog)).totalMs / 1000
const comesTo = (session: Session): Session => ({ ...session, lengthS: Math.round(totalS(session)) })
const heldIn = (session: Session): number[] =>
  orThrow(resolveSession(session, shippedCatalog)).flatMap((block) =>
    block.kind === 'hold' ? block.sides.map(({ holdS }) => holdS) : [],
  )
const finalRestOf = (session: Session): number | undefined => {
  const closing = orThrow(resolveSession(session, shippedCatalog)).at(-1)
  return closing?.kind === 'closing' ? closing.finalRestS.value : undefined
}
const lengths = fc.integer({ min: 300, max: 14_400 })

/** Two symmetric holds and a final rest, with nothing between them to think about. */
const quick = { changeS: 0, setUpS: 0, settleS: 0, comingOutS: 0, afterRestS: 0 }
const two = (first: number, second: number, finalRestS = 300) =>
  aSession([
    aHold('sphinx', { hold: { holdS: first }, times: quick }),
    aHold('wide-knee-fold', { hold: { holdS: second }, times: quick }),
    aClosing({ finalRestS, comingOutS: 0, rollS: 0, sittingUpS: 0, times: { changeS: 0 } }),
  ])

describe('shorter holds', () => {
  test('the step that takes the least share of what was planned comes first, then the earlier hold', () => {
    // Sphinx 3:00 → 2:45 leaves 92 %, the fold 4:00 → 3:30 leaves 88 %.
    expect(heldIn(stretch({ ...two(180, 240), lengthS: 710 }).session)).toEqual([165, 240])
    expect(heldIn(stretch({ ...two(180, 240), lengthS: 700 }).session)).toEqual([165, 210])
    expect(heldIn(stretch({ ...two(240, 240), lengthS: 760 }).session)).toEqual([210, 240])
  })

  test('what a step takes too much goes to the final rest', () => {
    const { session, totalMs, overMs } = stretch({ ...two(180, 240), lengthS: 710 })
    expect(finalRestOf(session)).toBe(305)
    expect([totalMs, overMs]).toEqual([710_000, 0])
  })

  test('the final rest keeps its planned time until all holds stand at their floors, then goes down to its own', () => {
    const { session } = stretch({ ...two(180, 240), lengthS: 400 })
    expect(heldIn(session)).toEqual([60, 120])
    expect(finalRestOf(session)).toBe(220)
  })

  test('where nothing more can go it is named, with its floor, and by how much it is too long', () => {
    const fit = stretch({ ...two(180, 240), lengthS: 300 })
    expect(fit.overMs).toBe(60_000)
    expect(fit.inTheWay).toEqual([
      { blockId: 'sphinx', of: 'side', leastS: 60 },
      { blockId: 'wide-knee-fold', of: 'side', leastS: 120 },
      { blockId: 'closing', of: 'final rest', leastS: 180 },
    ])
  })

  test('a wanted length shorter than the closing shortens what it may and says what is left', () => {
    const fit = stretch(aSession([aTalk(), aHold('deer'), aClosing({ finalRestS: 600 })], { lengthS: 300 }))
    expect(finalRestOf(fit.session)).toBe(180)
    expect(fit.overMs).toBe(fit.totalMs - 300_000)
  })

  test('a hold never goes below its fixed phases and half a minute for the rest of it', () => {
    const phases = [
      { id: 'up', name: 'Upright', length: { s: 100 } },
      { id: 'rest', name: 'Folded', length: { rest: true as const } },
    ]
    const hold = { holdS: 240 }
    const fit = stretch(
      aSession([aHold('sphinx', { hold, phases }), aHold('wide-knee-fold', { hold, phases })], {
        lengthS: 300,
        level: 'new',
      }),
    )
    expect(heldIn(fit.session)).toEqual([135, 135])
  })

  test('both sides go down together, and unlinked sides each by their own step', () => {
    const linked = stretch(aSession([aHold('deer', { hold: { holdS: 240 } })], { lengthS: 540 }))
    expect(new Set(heldIn(linked.session)).size).toBe(1)
    const apart = aSession([aHold('deer', { hold: { leftS: 240, rightS: 180, why: 'a stiff right hip' } })])
    const { hold } = stretch({ ...apart, lengthS: totalS(apart) - 45 }).session.blocks[0] as { hold: unknown }
    expect(hold).toEqual({ leftS: 210, rightS: 165, why: 'a stiff right hip' })
  })

  test('breath over a shortened hold keeps to whole rounds', () => {
    const breathOver = {
      techniqueId: 'long-exhale',
      pattern: { in: 8, full: 0, out: 12, empty: 0 },
      pace: { num: 1000, den: 1 },
      rounds: 24,
    }
    const fit = stretch(aSession([aHold('sphinx', { hold: { holdS: 240 }, breathOver })], { lengthS: 300 }))
    const { breathOver: parts } = orThrow(compileTimeline(fit.session, shippedCatalog))
    const counted = parts.filter(({ part }) => part !== 'natural')
    const [heldS = 0] = heldIn(fit.session)
    expect(heldS).toBeLessThan(240)
    expect(counted).toHaveLength(Math.floor(heldS / 10) * 2)
  })
})

describe('longer', () => {
  test('spare time goes to the final rest to its usual top, then to the after-rests, then to the holds', () => {
    const session = (lengthS: number) =>
      aSession([aHold('sphinx', { hold: { holdS: 60 } }), aClosing({ finalRestS: 600 })], { lengthS })
    const base = totalS(session(3600))
    expect(finalRestOf(stretch(session(base + 120)).session)).toBe(720)
    const after = stretch(session(base + 135)).session.blocks[0]
    expect(after).toMatchObject({ times: { afterRestS: 75 } })
    expect(heldIn(stretch(session(base + 600)).session)[0]).toBeGreaterThan(60)
  })

  test('no hold goes past the top of its usual range or past its first ceiling', () => {
    fc.assert(
      fc.property(sessions(), (session) => {
        const before = orThrow(resolveSession(session, shippedCatalog))
        const after = orThrow(resolveSession(stretch({ ...session, lengthS: 14_400 }).session, shippedCatalog))
        after.forEach((block, index) => {
          const planned = before[index]
          if (block.kind !== 'hold' || planned?.kind !== 'hold') return
          const top = Math.min(usualHold(block.pose, session.practice, session.level).toS, block.ceilingS)
          block.sides.forEach(({ holdS }, side) => {
            expect(holdS).toBeLessThanOrEqual(Math.max(top, planned.sides[side]?.holdS ?? 0))
          })
        })
      }),
      { numRuns: 60 },
    )
  })

  test('an after-rest the teacher left out stays out', () => {
    const session = aSession([aHold('sphinx', { times: { afterRestS: 0 } })], { lengthS: 3600 })
    expect(stretch(session).session.blocks[0]).toMatchObject({ times: { afterRestS: 0 } })
  })
})

describe('both ways', () => {
  test('a session that comes to its length, and one with nothing to fit, is returned as it is', () => {
    const fitting = comesTo(aSession([aTalk(), aHold('deer'), aClosing({ finalRestS: 400 })]))
    expect(stretch(fitting).session).toBe(fitting)
    const empty = aSession([])
    expect(stretch(empty)).toMatchObject({ edits: [], totalMs: 0, overMs: 0 })
  })

  test('one talk alone is left alone, whatever the length', () => {
    for (const lengthS of [300, 14_400]) expect(stretch(aSession([aTalk('talk', 600)], { lengthS })).edits).toEqual([])
  })

  test('a longer wanted length never shortens a hold', () => {
    fc.assert(
      fc.property(sessions(), lengths, fc.integer({ min: 0, max: 900 }), (session, lengthS, byS) => {
        const held = heldIn(stretch({ ...session, lengthS }).session)
        const then = heldIn(stretch({ ...session, lengthS: Math.min(14_400, lengthS + byS) }).session)
        then.forEach((seconds, at) => {
          expect(seconds).toBeGreaterThanOrEqual(held[at] ?? 0)
        })
      }),
    )
  })

  test('nor does it around the lengths at which a final rest that nobody set grows', () => {
    const session = aSession([
      aHold('sphinx', { hold: { holdS: 240 } }),
      aHold('deer', { hold: { holdS: 240 } }),
      aClosing(),
    ])
    const held = Array.from({ length: 1500 }, (_, at) => heldIn(stretch({ ...session, lengthS: 900 + at }).session))
    held.forEach((seconds, at) => {
      seconds.forEach((s, side) => {
        expect(s).toBeGreaterThanOrEqual(held[at - 1]?.[side] ?? 0)
      })
    })
  })

  test('what was fitted is fitted: done again it changes nothing', () => {
    fc.assert(
      fc.property(sessions(), lengths, (session, lengthS) => {
        const once = stretch({ ...session, lengthS }).session
        expect(stretch(once).session).toEqual(once)
      }),
    )
  })

  test('it never is longer than wanted unless everything stands at its floor, and with a final rest it is exact', () => {
    fc.assert(
      fc.property(sessions(), lengths, (session, lengthS) => {
        const fit = stretch({ ...session, lengthS })
        const over = totalS({ ...session, lengthS }) - lengthS
        if (over > 0 && fit.overMs === 0 && fit.session.blocks.at(-1)?.kind === 'closing') {
          expect(fit.totalMs).toBeGreaterThan((lengthS - 1) * 1000)
        }
        if (fit.overMs > 0) expect(stretch({ ...fit.session, lengthS: 300 }).totalMs).toBeLessThanOrEqual(fit.totalMs)
      }),
    )
  })
})
