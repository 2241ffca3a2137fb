import { amiss, refused } from '#core/result'
import type { Checked } from '#core/result'
import { calculated } from './calculated.ts'
import type { Calculated } from './calculated.ts'

/** One way a piece can lie: its loaded height and footprint in cm; round pieces carry nothing firm. */
export interface StackOption {
  readonly opt: string
  readonly h: number
  readonly foot: readonly [number, number]
  readonly round?: boolean
}

/** What there is of a kind: rank 0 rigid, 1 firm, 2 soft; `count` is shared by its options. */
export interface Stocked {
  readonly kind: string
  readonly rank: number
  readonly count: number
  readonly options: readonly StackOption[]
}

export interface FindStacksInput {
  readonly H: number
  readonly inventory: readonly Stocked[]
  readonly tol?: number
  readonly maxPieces?: number
  readonly top?: number
}

export interface FoundStack {
  /** `kind:opt` joined by bars, bottom to top. */
  readonly key: string
  readonly height: number
  readonly ratio: number
  readonly cls: 'ok' | 'brace'
}

interface Piece {
  readonly kind: string
  readonly opt: string
  readonly rank: number
  readonly count: number
  readonly mm: number
  readonly long: number
  readonly short: number
  readonly round: boolean
}

/** A valid stack with what decides between it and others. */
interface Stack extends FoundStack {
  readonly mm: number
  readonly pieces: number
  readonly kinds: number
  readonly topRank: number
}

const millimetres = (cm: number): number => Math.floor(10 * cm + 0.5)
const byCode = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

/** Height over narrow side up to which a stack stands by itself, and up to which it stands braced. */
const standsTo = 1.5
const bracedTo = 2
const slack = 1e-9

/**
 * Stacks of a wanted height from what there is, best first [formula book 5f2, the order of preference is its
 * step 6]: standing before braced, fewer pieces, nearer, lower ratio, fewer kinds, softer top, then the key.
 * `NO_STACK` names the nearest valid ones below and above.
 */
export function findStacks({
  H,
  inventory,
  tol = 1,
  maxPieces = 4,
  top = 5,
}: FindStacksInput): Calculated<{ readonly count: number; readonly best: readonly FoundStack[] }> {
  const bad = amiss([
    ['H', H, 0.5, 120],
    ['tol', tol, 0, 10],
    ['maxPieces', maxPieces, 1, 6],
    ['top', top, 1],
    ...stockChecks(inventory),
  ])
  if (bad) return bad
  const wanted = { mm: millimetres(H), tolMm: millimetres(tol) }
  const pieces = piecesOf(inventory)
  const inWindow: Stack[] = []
  forEachSet(pieces, maxPieces, wanted.mm + wanted.tolMm, (set, mm) => {
    if (Math.abs(mm - wanted.mm) > wanted.tolMm) return
    const stack = stackOf(set, mm)
    if (stack) inWindow.push(stack)
  })
  if (inWindow.length === 0) return refused('NO_STACK', 'H', nearest(pieces, maxPieces, wanted))
  inWindow.sort(preferred(wanted.mm))
  const best = inWindow.slice(0, top).map(({ key, height, ratio, cls }) => ({ key, height, ratio, cls }))
  return calculated({ count: inWindow.length, best })
}

const stockChecks = (inventory: readonly Stocked[]): Checked[] =>
  inventory.flatMap(({ rank, count, options }, at): Checked[] => [
    [`inventory[${String(at)}].rank`, rank, 0, 2],
    [`inventory[${String(at)}].count`, count, 0],
    ...options.flatMap(({ h, foot }, which): Checked[] => {
      const place = `inventory[${String(at)}].options[${String(which)}]`
      return [
        [`${place}.h`, h],
        [`${place}.foot`, foot[0], 0],
        [`${place}.foot`, foot[1], 0],
      ]
    }),
  ])

/** Every way a piece can lie, in the order in which sets are built. */
const piecesOf = (inventory: readonly Stocked[]): Piece[] =>
  inventory
    .flatMap(({ kind, rank, count, options }) =>
      options.map(({ opt, h, foot, round = false }): Piece => ({
        kind,
        opt,
        rank,
        count,
        mm: millimetres(h),
        long: Math.max(...foot),
        short: Math.min(...foot),
        round,
      })),
    )
    .filter(({ mm }) => mm > 0)
    .sort((a, b) => byCode(a.kind, b.kind) || byCode(a.opt, b.opt))

