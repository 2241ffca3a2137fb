import fc from 'fast-check'
import { editSpans, leastSpanMs, spanKinds, startDoubtMs } from './index.ts'
import type { EditedSpan, SpanEdit } from './index.ts'

const spans: readonly EditedSpan[] = [
  { startMs: 0, endMs: 20_000, kind: 'setUp', doubtMs: 2000 },
  { startMs: 20_000, endMs: 140_000, kind: 'hold', poseId: 'sphinx', announcedS: 120, doubtMs: 4000 },
  { startMs: 140_000, endMs: 150_000, kind: 'comingOut', doubtMs: 3000 },
]
const ends = (edited: readonly EditedSpan[]) => edited.map(({ startMs, endMs }) => [startMs, endMs])

test('a start is moved with the end of what comes before, and no further than a second from the next', () => {
  expect(ends(editSpans(spans, { type: 'start', at: 1, toMs: 15_000 }))).toEqual([
    [0, 15_000],
    [15_000, 140_000],
    [140_000, 150_000],
  ])
  expect(editSpans(spans, { type: 'start', at: 1, toMs: -5 })[1]?.startMs).toBe(leastSpanMs)
  expect(editSpans(spans, { type: 'start', at: 2, toMs: 900_000 })[2]?.startMs).toBe(149_000)
})

test('what was set by hand is not doubted any more; what was measured is by the surer of its two sides', () => {
  expect([0, 1, 2].map((at) => startDoubtMs(spans, at))).toEqual([0, 2000, 3000])
  const edited = editSpans(spans, { type: 'start', at: 1, toMs: 15_000 })
  expect([0, 1, 2].map((at) => startDoubtMs(edited, at))).toEqual([0, 0, 3000])
})

test('a span is named: pose, side and what was announced are of a hold alone, and can be taken away', () => {
  const sided = editSpans(spans, { type: 'name', at: 1, as: { poseId: 'shoelace', side: 'left' } })
  expect(sided[1]).toMatchObject({ kind: 'hold', poseId: 'shoelace', side: 'left', announcedS: 120 })
  const unknown = editSpans(sided, { type: 'name', at: 1, as: { poseId: null, side: null, announcedS: null } })
  expect(unknown[1]).toEqual({ startMs: 20_000, endMs: 140_000, kind: 'hold', doubtMs: 4000 })
  expect(editSpans(sided, { type: 'name', at: 1, as: { kind: 'rest' } })[1]).toEqual({ ...unknown[1], kind: 'rest' })
  expect(editSpans(spans, { type: 'name', at: 0, as: { poseId: 'sphinx' } })[0]).toEqual(spans[0])
})

test('a span is joined with the next and keeps its name; it is split where one says', () => {
  const joined = editSpans(spans, { type: 'joinNext', at: 1 })
  expect(joined).toEqual([spans[0], { ...spans[1], endMs: 150_000 }])
  const split = editSpans(joined, { type: 'split', at: 1, atMs: 80_000.4 })
  expect(split.slice(1)).toEqual([
    { ...spans[1], endMs: 80_000 },
    { startMs: 80_000, endMs: 150_000, kind: 'hold', poseId: 'sphinx', doubtMs: 4000, startSet: true },
  ])
})

test.each<SpanEdit>([
  { type: 'start', at: 0, toMs: 5000 },
  { type: 'start', at: 1, toMs: 20_000 },
  { type: 'joinNext', at: 2 },
  { type: 'split', at: 0, atMs: 500 },
  { type: 'split', at: 0, atMs: 19_500 },
  { type: 'split', at: 0, atMs: NaN },
  { type: 'start', at: 1, toMs: NaN },
  { type: 'joinNext', at: 7 },
  { type: 'name', at: 0, as: { side: 'left' } },
  { type: 'name', at: 1, as: { poseId: 'sphinx', side: null } },
])('there is nothing to edit by %j', (edit) => {
  expect(editSpans(spans, edit)).toBe(spans)
})

const anyEdit: fc.Arbitrary<SpanEdit> = fc.nat(12).chain((at) =>
  fc.oneof(
    fc.record({
      type: fc.constant('start' as const),
      at: fc.constant(at),
      toMs: fc.double({ min: -9, max: 400_000 }),
    }),
    fc.record({ type: fc.constant('joinNext' as const), at: fc.constant(at) }),
    fc.record({ type: fc.constant('split' as const), at: fc.constant(at), atMs: fc.double({ min: 0, max: 400_000 }) }),
    fc.record({
      ...{ type: fc.constant('name' as const), at: fc.constant(at) },
      as: fc.record({ kind: fc.constantFrom(...spanKinds), side: fc.constantFrom('left', 'right', null) }),
    }),
  ),
)

test('property: whatever is edited, spans follow each other without a gap over the same time, none shorter than a second', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1000, max: 60_000 }), { minLength: 1 }),
      fc.array(anyEdit),
      (lengths, edits) => {
        let atMs = 0
        const made = lengths.map((ms): EditedSpan => ({
          startMs: atMs,
          endMs: (atMs += ms),
          kind: 'talk',
          doubtMs: 1000,
        }))
        const edited = edits.reduce(editSpans, made as readonly EditedSpan[])
        expect(edited[0]?.startMs).toBe(0)
        expect(edited.at(-1)?.endMs).toBe(atMs)
        edited.forEach((span, at) => {
          expect(span.endMs - span.startMs).toBeGreaterThanOrEqual(leastSpanMs)
          expect(Number.isInteger(span.startMs)).toBe(true)
          if (at > 0) expect(span.startMs).toBe(edited[at - 1]?.endMs)
          if (span.kind !== 'hold') expect(span.side).toBeUndefined()
        })
      },
    ),
    { numRuns: 100 },
  )
})
