import type { Level } from '#model/common'
import type { PropKind } from '#model/prop'
import type { BodyPart, FoldOp, SetUpItem } from '#model/set-up'
import { ok, refused } from '#core/result'
import type { Refused, Result } from '#core/result'
import type { Seconds } from '#core/units'
import { inOrder, partsInOrder } from './actions.ts'
import type { Action, Handled } from './actions.ts'
import { leastAssignment } from './assignment.ts'
import { foldText, piecesOf, placeText } from './pieces.ts'
import type { Piece } from './pieces.ts'
import { bringingS, byHand, doneWith } from './seconds.ts'

/** What changes hands between two set-ups. */
export interface Changeover {
  /** Of all that is done, by the level; not rounded. */
  readonly s: Seconds
  /** Pieces that are brought, put aside, and moved or refolded. */
  readonly brought: number
  readonly aside: number
  readonly moved: number
  /** Ways to where the props lie, with two hands. */
  readonly trips: number
  /** Parts of the body under which anything changes; none where the base position changes: all is off then. */
  readonly lifts: number
  readonly actions: readonly Action[]
}

interface ChangeoverInput {
  /** The items of each set-up; none is nothing. */
  readonly from: readonly SetUpItem[]
  readonly to: readonly SetUpItem[]
  readonly level: Level
  readonly baseChanges?: boolean
  /** The folds a kind is kept in, where that is known. */
  readonly kept?: Readonly<Partial<Record<PropKind, readonly FoldOp[]>>>
}

export const levelFactor: Readonly<Record<Level, number>> = { new: 1.5, regular: 1, experienced: 0.8 }

/**
 * What is put aside, moved, refolded and brought from one set-up to the next, so that it takes least time, in the order
 * it is done [handling book 2; settled C6, C8, C9]. Refuses `UNKNOWN` for a kind or part that nobody knows, by its field.
 */
export function changeover(input: ChangeoverInput): Result<Changeover, 'UNKNOWN'> {
  const { from, to, level, baseChanges = false, kept = {} } = input
  const unknown = unknownIn('from', from) ?? unknownIn('to', to)
  if (unknown) return unknown
  const [before, after] = [piecesOf(from), piecesOf(to)]
  const kinds = [...new Set([...before, ...after].map(({ kind }) => kind))]
  const handled = kinds.flatMap((kind) => {
    const ofKind = (pieces: readonly Piece[]) => pieces.filter((piece) => piece.kind === kind)
    return matched(ofKind(before), ofKind(after), baseChanges, kept[kind]?.map(foldText))
  })
  const count = (...does: Handled['does'][]) => handled.filter((one) => does.includes(one.does)).length
  const hands = (does: Handled['does']) =>
    handled.reduce((sum, one) => sum + (one.does === does ? byHand(one.kind).hands : 0), 0)
  return ok({
    s: handled.reduce((sum, { s }) => sum + s, 0) * levelFactor[level],
    brought: count('brings'),
    aside: count('aside'),
    moved: count('moves', 'refolds'),
    trips: Math.ceil(Math.max(hands('brings'), hands('aside')) / 2),
    lifts: baseChanges ? 0 : liftsBetween(before, after),
    actions: inOrder(handled),
  })
}

/** More than any number of actions, so that seconds decide first and the fewest actions among equals. */
const aboveActions = 10_000

/** The pieces of one kind: as many as both have are matched so that it takes least time, then fewest actions. */
function matched(
  before: readonly Piece[],
  after: readonly Piece[],
  baseChanges: boolean,
  kept: readonly string[] | undefined,
): readonly Handled[] {
  const size = Math.max(before.length, after.length)
  const between = (row: number, column: number): Handled => {
    const [from, to] = [before[row], after[column]]
    if (from && to) return { kind: from.kind, from, to, ...doneWith(from, to, baseChanges) }
    if (from) return { does: 'aside', kind: from.kind, from, to, k: 0, s: byHand(from.kind).aside }
    if (to) return { does: 'brings', kind: to.kind, from, to, k: 0, s: bringingS(to, kept) }
    throw new RangeError('changeover: a piece is matched with nothing')
  }
  const all = Array.from({ length: size }, (_, row) =>
    Array.from({ length: size }, (__, column) => between(row, column)),
  )
  const costs = all.map((row) => row.map(({ s, does }) => s * aboveActions + (does === 'stays' ? 0 : 1)))
  return leastAssignment(costs).flatMap((column, row) => all[row]?.[column] ?? [])
}

/** Parts under which the pieces are not the same, with what they lie on. */
function liftsBetween(before: readonly Piece[], after: readonly Piece[]): number {
  const under = (pieces: readonly Piece[], part: BodyPart) =>
    pieces
      .filter((piece) => piece.part === part && piece.lies === 'under')
      .map(placeText)
      .sort()
      .join('\n')
  return partsInOrder.filter((part) => under(before, part) !== under(after, part)).length
}

const knownParts: ReadonlySet<string> = new Set(partsInOrder)

function unknownIn(field: 'from' | 'to', items: readonly SetUpItem[]): Refused<'UNKNOWN'> | undefined {
  for (const [at, { kind, under }] of items.entries()) {
    if (!knownKinds.has(kind)) return refused('UNKNOWN', `${field}.${String(at)}.kind`, { kind })
    if (under !== undefined && !knownParts.has(under))
      return refused('UNKNOWN', `${field}.${String(at)}.under`, { part: under })
  }
  return undefined
}

/** Every kind there is, told to the compiler so that none is forgotten. */
const kindsThereAre: Readonly<Record<PropKind, true>> = {
  roundBolster: true,
  rectBolster: true,
  foamBlock: true,
  corkBlock: true,
  blanket: true,
  seatCushion: true,
  halfMoonCushion: true,
  ringHeadRest: true,
  strap: true,
  chair: true,
  sandbag: true,
  eyePillow: true,
  wall: true,
  mattress: true,
  longPillow: true,
  towel: true,
  book: true,
  mat: true,
  belt: true,
  scarf: true,
  sofa: true,
  door: true,
}
const knownKinds: ReadonlySet<string> = new Set(Object.keys(kindsThereAre))