/** Every multiset of pieces there are enough of, up to a height; none twice in another order. */
function forEachSet(
  pieces: readonly Piece[],
  maxPieces: number,
  mostMm: number,
  take: (set: readonly Piece[], mm: number) => void,
): void {
  const set: Piece[] = []
  const used = new Map<string, number>()
  const grow = (from: number, mm: number): void => {
    if (set.length > 0) take(set, mm)
    if (set.length >= maxPieces) return
    for (let at = from; at < pieces.length; at += 1) {
      const piece = pieces[at]
      if (!piece || mm + piece.mm > mostMm) continue
      const taken = used.get(piece.kind) ?? 0
      if (taken >= piece.count) continue
      used.set(piece.kind, taken + 1)
      set.push(piece)
      grow(at, mm + piece.mm)
      set.pop()
      used.set(piece.kind, taken)
    }
  }
  grow(0, 0)
}

/** Bottom to top: rigid below firm below soft, wide below narrow. */
const bottomFirst = (a: Piece, b: Piece): number =>
  a.rank - b.rank ||
  b.long * b.short - a.long * a.short ||
  b.short - a.short ||
  byCode(a.kind, b.kind) ||
  byCode(a.opt, b.opt)

/** Whether one piece may lie on another. */
function carries(lower: Piece, upper: Piece): boolean {
  if (upper.rank >= 2) return true
  if (lower.round) return false
  if (upper.rank === 0) return upper.long <= lower.long + 0.5 && upper.short <= lower.short + 0.5
  return lower.long >= upper.long / 2 && lower.short >= upper.short / 2
}

/** The set as a stack; undefined where it cannot stand. */
function stackOf(set: readonly Piece[], mm: number): Stack | undefined {
  const stack = [...set].sort(bottomFirst)
  const isCarried = stack.every((upper, at) => {
    const lower = stack[at - 1]
    return lower === undefined || carries(lower, upper)
  })
  if (!isCarried) return undefined
  const firm = stack.filter(({ rank }) => rank <= 1)
  const narrow = Math.min(...(firm.length > 0 ? firm : stack).map(({ short }) => short))
  const ratio = mm / 10 / narrow
  if (ratio > bracedTo + slack) return undefined
  return {
    key: stack.map(({ kind, opt }) => `${kind}:${opt}`).join('|'),
    height: mm / 10,
    ratio,
    cls: ratio <= standsTo + slack ? 'ok' : 'brace',
    mm,
    pieces: stack.length,
    kinds: new Set(stack.map(({ kind }) => kind)).size,
    topRank: stack.at(-1)?.rank ?? 0,
  }
}

const rounded = (ratio: number): number => Math.round(ratio * 1e6)

/** The order of preference. */
const preferred =
  (wantedMm: number) =>
  (a: Stack, b: Stack): number =>
    Number(a.cls === 'brace') - Number(b.cls === 'brace') ||
    a.pieces - b.pieces ||
    Math.abs(a.mm - wantedMm) - Math.abs(b.mm - wantedMm) ||
    rounded(a.ratio) - rounded(b.ratio) ||
    a.kinds - b.kinds ||
    b.topRank - a.topRank ||
    byCode(a.key, b.key)

/** The nearest valid stacks outside the window; every height is looked at. */
function nearest(
  pieces: readonly Piece[],
  maxPieces: number,
  { mm: wantedMm, tolMm }: { readonly mm: number; readonly tolMm: number },
) {
  const better = preferred(wantedMm)
  const nearer = (a: Stack | undefined, b: Stack): Stack => {
    if (!a) return b
    return (Math.abs(b.mm - wantedMm) - Math.abs(a.mm - wantedMm) || better(b, a)) < 0 ? b : a
  }
  let below: Stack | undefined
  let above: Stack | undefined
  forEachSet(pieces, maxPieces, Infinity, (set, mm) => {
    const isBelow = mm < wantedMm - tolMm
    const former = isBelow ? below : above
    // Only what is at least as near can take its place: the rest need not be built.
    if (former && Math.abs(mm - wantedMm) > Math.abs(former.mm - wantedMm)) return
    const stack = stackOf(set, mm)
    if (!stack) return
    if (isBelow) below = nearer(below, stack)
    else above = nearer(above, stack)
  })
  const told = (stack: Stack | undefined) => (stack ? { height: stack.height, key: stack.key } : null)
  return { below: told(below), above: told(above) }
}
