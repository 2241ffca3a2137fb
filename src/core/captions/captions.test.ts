import fc from 'fast-check'
import { shippedCatalog as catalog } from '#library/shipped'
import { recordings } from '#testing/recordings'
import type { Heard } from '#testing/recordings'
import { measureCaptions, spanKinds, toldOfRecording } from './index.ts'
import type { Caption, Span } from './index.ts'

const measured = (captions: readonly Caption[]): readonly Span[] => measureCaptions({ captions, catalog }).spans
const commonMs = (span: Span, startS: number, endS: number): number =>
  Math.min(span.endMs, endS * 1000) - Math.max(span.startMs, startS * 1000)
const holdsIn = (spans: readonly Span[]) => spans.filter(({ kind }) => kind === 'hold')

/** The hold found for one that a careful listener marks: the one it shares more than half of it with. */
const foundFor = (heard: Heard, spans: readonly Span[]): Span | undefined =>
  holdsIn(spans).find((span) => commonMs(span, heard.startS, heard.endS) > (heard.endS - heard.startS) * 500)

const all = recordings.map((recording) => ({ ...recording, spans: measured(recording.captions) }))
const pairs = all.flatMap(({ name, holds, spans }) =>
  holds.map((heard) => ({ name, heard, span: foundFor(heard, spans) })),
)
const share = (some: readonly unknown[], whole: readonly unknown[]): number => some.length / whole.length

describe('of the holds a careful listener marks', () => {
  test('four fifths are found, and the length of two thirds is right within 20 s or a tenth', () => {
    const found = pairs.filter(({ span }) => span !== undefined)
    expect(share(found, pairs)).toBeGreaterThanOrEqual(0.8)
    const right = found.filter(({ heard, span }) => {
      const [meant, is] = [heard.endS - heard.startS, ((span?.endMs ?? 0) - (span?.startMs ?? 0)) / 1000]
      return Math.abs(meant - is) <= Math.max(20, meant / 10)
    })
    expect(share(right, pairs)).toBeGreaterThanOrEqual(2 / 3)
  })

  test('four fifths have their side, the pose that was named, and the length that was announced', () => {
    const sided = pairs.filter(({ heard }) => heard.side !== undefined)
    expect(
      share(
        sided.filter(({ heard, span }) => span?.side === heard.side),
        sided,
      ),
    ).toBeGreaterThanOrEqual(0.8)
    const named = pairs.filter(({ heard }) => heard.poseId !== undefined)
    expect(
      share(
        named.filter(({ heard, span }) => span?.poseId === heard.poseId),
        named,
      ),
    ).toBeGreaterThanOrEqual(0.8)
    const announced = pairs.filter(({ heard }) => heard.announcedS !== undefined)
    expect(
      share(
        announced.filter(({ heard, span }) => span?.announcedS === heard.announcedS),
        announced,
      ),
    ).toBeGreaterThanOrEqual(0.8)
  })

  test('none is made up where somebody only talks', () => {
    const invented = all.flatMap(({ name, talk, spans }) =>
      holdsIn(spans)
        .filter((span) => talk.some(([startS, endS]) => commonMs(span, startS, endS) > 5000))
        .map(({ startMs }) => `${name} ${String(startMs)}`),
    )
    expect(invented).toEqual([])
  })
})

test('breath that is counted, movement, the last rest and what nobody can understand are told as such', () => {
  const kindsOf = (name: string) => new Set(all.find((one) => one.name === name)?.spans.map(({ kind }) => kind))
  expect(kindsOf('restful')).toEqual(new Set(['talk', 'setUp', 'hold', 'comingOut', 'rest', 'breath']))
  expect(kindsOf('moving')).toContain('movement')
  const garble = 'fremd wok lanter pollin gree mast orbel tine kessa brunt'
  const spans = measured(
    Array.from({ length: 8 }, (_, at) => ({ startMs: at * 5000, endMs: at * 5000 + 5000, text: garble + String(at) })),
  )
  expect(spans.map(({ kind }) => kind)).toEqual(['unknown'])
})

