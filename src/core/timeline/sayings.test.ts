import fc from 'fast-check'
import type { BreathBlock } from '#model/block'
import { orThrow } from '#core/result'
import { shippedCatalog as catalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { compileTimeline } from './compile.ts'
import { breathBetweenMs, heldIn, isTooLong, sayingsOf, voiced } from './sayings.ts'
import type { Saying } from './sayings.ts'

const saying = (atMs: number, text = `at ${String(atMs)}`, waits = false): Saying => ({
  blockId: 'b',
  text,
  atMs,
  waits,
})
/** Breath that is held for twelve counts, with locks, its last ones counted. */
const aRetention = (): BreathBlock => ({
  ...aBreath('pause-full', { id: 'held' }),
  sections: [
    {
      ...{ kind: 'retention', id: 's', techniqueId: 'pause-full', held: 'full', half: 24, lead: { in: 8, out: 8 } },
      ...{ times: 2, countDown: 'counts', locks: { on: ['root', 'chin'], off: ['chin', 'root'] } },
    },
  ],
})
const said = (
  sayings: readonly Saying[],
  lengths: Readonly<Record<string, number>>,
  held: readonly { startMs: number; endMs: number }[] = [],
) => voiced(sayings, (text) => lengths[text], { held, endMs: 60_000 })

test('all that is said is told at its instant: a talk’s words, cues, sentences; never a count', () => {
  const timeline = orThrow(
    compileTimeline(
      aSession([
        { ...aTalk('talk', 60), text: ' Welcome, settle in ' },
        aRetention(),
        aHold('deer', { id: 'deer', hold: { holdS: 120 } }),
        aClosing({ script: { sentences: [{ text: 'Let the floor have you' }, { text: 'Nothing to do' }] } }),
      ]),
      catalog,
    ),
  )
  const all = sayingsOf(timeline)
  expect(all[0]).toEqual({ blockId: 'talk', text: 'Welcome, settle in', atMs: 0, waits: false })
  expect(all.filter(({ waits }) => waits).map(({ text }) => text)).toEqual(['Let the floor have you', 'Nothing to do'])
  expect(timeline.cues.some(({ text = '' }) => /^\d+$/.test(text))).toBe(true)
  expect(all.some(({ text }) => /^\d+$/.test(text))).toBe(false)
  const cues = timeline.cues.filter(({ text = '' }) => text !== '' && !/^\d+$/.test(text))
  for (const { atMs, text = '' } of cues)
    expect(all).toContainEqual(expect.objectContaining({ atMs, text: text.trim() }))
})

test('notes for a talk that are longer than a line are nobody’s sentence', () => {
  const timeline = orThrow(compileTimeline(aSession([{ ...aTalk(), text: 'word '.repeat(80) }]), catalog))
  expect(sayingsOf(timeline)).toEqual([])
})

test('a held breath is one stretch, whatever locks divide it; one over a hold is held as well', () => {
  const timeline = orThrow(
    compileTimeline(
      aSession([
        aRetention(),
        aHold('deer', { id: 'deer', hold: { holdS: 120 }, breathOver: { techniqueId: 'pause-full' } }),
      ]),
      catalog,
    ),
  )
  const held = heldIn(timeline)
  expect(held.length).toBeGreaterThan(2)
  for (const [at, one] of held.entries()) {
    expect(one.endMs).toBeGreaterThan(one.startMs)
    expect(one.startMs).toBeGreaterThan(held[at - 1]?.endMs ?? -1)
  }
  const fulls = timeline.segments.filter(({ doing }) => doing.kind === 'breath' && doing.part === 'full')
  for (const { startMs, endMs } of fulls)
    expect(held.some((one) => one.startMs <= startMs && one.endMs >= endMs)).toBe(true)
})

test('what is recorded begins at its instant and is told the room it has: to the next words, a held breath, or the end', () => {
  const all = [saying(0), saying(10_000), saying(40_000)]
  const voices = said(all, { 'at 0': 4000, 'at 10000': 4000, 'at 40000': 4000 }, [{ startMs: 12_000, endMs: 20_000 }])
  expect(voices.map(({ startMs, mostMs, until }) => [startMs, mostMs, until])).toEqual([
    [0, 10_000, 'next'],
    [10_000, 2000, 'held'],
    [40_000, 20_000, 'end'],
  ])
  expect(voices.map(isTooLong)).toEqual([false, true, false])
})

test('the room counts what is not recorded: the teacher says it', () => {
  expect(said([saying(0), saying(3000)], { 'at 0': 4000 })).toMatchObject([{ mostMs: 3000, until: 'next' }])
})

test('what stands at one instant is said in one go, and shares its room', () => {
  const all = [saying(0, 'one'), saying(0, 'two'), saying(8000)]
  const voices = said(all, { one: 3000, two: 4000 })
  expect(voices.map(({ startMs, mostMs }) => [startMs, mostMs])).toEqual([
    [0, 8000],
    [3000 + breathBetweenMs, 5000 - breathBetweenMs],
  ])
})

test('a sentence of a script waits until a held breath is let go; other words stand where they stand', () => {
  const held = [{ startMs: 5000, endMs: 9000 }]
  expect(said([saying(6000, 'a', true)], { a: 1000 }, held)).toMatchObject([{ startMs: 9000 }])
  expect(said([saying(6000, 'a')], { a: 1000 }, held)).toMatchObject([{ startMs: 6000 }])
})

test('no two voices ever sound at once, none begins early, and each is told as too long that runs into anything', () => {
  fc.assert(
    fc.property(sessions(), fc.integer({ min: 300, max: 9000 }), (session, lengthMs) => {
      const compiled = compileTimeline(session, catalog)
      if (!compiled.ok) return
      const all = sayingsOf(compiled.value)
      const held = heldIn(compiled.value)
      const voices = voiced(all, () => lengthMs, { held, endMs: compiled.value.totalMs })
      expect(voices).toHaveLength(all.length)
      for (const [at, one] of voices.entries()) {
        expect(one.startMs).toBeGreaterThanOrEqual(one.atMs)
        expect(one.startMs).toBeGreaterThanOrEqual(voices[at - 1]?.endMs ?? 0)
        const runsInto = [
          compiled.value.totalMs,
          ...all.filter(({ atMs }) => atMs > one.atMs).map(({ atMs }) => atMs),
          ...held.filter(({ startMs }) => startMs > one.atMs).map(({ startMs }) => startMs),
        ].some((ms) => one.endMs > ms)
        expect(isTooLong(one)).toBe(runsInto)
      }
    }),
    { numRuns: 60 },
  )
})
