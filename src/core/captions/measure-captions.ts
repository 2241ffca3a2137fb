import type { Side } from '#model/common'
import type { Catalog } from '#core/session'
import type { Caption, Span, SpanKind } from './captions.ts'
import { isFinalRest, isOtherSide, isResting, leavesHere, staysHere } from './cues.ts'
import { likeliest } from './likeliest.ts'
import { namesOf, poseNamed } from './names.ts'
import type { Names } from './names.ts'
import { announcedIn } from './numbers.ts'
import { piecesOf } from './pieces.ts'
import type { Piece } from './pieces.ts'
import { beginLater, recut } from './recut.ts'
import { otherThan, sideSaid } from './sides.ts'

/** A shorter hold is part of the way into the next one, ms. */
const leastHoldMs = 20_000
/** What is said so long after a hold began still tells what it is, ms. */
const tellsMs = 60_000
const saysSideMs = 25_000
/** So many sentences before a hold are the last of the way into it. */
const nearWay = 6
/** An end that was said is as sure as the sentence is long; another may lie so much further, ms [estimate]. */
const unsaidMs = 6000
const leastDoubtMs = 1000

interface Run {
  readonly kind: SpanKind
  readonly pieces: readonly Piece[]
}

/**
 * What was done in a recorded class, from its captions: spans in the order of time that cover it from the first caption
 * to the end of the last. Nothing is heard: what nobody said is not known, and a hold nobody named has no pose.
 */
export function measureCaptions({
  captions,
  catalog,
}: {
  readonly captions: readonly Caption[]
  readonly catalog: Pick<Catalog, 'poses'>
}): { readonly spans: readonly Span[] } {
  const pieces = piecesOf(captions)
  const runs = withoutShortHolds(withSidedRests(runsOf(pieces, beginLater(pieces, recut(pieces, likeliest(pieces))))))
  return { spans: spansOf(runs, namesOf(catalog), catalog) }
}

/** Pieces of one kind that follow each other; the other side of a shape is always a run of its own. */
function runsOf(pieces: readonly Piece[], kinds: readonly SpanKind[]): readonly Run[] {
  const runs: { kind: SpanKind; pieces: Piece[] }[] = []
  pieces.forEach((piece, index) => {
    const kind = kinds[index] ?? 'unknown'
    const last = runs.at(-1)
    if (last?.kind === kind) last.pieces.push(piece)
    else runs.push({ kind, pieces: [piece] })
  })
  return runs
}

const lengthOf = ({ pieces }: Run): number => (pieces.at(-1)?.endMs ?? 0) - (pieces[0]?.startMs ?? 0)

function withoutShortHolds(runs: readonly Run[]): readonly Run[] {
  const kept: Run[] = []
  for (const run of runs) {
    const kind = run.kind === 'hold' && lengthOf(run) < leastHoldMs ? 'setUp' : run.kind
    const last = kept.at(-1)
    if (last?.kind === kind) kept[kept.length - 1] = { kind, pieces: [...last.pieces, ...run.pieces] }
    else kept.push({ ...run, kind })
  }
  return kept
}

/** What is stayed in on a side that was just said, for a length that was announced, is the other side of a shape and no rest. */
const withSidedRests = (runs: readonly Run[]): readonly Run[] =>
  runs.map((run, index) => {
    const before = runs[index - 1]
    const isLong = run.kind === 'rest' && lengthOf(run) >= leastHoldMs && before?.kind !== 'hold'
    const isHeld = isLong && announcedIn(textOf(run.pieces.slice(0, 3))).length > 0
    return isHeld && sideSaid(textOf(before?.pieces ?? []), undefined) ? { ...run, kind: 'hold' } : run
  })

const textOf = (pieces: readonly Piece[]): string =>
  pieces
    .map(({ text }) => text)
    .filter((text) => text !== '')
    .join(' ')

/** What the hold before was, by which "the other side" is told. */
interface Before {
  readonly poseId: string | undefined
  readonly side: Side | undefined
}