/** One hold, told in a sentence, then three minutes of quiet, then the way out. */
const heldAfter = (...said: readonly string[]): Span | undefined => {
  const captions = said.map((text, at) => ({ startMs: at * 6000, endMs: at * 6000 + 5500, text }))
  const fromMs = said.length * 6000
  const end = { startMs: fromMs + 180_000, endMs: fromMs + 185_000, text: 'Slowly come out of it, and sit up.' }
  return holdsIn(measured([...captions, end]))[0]
}

test.each([
  ['We stay here for three minutes.', 180],
  ['We will be here for about 4 minutes.', 240],
  ['Stay for two and a half minutes.', 150],
  ['Hold for three and a half minutes, or less.', 210],
  ['We will hold this for ninety seconds.', 90],
  ['Stay here for another minute.', undefined],
  ['Stay here. You are half way.', undefined],
  ['Stay here for ten slow breaths.', undefined],
])('“%s” announces %s s', (said, announcedS) => {
  expect(heldAfter('Sit on your blanket and fold forward over both legs.', said)?.announcedS).toBe(announcedS)
})

test.each([
  ['Bring the soles of your feet together for bound angle, sitting on the blanket.', 'bound-angle-seated', undefined],
  ['Lie back over the bolster, soles of the feet together, for bound angle.', 'reclined-bound-angle', undefined],
  ['Cross the left ankle over the right knee, on your back, for figure four.', 'figure-four-lying', 'left'],
  ['Sit on your heels for the starfish on its rock.', undefined, undefined],
  ['Square your hips to the front and bring both hands to the floor.', undefined, undefined],
] as const)('“%s” is %s, %s', (said, poseId, side) => {
  const span = heldAfter(said, 'And settle in, we stay here.')
  expect([span?.poseId, span?.side]).toEqual([poseId, side])
})

test('what an automatic program says twice is said once, and what stands on after it was said is quiet', () => {
  const lines = ['lie down on your belly for sphinx', 'elbows under your shoulders', 'and stay here for three minutes']
  const plain = lines.map((text, at) => ({ startMs: at * 4000, endMs: at * 4000 + 3500, text }))
  const rolling = plain.map((caption, at) => ({ ...caption, text: lines.slice(Math.max(0, at - 1), at + 1).join(' ') }))
  const out = { startMs: 190_000, endMs: 195_000, text: 'lower down slowly and come out of it' }
  const told = ({ kind, poseId, announcedS }: Span) => [kind, poseId, announcedS]
  expect(measured([...rolling, out]).map(told)).toEqual(measured([...plain, out]).map(told))
  const standing = plain.map((caption, at) => ({ ...caption, endMs: plain[at + 1]?.startMs ?? 190_000 }))
  const [hold] = holdsIn(measured([...standing, out]))
  expect(hold).toMatchObject({ poseId: 'sphinx', announcedS: 180 })
})

test.each([
  'Turn the head to the other side, so that the neck is even.',
  'If the knees complain, undo the top leg.',
  'The left hand can be a weight on the knee.',
])('within a hold “%s” ends nothing', (remark) => {
  const spans = measured([
    said(0, 5, 'Sit on your blanket and fold forward over both legs.'),
    said(6, 4, 'We stay here for four minutes.'),
    said(90, 4, remark),
    said(250, 4, 'Slowly come out of it, and sit up.'),
  ])
  expect(holdsIn(spans).map(({ startMs, endMs }) => [startMs, endMs])).toEqual([[6000, 250_000]])
})

test.each([
  ['Cross the right ankle over the left knee, or only over the left shin.', 'right'],
  ['Take hold of the seat with your left hand, and let the right ear come to the right shoulder.', 'right'],
  ['Write ankle on the left thigh.', 'right'],
])('“%s” is of the %s', (told, side) => {
  expect(heldAfter(told, 'And settle in, we stay here.')?.side).toBe(side)
})

test('counts said again after a stop are said again', () => {
  const counts = [0, 8, 16, 24, 32].map((atS) => said(40 + atS, 4, 'In, two, three. Out, two, three, four.'))
  const spans = measured([said(0, 6, 'Sit tall. We breathe in for three, and out for four.'), ...counts])
  expect(spans.some(({ kind, startMs, endMs }) => kind === 'breath' && endMs - startMs > 30_000)).toBe(true)
})

