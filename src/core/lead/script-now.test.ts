import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessionsByClock } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { fold, leadPlan, stageOf } from './index.ts'
import type { LeadEvent, LeadPlan, LeadState } from './index.ts'

const planOf = (session: Session): LeadPlan =>
  leadPlan(orThrow(compileTimeline(session, { ...shippedCatalog, wordsAMinute: 60 })), {})
const scriptIn = (plan: LeadPlan, state: LeadState) => {
  const stage = stageOf(plan, state)
  return stage.is === 'ended' ? undefined : stage.script
}
const three = {
  sentences: [
    { text: 'Feel the feet', pauseAfterS: 6 },
    { text: 'and the hands', pauseAfterS: 6 },
    { text: 'Come back now', pauseAfterS: 2 },
  ],
  quietAfter: 2,
}
const talk = planOf(aSession([{ ...aTalk('talk', 60), script: three }]))

describe('a script in a class', () => {
  it('tells the sentence, the next one, and how long it is quiet', () => {
    const at = (ms: number) => scriptIn(talk, fold(talk, [], ms))
    expect(at(1000)).toEqual({
      ...{ says: 'Feel the feet', isSaid: true, quietMs: 0, isLongQuiet: false, at: 1, of: 3 },
      next: { text: 'and the hands', inMs: 8000 },
    })
    expect(at(5000)).toMatchObject({ isSaid: false, quietMs: 4000, isLongQuiet: false })
    // The words take 3 s each, the last pause 2 s: the third is said from 55 s on.
    expect(at(20_000)).toMatchObject({ says: 'and the hands', isLongQuiet: true, quietMs: 35_000 })
    expect(at(56_000)).toMatchObject({ says: 'Come back now', isSaid: true, next: undefined })
  })

  it('stretches by its long quiet where more time is given, and waits in a pause', () => {
    const more = fold(talk, [{ type: 'stay', atMs: 13_000 }], 40_000)
    expect(scriptIn(talk, more)).toMatchObject({ isLongQuiet: true, quietMs: 35_000 + 30_000 - 20_000 })
    const paused: LeadEvent[] = [
      { type: 'pause', atMs: 5000 },
      { type: 'resume', atMs: 25_000 },
    ]
    expect(scriptIn(talk, fold(talk, paused, 20_000))).toMatchObject({ says: 'Feel the feet', quietMs: 4000 })
    expect(scriptIn(talk, fold(talk, paused, 30_000))).toMatchObject({ says: 'and the hands', isSaid: true })
  })

  it('says nothing again where more time is given after the long quiet', () => {
    const late = fold(talk, [{ type: 'stay', atMs: 56_000 }], 70_000)
    expect(scriptIn(talk, late)).toMatchObject({ says: 'Come back now', isSaid: false, at: 3, quietMs: 20_000 })
  })

  it('runs over a re-fitted talk in the time that is left to it', () => {
    const plan = planOf(aSession([aTalk('first', 30), { ...aTalk('talk', 60), script: three }]))
    const shorter: LeadEvent = {
      ...{ type: 'refit', way: 'lessBetween', leaves: [], atMs: 1000 },
      lengths: [{ segment: 1, ms: 40_000 }],
    }
    expect(scriptIn(plan, fold(plan, [shorter], 50_000))).toMatchObject({ isLongQuiet: true, quietMs: 15_000 })
  })

  it('begins after what is said first, says the side it is on, and goes on through the phases of a hold', () => {
    const phases = [
      { id: 'a', name: 'arriving', length: { s: 60 } },
      { id: 'b', name: 'the rest of it', length: { rest: true as const } },
    ]
    const sentences = [
      { text: 'The {this} knee heavy', pauseAfterS: 80 },
      { text: 'The {other} hand soft', pauseAfterS: 10 },
      { text: 'Ready to come out', pauseAfterS: 2 },
    ]
    const hold = aHold('deer', { phases, hold: { holdS: 240 }, script: { sentences, quietAfter: 2 }, cues: [] })
    const plan = planOf(aSession([hold], { answers: { holdBegins: 'byClock' } }))
    const [first] = plan.scripts ?? []
    const startMs = plan.segments.slice(0, first?.from).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
    expect(first?.afterMs).toBeGreaterThan(2000)
    const side = plan.segments[first?.from ?? 0]?.side === 'left' ? ['left', 'right'] : ['right', 'left']
    const at = (ms: number) => scriptIn(plan, fold(plan, [], startMs + (first?.afterMs ?? 0) + ms))
    expect(at(500)?.says).toBe(`The ${String(side[0])} knee heavy`)
    expect(at(84_500)).toMatchObject({ says: `The ${String(side[1])} hand soft`, isSaid: true, at: 2 })
    expect(plan.scripts).toHaveLength(2)
  })

  it('leaves the sentence in sight while the breath is held', () => {
    const sentences = Array.from({ length: 12 }, (_, nth) => ({ text: `Word ${String(nth)}`, pauseAfterS: 2 }))
    const over = {
      ...{ techniqueId: 'long-exhale', pace: { num: 1000, den: 1 } },
      pattern: { in: 8, full: 16, out: 16, empty: 0 },
    }
    const hold = aHold('sphinx', { hold: { holdS: 120 }, cues: [], breathOver: over, script: { sentences } })
    const plan = planOf(aSession([hold], { answers: { holdBegins: 'byClock' } }))
    let held: string | undefined
    for (let atMs = 0; atMs < plan.totalMs; atMs += 250) {
      const stage = stageOf(plan, fold(plan, [], atMs))
      if (stage.is !== 'holding' || stage.breath?.part !== 'full') held = undefined
      else {
        held ??= stage.script?.says ?? ''
        expect(stage.script?.says ?? '').toBe(held)
      }
    }
  })

  it('fills the final rest, and is of another time where the rest is', () => {
    const plan = planOf(aSession([aClosing({ finalRestS: 300, script: three })]))
    const [script] = plan.scripts ?? []
    const rest = plan.segments[script?.from ?? 0]
    expect([rest?.doing, script?.to]).toEqual([{ kind: 'closing', step: 'finalRest' }, (script?.from ?? 0) + 1])
  })

  it('never says a sentence before the one in front of it, whatever is led', () => {
    fc.assert(
      fc.property(sessionsByClock(4), fc.array(fc.nat(1_800_000), { maxLength: 6 }), (session, stays) => {
        const plan = planOf(session)
        const events = stays.toSorted((a, b) => a - b).map((atMs): LeadEvent => ({ type: 'stay', atMs }))
        let [at, from] = [0, -1]
        for (let atMs = 0; atMs < Math.min(plan.totalMs, 1_200_000); atMs += 20_000) {
          const state = fold(
            plan,
            events.filter((event) => event.atMs <= atMs),
            atMs,
          )
          const now = scriptIn(plan, state)
          const script = plan.scripts?.find((one) => state.index >= one.from && state.index < one.to)
          if (!now || !script) continue
          if (script.from === from) expect(now.at).toBeGreaterThanOrEqual(at)
          at = now.at
          from = script.from
        }
      }),
      { numRuns: 40 },
    )
  })
})
