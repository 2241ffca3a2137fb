import fc from 'fast-check'
import type { ClosingBlock } from '#model/block'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { linkedSessions, sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { fewerBlocks, shorterAndFewer, stretchToLength } from '#core/fit'
import { counterLinks } from '../counterposes.ts'

const compile = (session: Session): Timeline => orThrow(compileTimeline(session, shippedCatalog))
const fewer = (session: Session, ...keep: Parameters<typeof fewerBlocks>[2] & unknown[]) =>
  orThrow(fewerBlocks(session, shippedCatalog, keep))
const idsOf = (session: Session) => session.blocks.map(({ id }) => id)

/** What decides between subsets, in its order: worth, seconds held, less change, earlier blocks. */
function meritOf(
  session: Session,
  places: readonly number[],
  links: readonly { of: number; by: number }[],
): number[] | undefined {
  const chosen = new Set(places)
  const isMust = (at: number) => {
    const { kind, priority } = session.blocks[at] ?? {}
    return (priority ?? (kind === 'talk' || kind === 'closing' ? 'must' : 'rather')) === 'must'
  }
  if (session.blocks.some((_, at) => isMust(at) && !chosen.has(at))) return undefined
  const isOrphan = ({ of, by }: { of: number; by: number }) => chosen.has(by) && !chosen.has(of) && !isMust(by)
  const isUnanswered = ({ of, by }: { of: number; by: number }) =>
    chosen.has(of) && !chosen.has(by) && session.blocks[by]?.priority !== 'may'
  if (links.some((link) => isOrphan(link) || isUnanswered(link))) return undefined
  const timeline = compile({ ...session, blocks: session.blocks.filter((_, at) => chosen.has(at)) })
  if (timeline.totalMs > session.lengthS * 1000) return undefined
  const sum = (kind: string) =>
    timeline.segments
      .filter(({ doing }) => doing.kind === kind)
      .reduce((ms, { startMs, endMs }) => ms + endMs - startMs, 0)
  const weight = places.reduce((all, at) => all + (session.blocks[at]?.priority === 'may' ? 1 : 3), 0)
  return [weight, sum('hold'), -sum('change'), ...session.blocks.map((_, at) => (chosen.has(at) ? 1 : 0))]
}

const isBetter = (a: readonly number[], b: readonly number[]): boolean => {
  const at = a.findIndex((value, index) => value !== b[index])
  return at >= 0 && (a[at] ?? 0) > (b[at] ?? 0)
}

/** The best subset by trying every one of them, each compiled as a session of its own. */
function bruteForce(session: Session): number[] | undefined {
  const links = counterLinks(compile(session).blocks.map(({ block }) => block))
  let best: { places: number[]; merit: number[] } | undefined
  for (let mask = 0; mask < 2 ** session.blocks.length; mask += 1) {
    const places = session.blocks.flatMap((_, at) => ((mask >> at) & 1 ? [at] : []))
    const merit = meritOf(session, places, links)
    if (merit && (!best || isBetter(merit, best.merit))) best = { places, merit }
  }
  return best?.places
}

describe('fewer poses', () => {
  test('equals the best of all subsets on more than 200 seeded sessions, each subset compiled by itself', () => {
    const drawn = fc.sample(fc.tuple(fc.oneof(sessions(6), linkedSessions(6)), fc.integer({ min: 20, max: 95 })), {
      numRuns: 400,
      seed: 20_261_123,
    })
    let compared = 0
    for (const [session, percent] of drawn) {
      const lengthS = Math.ceil((compile(session).totalMs * percent) / 100_000)
      const expected = bruteForce({ ...session, lengthS })
      if (!expected) continue
      compared += 1
      expect(idsOf(fewer({ ...session, lengthS }).session)).toEqual(expected.map((at) => session.blocks[at]?.id))
    }
    expect(compared).toBeGreaterThan(200)
  })

  const holdS = 240
  const three = aSession([
    aTalk('talk', 60),
    aHold('wide-knee-fold', { hold: { holdS } }),
    aHold('long-leg-fold', { hold: { holdS } }),
    aHold('heart-over-a-roll', { hold: { holdS } }),
    aHold('figure-four-lying', { hold: { holdS } }),
    aClosing({ finalRestS: 300 }),
  ])

  test('a counterpose goes with what it counters', () => {
    const { session } = fewer({ ...three, lengthS: 1500 })
    const ids = idsOf(session)
    expect(ids.includes('heart-over-a-roll')).toBe(ids.includes('long-leg-fold'))
    expect(ids.length).toBeLessThan(6)
  })

  test('what must stay stays, and what may go goes first', () => {
    const prioritised = {
      ...three,
      lengthS: 2100,
      blocks: three.blocks.map((block) =>
        block.id === 'wide-knee-fold' ? { ...block, priority: 'may' as const } : block,
      ),
    }
    expect(idsOf(fewer(prioritised).session)).not.toContain('wide-knee-fold')
    const must = {
      ...three,
      lengthS: 1500,
      blocks: three.blocks.map((block) =>
        block.id === 'figure-four-lying' ? { ...block, priority: 'must' as const } : block,
      ),
    }
    expect(idsOf(fewer(must).session)).toContain('figure-four-lying')
  })

  test('a closing that may go goes where there is no time for it; one of which nothing is said stays', () => {
    const closing = (details: Partial<ClosingBlock>) =>
      aSession([aTalk('arrive', 300), aHold('sphinx'), aClosing({ finalRestS: 300, ...details })], { lengthS: 480 })
    expect(fewer(closing({ priority: 'may' })).session.blocks.map(({ kind }) => kind)).not.toContain('closing')
    expect(fewer(closing({})).session.blocks.map(({ kind }) => kind)).toContain('closing')
  })

  test('an area that was asked for keeps a hold; one that cannot be kept is named', () => {
    const short = { ...three, lengthS: 1500 }
    expect(idsOf(fewer(short).session)).not.toContain('long-leg-fold')
    expect(idsOf(fewer(short, 'hamstrings').session)).toContain('long-leg-fold')
    expect(fewer({ ...three, lengthS: 600 }, 'outerHip').missed).toEqual(['outerHip'])
    expect(fewer(short, 'feet').missed).toEqual(['feet'])
  })

  test('where what must stay is too long, it is left and named', () => {
    const all = {
      ...three,
      lengthS: 900,
      blocks: three.blocks.map((block) => ({ ...block, priority: 'must' as const })),
    }
    const fit = fewer(all)
    expect(fit.session).toBe(all)
    expect(fit.overMs).toBe(compile(all).totalMs - 900_000)
    expect(fit.inTheWay.map(({ blockId }) => blockId)).toEqual(idsOf(all))
  })

  test('one block, and none, are left alone', () => {
    expect(fewer(aSession([aClosing()], { lengthS: 300 })).edits).toEqual([])
    expect(fewer(aSession([])).edits).toEqual([])
  })
})

describe('both', () => {
  const both = (session: Session, leastShare: number) =>
    orThrow(shorterAndFewer(session, shippedCatalog, { leastShare }))

  test('at one end it is the fewer fit, at the other the shorter wherever that comes to the length', () => {
    fc.assert(
      fc.property(sessions(6), fc.integer({ min: 30, max: 99 }), (drawn, percent) => {
        const session = { ...drawn, lengthS: Math.max(300, Math.floor((compile(drawn).totalMs * percent) / 100_000)) }
        expect(both(session, 1).session).toEqual(fewer(session).session)
        const shorter = orThrow(stretchToLength(session, shippedCatalog))
        const isTooLong = compile(session).totalMs > session.lengthS * 1000
        if (isTooLong && shorter.overMs === 0) expect(both(session, 0).session).toEqual(shorter.session)
      }),
      { numRuns: 60 },
    )
  })

  test('the lower the holds may go, the more is kept, and no hold goes below its share', () => {
    fc.assert(
      fc.property(sessions(6), fc.integer({ min: 30, max: 99 }), (drawn, percent) => {
        const session = { ...drawn, lengthS: Math.max(300, Math.floor((compile(drawn).totalMs * percent) / 100_000)) }
        const worth = [1, 0.8, 0.6, 0].map((share) => {
          const fit = both(session, share)
          const held = new Map(compile(session).blocks.map(({ block }) => [block.block.id, block]))
          for (const { block } of compile(fit.session).blocks) {
            const planned = held.get(block.block.id)
            if (block.kind !== 'hold' || planned?.kind !== 'hold') continue
            block.sides.forEach(({ holdS: s }, side) => {
              expect(s).toBeGreaterThanOrEqual(share * (planned.sides[side]?.holdS ?? 0))
            })
          }
          return fit.session.blocks.reduce((all, { priority }) => all + (priority === 'may' ? 1 : 3), 0)
        })
        worth.forEach((now, at) => {
          expect(now).toBeGreaterThanOrEqual(worth[at - 1] ?? 0)
        })
      }),
      { numRuns: 60 },
    )
  })

  test('a session with time to spare is not lengthened by it', () => {
    const session = aSession([aHold('deer'), aClosing()])
    expect(both(session, 0.7).session).toBe(session)
  })
})
