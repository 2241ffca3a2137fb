import fc from 'fast-check'
import { couldGo, leastPauseMs, spokenIn, timedScript } from '#core/session'
import type { TimedScript } from '#core/session'

const five = timedScript(
  {
    sentences: [
      { text: 'Let the breath come and go', pauseAfterS: 10 },
      { text: 'Feel the feet', pauseAfterS: 6 },
      { text: 'and the legs', pauseAfterS: 6 },
      { text: 'and rest now', pauseAfterS: 8 },
      { text: 'Slowly begin to come back', pauseAfterS: 3 },
    ],
    quietAfter: 4,
  },
  60,
)

const scripts = fc
  .array(
    fc.record({
      text: fc.constant(''),
      sayMs: fc.integer({ min: 1000, max: 20_000 }),
      pauseMs: fc.integer({ min: 0, max: 60_000 }),
    }),
    {
      minLength: 1,
      maxLength: 40,
    },
  )
  .chain((sentences) =>
    fc
      .integer({ min: 1, max: sentences.length })
      .map((quietAfter): TimedScript => ({ sentences, quietAfter, wordsAMinute: 110 })),
  )
const lengths = fc.integer({ min: 1000, max: 3_600_000 })
const pausesIn = ({ sentences }: TimedScript, said: ReturnType<typeof spokenIn>, lengthMs: number): number[] =>
  sentences.map(
    (_, at) => (said.sentences[at + 1]?.startMs ?? lengthMs + said.lackMs) - (said.sentences[at]?.endMs ?? 0),
  )

describe('a script in its time', () => {
  it('speaks by words and pace, keeps its pauses, and leaves the rest to the long quiet', () => {
    const { sentences, quiet, lackMs } = spokenIn(five, 120_000)
    expect(sentences.map(({ startMs }) => startMs)).toEqual([0, 16_000, 25_000, 34_000, 112_000])
    expect(sentences.map(({ endMs }, at) => endMs - (sentences[at]?.startMs ?? 0))).toEqual([
      6000, 3000, 3000, 3000, 5000,
    ])
    expect(quiet).toEqual({ fromMs: 37_000, toMs: 112_000 })
    expect(lackMs).toBe(0)
  })

  it('takes what is lacking evenly from its pauses, down to two seconds each', () => {
    // 20 s of words and 33 s of pauses in 43 s: 10 s too long, of which the last pause gives only one.
    const said = spokenIn(five, 43_000)
    expect(pausesIn(five, said, 43_000)).toEqual([7750, 3750, 3750, 5750, 2000])
    expect(said.lackMs).toBe(0)
  })

  it('says by how much it is too long, and which sentences could go', () => {
    const said = spokenIn(five, 25_000)
    expect(pausesIn(five, said, 25_000)).toEqual([2000, 2000, 2000, 2000, 2000])
    expect(said.lackMs).toBe(5000)
    expect(couldGo(five, 25_000)).toEqual([1])
    expect(couldGo(five, 19_000)).toEqual([1, 2, 3])
    expect(couldGo(five, 60_000)).toEqual([])
  })

  it('is quiet before its last third where no place is marked, and at its end where it is one sentence', () => {
    const many = (n: number) => ({ sentences: Array.from({ length: n }, () => ({ text: 'Rest' })) })
    expect([1, 2, 3, 6, 7].map((n) => timedScript(many(n)).quietAfter)).toEqual([1, 1, 2, 4, 4])
  })

  it('fills its time exactly, and cuts no pause below two seconds or what it was', () => {
    fc.assert(
      fc.property(scripts, lengths, (script, lengthMs) => {
        const said = spokenIn(script, lengthMs)
        pausesIn(script, said, lengthMs).forEach((ms, at) => {
          const ownMs = script.sentences[at]?.pauseMs ?? 0
          expect(ms).toBeGreaterThanOrEqual(Math.min(leastPauseMs, ownMs))
          if (at !== script.quietAfter - 1) expect(ms).toBeLessThanOrEqual(ownMs)
        })
        const leastMs = script.sentences.reduce(
          (sum, { sayMs, pauseMs }) => sum + sayMs + Math.min(leastPauseMs, pauseMs),
          0,
        )
        expect(said.lackMs).toBe(Math.max(0, leastMs - lengthMs))
      }),
    )
  })

  it('moves nothing before the long quiet where its time becomes longer and nothing lacked', () => {
    fc.assert(
      fc.property(scripts, fc.nat(600_000), fc.nat(600_000), (script, spareMs, moreMs) => {
        const ownMs = script.sentences.reduce((sum, { sayMs, pauseMs }) => sum + sayMs + pauseMs, 0)
        const lengthMs = ownMs + spareMs
        const before = (ms: number) => spokenIn(script, ms).sentences.slice(0, script.quietAfter)
        expect(before(lengthMs + moreMs)).toEqual(before(lengthMs))
      }),
    )
  })

  it('fits once those that could go are gone', () => {
    fc.assert(
      fc.property(scripts, lengths, (script, lengthMs) => {
        const gone = new Set(couldGo(script, lengthMs))
        const left = { ...script, quietAfter: 1, sentences: script.sentences.filter((_, at) => !gone.has(at)) }
        const hasMore = left.sentences.length > 2
        if (hasMore) expect(spokenIn(left, lengthMs).lackMs).toBe(0)
      }),
    )
  })
})