const said = (atS: number, forS: number, text: string): Caption => ({
  ...{ startMs: atS * 1000, endMs: (atS + forS) * 1000, text },
})

test('a hold that is left in words no list has ends where the next is announced', () => {
  const spans = measured([
    said(0, 6, 'sit on the blanket and fold forward over both legs'),
    said(7, 3, 'stay here for two minutes'),
    said(130, 6, 'that will do nicely i should say'),
    said(137, 4, 'something else now with your arms against the wall'),
    said(142, 3, 'three minutes of that'),
    said(330, 4, 'slowly come out of it'),
  ])
  expect(holdsIn(spans).map(({ announcedS, endMs }) => [announcedS, endMs])).toEqual([
    [120, 130_000],
    [180, 330_000],
  ])
})

test('what a recording adds up to: what was held and said in it, its two sides, and the longest quiet', () => {
  const captions = [
    said(0, 4, 'bring the left ankle over the right knee for figure four on your back'),
    said(5, 3, 'settle in for two minutes'),
    said(60, 5, 'and notice the breath'),
    said(128, 4, 'slowly come out of it'),
    said(134, 4, 'and the other side right ankle over the left knee'),
    said(140, 3, 'settle in again'),
    said(250, 4, 'slowly come out of it'),
  ]
  const told = toldOfRecording(captions, measured(captions))
  expect(told.holds.map(({ span }) => span.side)).toEqual(['left', 'right'])
  expect(told.holds.map(({ spokenMs, heldMs }) => spokenMs < heldMs / 4)).toEqual([true, true])
  const [pair] = told.sides
  expect(told.sides).toHaveLength(1)
  expect(pair?.apartMs).toBe((told.holds[1]?.heldMs ?? 0) - (told.holds[0]?.heldMs ?? 0))
  // A caption that stands on through the quiet is spoken only as long as it takes to say it.
  const standing = captions.map((caption, at) => ({ ...caption, endMs: captions[at + 1]?.startMs ?? caption.endMs }))
  const { spoken } = toldOfRecording(standing, measured(standing))
  const spokenMs = spoken.reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0)
  expect(spokenMs).toBeLessThan(60_000)
  // From the last word of settling to the way out.
  expect(told.longestQuiet?.endMs).toBe(250_000)
  expect(toldOfRecording([], [])).toEqual({ holds: [], sides: [], spoken: [] })
})

const sentences = [...new Set(recordings.flatMap(({ captions }) => captions.map(({ text }) => text)))]
const anyCaptions = fc.array(
  fc.record({
    startMs: fc.integer({ min: 0, max: 3_600_000 }),
    forMs: fc.integer({ min: -500, max: 90_000 }),
    text: fc.oneof(fc.constantFrom(...sentences), fc.string({ maxLength: 60 }), fc.constant('[Music]')),
  }),
  { maxLength: 40 },
)

test('property: spans follow each other without a gap, from the first caption to the end of the last', () => {
  fc.assert(
    fc.property(anyCaptions, (made) => {
      const captions = made.map(({ startMs, forMs, text }) => ({ startMs, endMs: startMs + forMs, text }))
      const spans = measured(captions)
      const standing = captions.filter(({ startMs, endMs }) => endMs > startMs)
      if (standing.length === 0) return spans.length === 0
      expect(spans[0]?.startMs).toBe(Math.min(...standing.map(({ startMs }) => startMs)))
      expect(spans.at(-1)?.endMs).toBe(Math.max(...standing.map(({ endMs }) => endMs)))
      spans.forEach((span, at) => {
        expect(span.endMs).toBeGreaterThan(span.startMs)
        if (at > 0) expect(span.startMs).toBe(spans[at - 1]?.endMs)
        expect([span.startMs, span.endMs, span.doubtMs].every(Number.isInteger)).toBe(true)
        expect(span.doubtMs).toBeGreaterThan(0)
        expect(spanKinds).toContain(span.kind)
        if (span.kind === 'hold') expect(span.endMs - span.startMs).toBeGreaterThanOrEqual(20_000)
      })
      return true
    }),
    { numRuns: 100 },
  )
})