function spansOf(runs: readonly Run[], names: Names, catalog: Pick<Catalog, 'poses'>): readonly Span[] {
  let before: Before = { poseId: undefined, side: undefined }
  let since: Piece[] = []
  return runs.map((run, index) => {
    const startMs = run.pieces[0]?.startMs ?? 0
    const span = {
      startMs,
      endMs: run.pieces.at(-1)?.endMs ?? startMs,
      kind: run.kind,
      doubtMs: doubtOf(run, runs[index - 1], runs[index + 1]),
    }
    if (run.kind !== 'hold') {
      since.push(...run.pieces)
      return span
    }
    // The last rest of a class is told as one settles, and is no hold.
    const last = since.findLastIndex(({ text }) => isFinalRest(text))
    if (last >= 0 && since.slice(last + 1).every(({ text }) => !leavesHere(text))) return { ...span, kind: 'rest' }
    const early = run.pieces.filter((piece) => piece.startMs < startMs + tellsMs)
    const what = heldIn(since, early, before, names, catalog)
    const isLast = runs.slice(index + 1).every(({ kind }) => kind !== 'hold' && kind !== 'breath')
    if (isLast && what.poseId === undefined && isResting(textOf([...since.slice(-nearWay), ...early])))
      return { ...span, kind: 'rest' }
    before = what
    since = []
    return {
      ...span,
      ...(what.poseId === undefined ? {} : { poseId: what.poseId }),
      ...(what.side === undefined ? {} : { side: what.side }),
      ...(what.announcedS === undefined ? {} : { announcedS: what.announcedS }),
    }
  })
}

function heldIn(
  since: readonly Piece[],
  early: readonly Piece[],
  before: Before,
  names: Names,
  { poses }: Pick<Catalog, 'poses'>,
): Before & { readonly announcedS: number | undefined } {
  const switched = since.findLastIndex(({ text }) => isOtherSide(text))
  // What was said on the way out of the hold before tells of that one.
  const leaving = since.findLastIndex(({ text }, at) => at < since.length - 1 && leavesHere(text))
  const way = since.slice(Math.max(0, switched, leaving))
  const around = `${textOf(since)} ${textOf(early)}`
  const namedIn = ({ text }: Piece): string | undefined => poseNamed(names, text, around)
  const firstIn = (pieces: readonly Piece[]): string | undefined => {
    for (const piece of pieces) {
      const found = namedIn(piece)
      if (found !== undefined) return found
    }
    return undefined
  }
  const named = firstIn(way.toReversed()) ?? firstIn(early)
  const isSecond = switched >= 0 && before.poseId === (named ?? before.poseId)
  const poseId = named ?? (isSecond ? before.poseId : firstIn(since.toReversed()))
  const pose = poseId === undefined ? undefined : poses.get(poseId)
  const soon = early.filter(({ startMs }) => startMs < (early[0]?.startMs ?? 0) + saysSideMs)
  const told = `${textOf(way)} . ${textOf(soon)}`
  const side = pose && !pose.sides ? undefined : isSecond && before.side ? otherThan(before.side) : sideSaid(told, pose)
  const announcedS = announcedIn(textOf(early))[0] ?? announcedIn(textOf(way)).at(-1)
  return { poseId, side, announcedS }
}

/** How far an end of a run may lie from where it is given: the further, the longer the piece it falls into and the less was said. */
function doubtOf(run: Run, previous: Run | undefined, next: Run | undefined): number {
  const edge = (last: Piece | undefined, first: Piece | undefined): number => {
    if (!last || !first) return leastDoubtMs
    const isSaid = staysHere(first.text) || leavesHere(first.text)
    const within = Math.min(first.endMs - first.startMs, 20_000) / 2
    return isSaid ? Math.max(leastDoubtMs, within) : within + unsaidMs
  }
  return Math.round(Math.max(edge(previous?.pieces.at(-1), run.pieces[0]), edge(run.pieces.at(-1), next?.pieces[0])))
}
