import { spanKinds } from './captions.ts'
import type { SpanKind } from './captions.ts'
import { spokenIn } from './cues.ts'
import type { Piece } from './pieces.ts'

/**
 * What it costs to go on from one kind of span to another, from how classes go: into a hold by a set-up, out of it by
 * coming out. Staying in a kind costs nothing; what is not listed costs the usual.
 */
const usual = 5
const costs: Readonly<Partial<Record<SpanKind, Readonly<Partial<Record<SpanKind, number>>>>>> = {
  talk: { setUp: 1.5, breath: 2.5, movement: 2.5, rest: 4, hold: 5, unknown: 3 },
  setUp: { hold: 1, talk: 3, comingOut: 4, rest: 2.5, movement: 2, breath: 2.5, unknown: 3 },
  hold: { comingOut: 1.2, setUp: 3.2, rest: 3.5, talk: 6, breath: 4.5, movement: 4, unknown: 6 },
  comingOut: { setUp: 0.8, rest: 1, talk: 2.5, movement: 1.5, hold: 5.5, breath: 3, unknown: 4 },
  rest: { setUp: 1.2, comingOut: 1.5, talk: 3, hold: 4.5, movement: 2, breath: 3, unknown: 5 },
  breath: { setUp: 1.8, talk: 2, rest: 1.5, comingOut: 3, hold: 4, movement: 3, unknown: 4 },
  movement: { setUp: 1, rest: 1.5, talk: 3, comingOut: 2, hold: 4, breath: 3, unknown: 4 },
  unknown: { talk: 2, setUp: 2, hold: 3.5, comingOut: 3, rest: 3, breath: 3, movement: 3 },
}
const first: Readonly<Record<SpanKind, number>> = {
  ...{ talk: 0, setUp: 1, hold: 4, comingOut: 5, rest: 3, breath: 2, movement: 2, unknown: 3 },
}

/** A sentence without a cue, as likely in each kind. */
const said: Readonly<Record<SpanKind, number>> = {
  ...{ talk: 0.42, setUp: 0.3, hold: 0.3, comingOut: 0, rest: 0.1, breath: 0.1, movement: 0.1, unknown: -0.6 },
}
/** A second of quiet in each kind. */
const quiet: Readonly<Record<SpanKind, number>> = {
  ...{
    talk: -0.14,
    setUp: -0.07,
    hold: 0.11,
    comingOut: -0.05,
    rest: 0.075,
    breath: 0.01,
    movement: 0.06,
    unknown: -0.1,
  },
}
/** After so many seconds more quiet says nothing more. */
const mostQuietS = 60

function pointsOf({ startMs, endMs, text }: Piece): Readonly<Record<SpanKind, number>> {
  if (text === '') {
    const s = Math.min(mostQuietS, (endMs - startMs) / 1000)
    return map((kind) => quiet[kind] * s)
  }
  const spoken = spokenIn(text)
  return map((kind) => said[kind] + (spoken[kind] ?? 0))
}

const map = (of: (kind: SpanKind) => number): Readonly<Record<SpanKind, number>> =>
  Object.fromEntries(spanKinds.map((kind) => [kind, of(kind)])) as Record<SpanKind, number>

/** The likeliest kind of each piece, all of them together (Viterbi): what is said later tells what was before. */
export function likeliest(pieces: readonly Piece[]): readonly SpanKind[] {
  let best = map((kind) => -first[kind])
  const cameFrom: Readonly<Record<SpanKind, SpanKind>>[] = []
  pieces.forEach((piece, index) => {
    const points = pointsOf(piece)
    if (index === 0) {
      best = map((kind) => best[kind] + points[kind])
      return
    }
    const from = {} as Record<SpanKind, SpanKind>
    const before = best
    best = map((kind) => {
      let [top, at] = [before[kind], kind]
      for (const other of spanKinds) {
        const value = other === kind ? before[kind] : before[other] - (costs[other]?.[kind] ?? usual)
        if (value > top) [top, at] = [value, other]
      }
      from[kind] = at
      return top + points[kind]
    })
    cameFrom.push(from)
  })
  let kind = spanKinds.reduce((top, one) => (best[one] > best[top] ? one : top), 'talk' as SpanKind)
  const kinds: SpanKind[] = [kind]
  for (const from of cameFrom.toReversed()) {
    kind = from[kind]
    kinds.push(kind)
  }
  return pieces.length === 0 ? [] : kinds.toReversed()
}
