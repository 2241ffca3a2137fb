import type { SpanKind } from './captions.ts'
import { isOtherSide, leavesHere, namesBody, staysHere } from './cues.ts'
import { announcedIn } from './numbers.ts'
import type { Piece } from './pieces.ts'

/** So long one holds before anything can be the next hold, ms. */
const soonestMs = 45_000
/** A stop this long tells what is said apart from what was said before, ms. */
const apartMs = 6000
/** Said around the beginning of a hold, it is about that hold, ms. */
const nearMs = 30_000
/** Of a length that was announced: from here on the way out may be told; past this it was not noticed. */
const [due, overdue] = [0.85, 1.35]

const beginsWithSide =
  /^(?:and |so |now |then |okay )*(?:the |your )?(left|right) (?:leg|knee|foot|ankle|heel|shin|thigh|arm|hand|elbow|side)\b.*\b(?:go|goes|come|comes|over|up|in|across|outside|forward|back|down|on|long|bent|behind|wide|under|to)\b/

/** What may be done with a limb is no way into another shape. */
const mayBe = /\b(?:can|could|may|might|option)\b/

const lengthOf = ({ startMs, endMs }: Piece): number => endMs - startMs
const isStop = (piece: Piece | undefined): boolean => !piece || (piece.text === '' && lengthOf(piece) >= apartMs)

/**
 * Cuts holds that run into each other: teachers leave a shape in words no list has. Where a hold is announced anew, where
 * the other side is begun, or where somebody speaks of the body when the announced time is over, the sentences around it
 * are the way from one hold into the next.
 */
export function recut(pieces: readonly Piece[], kinds: readonly SpanKind[]): readonly SpanKind[] {
  const now = [...kinds]
  let from = 0
  while (from < pieces.length) {
    if (now[from] !== 'hold') {
      from += 1
      continue
    }
    let to = from
    while (now[to + 1] === 'hold') to += 1
    const cut = cutIn(pieces, from, to)
    if (!cut) {
      from = to + 1
      continue
    }
    for (let at = cut.from; at <= cut.to; at += 1)
      now[at] = at === cut.from && leavesHere(pieces[at]?.text ?? '') ? 'comingOut' : 'setUp'
    from = cut.to + 1
  }
  return now
}

interface Cut {
  readonly from: number
  readonly to: number
}

/** The first way from one hold into another within pieces that count as one; undefined where there is none. */
function cutIn(pieces: readonly Piece[], from: number, to: number): Cut | undefined {
  const startMs = pieces[from]?.startMs ?? 0
  const endMs = pieces[to]?.endMs ?? 0
  const announcedMs = 1000 * (announcedAt(pieces, from) ?? Infinity)
  for (let at = from + 1; at <= to; at += 1) {
    const { startMs: atMs, text = '' } = pieces[at] ?? { startMs: 0 }
    if (text === '' || atMs < startMs + soonestMs) continue
    const first = backFrom(pieces, at, from)
    // A hold that is announced begins with that sentence; it is the sentences before it that lead there.
    if (announcedIn(text).length > 0) return { from: first, to: Math.max(first, at - 1) }
    const isNext = (isOtherSide(text) || (beginsWithSide.test(text) && !mayBe.test(text))) && isStop(pieces[first - 1])
    const isDue = atMs >= startMs + due * announcedMs && endMs > startMs + overdue * announcedMs
    if (!isNext && !isDue) continue
    const last = onFrom(pieces, at, to)
    const said = pieces.slice(first, last + 1)
    if (isNext || said.some((piece) => leavesHere(piece.text) || namesBody(piece.text)))
      return { from: first, to: last }
  }
  return undefined
}

/** So long somebody may still be arranged after a hold seems to have begun, ms. */
const arrangedMs = 60_000
/** So long somebody waits for people to arrange themselves, ms. */
const waitsMs = 12_000
const isArranging = (piece: Piece): boolean => piece.text !== '' || lengthOf(piece) < waitsMs

/**
 * Begins holds where they are announced: what is told of the body without a stop before that is still the way into the
 * shape.
 */
export function beginLater(pieces: readonly Piece[], kinds: readonly SpanKind[]): readonly SpanKind[] {
  const now = [...kinds]
  for (let from = 0; from < now.length; from += 1) {
    if (now[from] !== 'hold' || now[from - 1] === 'hold') continue
    const soon = pieces.slice(from).findIndex(({ startMs, text }, at) => {
      const isNear = startMs < (pieces[from]?.startMs ?? 0) + arrangedMs && now[from + at] === 'hold'
      return !isNear || announcedIn(text).length > 0
    })
    const way = pieces.slice(from, from + Math.max(0, soon))
    const isAnnounced = now[from + soon] === 'hold' && announcedIn(pieces[from + soon]?.text ?? '').length > 0
    if (
      isAnnounced &&
      way.every((piece) => isArranging(piece) && !staysHere(piece.text)) &&
      way.some(({ text }) => namesBody(text))
    )
      now.fill('setUp', from, from + soon)
  }
  return now
}

/** What was announced around the beginning of a hold, s. */
function announcedAt(pieces: readonly Piece[], from: number): number | undefined {
  const startMs = pieces[from]?.startMs ?? 0
  const near = pieces.filter((piece) => piece.endMs > startMs - nearMs && piece.startMs < startMs + nearMs)
  return announcedIn(near.map(({ text }) => text).join(' ')).at(-1)
}

/** The first sentence without a stop up to another, not before a hold has lasted. */
function backFrom(pieces: readonly Piece[], at: number, from: number): number {
  let first = at
  while (
    first - 1 > from &&
    !isStop(pieces[first - 1]) &&
    (pieces[first - 1]?.startMs ?? 0) >= (pieces[from]?.startMs ?? 0) + soonestMs
  )
    first -= 1
  return first
}

/** The last sentence without a stop after another, up to where staying is said. */
function onFrom(pieces: readonly Piece[], at: number, to: number): number {
  let last = at
  while (last < to && !isStop(pieces[last + 1]) && !staysHere(pieces[last + 1]?.text ?? '')) last += 1
  return last
}
