import { sessionSchema } from '#model/session'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog as catalog } from '#library/shipped'
import { recordings } from '#testing/recordings'
import { measureCaptions, sessionOfRecording, toldOfRecording, unsaidOnSecond } from './index.ts'
import type { Caption, EditedSpan } from './index.ts'

const said = (atS: number, forS: number, text: string): Caption => ({
  ...{ startMs: atS * 1000, endMs: (atS + forS) * 1000, text },
})
const as = { id: 'recorded', name: 'Monday', practice: 'yin', level: 'regular', schoolId: 'mixed' } as const

const twoSides = [
  said(0, 5, 'Bring the left ankle over the right knee for figure four, on your back.'),
  said(6, 4, 'Keep the left foot flexed, so that the knee is kept.'),
  said(11, 4, 'If the knee complains, ease off a little.'),
  said(16, 3, 'Settle in for two minutes.'),
  said(60, 4, 'I bought these blankets in the market last year.'),
  said(138, 4, 'Slowly come out of it.'),
  said(144, 5, 'And the other side, right ankle over the left knee.'),
  said(150, 4, 'Keep the right foot flexed for your knee.'),
  said(155, 3, 'Settle in again.'),
  said(235, 4, 'Slowly come out of it.'),
]

test('what was said of the first side and never of the second is told; chatter and what comes again in other words is not', () => {
  const { spans } = measureCaptions({ captions: twoSides, catalog })
  const [pair] = toldOfRecording(twoSides, spans).sides
  const unsaid = pair && unsaidOnSecond(twoSides, spans, pair)
  expect(unsaid?.map(({ startMs, text }) => [startMs, text])).toEqual([
    [11_000, 'if the knee complains, ease off a little.'],
    [16_000, 'settle in for two minutes.'],
  ])
})

const held = (startS: number, endS: number, more: Partial<EditedSpan> = {}): EditedSpan => ({
  ...{ startMs: startS * 1000, endMs: endS * 1000, kind: 'hold', doubtMs: 2000, ...more },
})
const blocksOf = (spans: readonly EditedSpan[], captions: readonly Caption[] = []) =>
  sessionOfRecording(captions, spans, catalog, as).blocks

test('a session is made of what was held, talked, breathed and rested, and ends with the final rest', () => {
  const captions = [said(0, 5, 'Welcome to the class.'), said(6, 5, 'Tonight is slow.')]
  const blocks = blocksOf(
    [
      held(0, 40, { kind: 'talk' }),
      held(40, 60, { kind: 'setUp' }),
      held(60, 242, { poseId: 'sphinx' }),
      held(242, 250, { kind: 'rest' }),
      held(250, 313, { kind: 'breath' }),
      held(313, 340, { kind: 'movement' }),
      held(340, 350, { kind: 'talk' }),
      held(350, 700, { kind: 'rest' }),
      held(700, 730, { kind: 'talk' }),
    ],
    captions,
  )
  expect(blocks).toMatchObject([
    { kind: 'talk', title: 'Talk', s: 40, text: 'Welcome to the class. Tonight is slow.' },
    { kind: 'hold', poseId: 'sphinx', hold: { holdS: 180 } },
    { kind: 'rest', s: 10 },
    { kind: 'breath', sections: [{ kind: 'natural', s: 65 }] },
    { kind: 'talk', title: 'Movement', s: 25 },
    { kind: 'closing', finalRestS: 350 },
  ])
})

const figureFour = (startS: number, endS: number, side: 'left' | 'right') =>
  held(startS, endS, { poseId: 'figure-four-lying', side })

test('two sides are one block: alike where they are no further apart than is doubtful, else apart, with the reason', () => {
  const between = held(200, 220, { kind: 'rest' })
  expect(blocksOf([figureFour(0, 200, 'right'), between, figureFour(220, 417, 'left')])).toMatchObject([
    { poseId: 'figure-four-lying', hold: { holdS: 200 }, firstSide: 'right' },
  ])
  expect(blocksOf([figureFour(0, 200, 'right'), between, figureFour(220, 370, 'left')])).toMatchObject([
    { hold: { leftS: 150, rightS: 200, why: 'as it was recorded' }, firstSide: 'right' },
  ])
})

test('a shape nobody named stands as talk of its length, so that nothing is lost', () => {
  expect(blocksOf([held(0, 180), held(180, 300, { side: 'left' })])).toMatchObject([
    { kind: 'talk', title: 'Unknown shape', s: 180 },
    { kind: 'talk', title: 'Unknown shape, left', s: 120 },
  ])
})

test.each(recordings.map(({ name, captions }) => [name, captions] as const))(
  'the recording “%s” gives a session that opens and compiles, with every hold that was found in it',
  (_name, captions) => {
    const { spans } = measureCaptions({ captions, catalog })
    const session = sessionOfRecording(captions, spans, catalog, as)
    expect(sessionSchema.safeParse(session).error).toBeUndefined()
    expect(compileTimeline(session, catalog).ok).toBe(true)
    const found = new Set(spans.flatMap(({ kind, poseId }) => (kind === 'hold' && poseId ? [poseId] : [])))
    expect(new Set(session.blocks.flatMap((block) => (block.kind === 'hold' ? [block.poseId] : [])))).toEqual(found)
  },
)
