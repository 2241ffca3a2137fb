import type { BasePosition } from '#model/common'
import type { Direction, Target } from '#model/pose'
import type { ResolvedHold } from '#core/session'
import type { Segment, Timeline } from '#core/timeline'
import type { Milliseconds } from '#core/units'
import type { CheckInput } from './check.ts'
import { lookAt } from './look.ts'
import { quietShare } from './quiet.ts'
import type { HeldSide } from './rule.ts'

/** What people do: still in a shape, breathing to a count, listening, or moving. */
export interface Doings {
  readonly stillMs: Milliseconds
  readonly breathMs: Milliseconds
  readonly talkMs: Milliseconds
  readonly movingMs: Milliseconds
}

/** A stretch of the class with a felt intensity, 0 to 10; between holds there is none. */
export interface Felt {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly from: number
  readonly to: number
}

export interface InPosition {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly position: BasePosition
}

/** A hold and the share of it in which nothing is said, 0 to 1, on its loudest side. */
export interface Quiet {
  readonly blockId: string
  readonly name: string
  readonly quiet: number
}

/** Where the work of a session goes. A hold counts for each of its areas and directions. */
export interface Balance {
  readonly byTarget: readonly (readonly [Target, Milliseconds])[]
  readonly byDirection: readonly (readonly [Direction, Milliseconds])[]
  readonly leftMs: Milliseconds
  readonly rightMs: Milliseconds
  readonly doings: Doings
  readonly felt: readonly Felt[]
  readonly headBelowMs: Milliseconds
  readonly positions: readonly InPosition[]
  readonly quiet: readonly Quiet[]
}

const lengthOf = ({ startMs, endMs }: Pick<Segment, 'startMs' | 'endMs'>): Milliseconds => endMs - startMs

/** The balance of a session: sums of what it compiles to. */
export function balanceOf(input: CheckInput): Balance {
  const { timeline } = input
  const look = lookAt(input)
  const held = look.holds.flatMap(({ hold, sides }) => sides.map((side) => ({ hold, side })))
  return {
    byTarget: summed(held, ({ pose }) => pose.targets),
    byDirection: summed(held, ({ pose }) => pose.directions),
    leftMs: sumOf(held.filter(({ side }) => side.side === 'left').map(({ side }) => lengthOf(side))),
    rightMs: sumOf(held.filter(({ side }) => side.side === 'right').map(({ side }) => lengthOf(side))),
    doings: doingsOf(timeline),
    felt: held.map(({ hold, side }) => ({ startMs: side.startMs, endMs: side.endMs, ...hold.pose.sensation })),
    headBelowMs: sumOf(held.filter(({ hold }) => isHeadBelow(hold)).map(({ side }) => lengthOf(side))),
    positions: positionsOf(timeline),
    quiet: look.holds.flatMap(({ id, hold, sides }) =>
      sides.length === 0
        ? []
        : [{ blockId: id, name: hold.pose.names.english, quiet: Math.min(...sides.map(quietShare)) }],
    ),
  }
}

const sumOf = (numbers: readonly number[]): number => numbers.reduce((sum, number) => sum + number, 0)

/** Families in which the head is lower than the heart [cautions reference 2.1]. */
const headBelow: ReadonlySet<string> = new Set(['head_low', 'inversion'])
const isHeadBelow = ({ pose }: ResolvedHold): boolean => pose.families.some((family) => headBelow.has(family))

/** Milliseconds by what each hold names, the most first. */
function summed<T extends string>(
  held: readonly { hold: ResolvedHold; side: HeldSide }[],
  namesOf: (hold: ResolvedHold) => readonly T[],
): (readonly [T, Milliseconds])[] {
  const sums = new Map<T, Milliseconds>()
  for (const { hold, side } of held)
    for (const name of namesOf(hold)) sums.set(name, (sums.get(name) ?? 0) + lengthOf(side))
  return [...sums].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
}

function doingsOf({ segments }: Timeline): Doings {
  const sums = { stillMs: 0, breathMs: 0, talkMs: 0, movingMs: 0 }
  for (const segment of segments) sums[doingOf(segment)] += lengthOf(segment)
  return sums
}

function doingOf({ doing }: Segment): keyof Doings {
  switch (doing.kind) {
    case 'talk':
      return 'talkMs'
    case 'hold':
    case 'rest':
      return 'stillMs'
    case 'breath':
      return doing.part === 'natural' || doing.part === 'rest' ? 'stillMs' : 'breathMs'
    case 'afterRest':
    case 'betweenSides':
      return doing.form === 'stillness' ? 'stillMs' : 'movingMs'
    case 'closing':
      return doing.step === 'finalRest' ? 'stillMs' : 'movingMs'
    default:
      return 'movingMs'
  }
}

/** The base positions along the class; a talk is heard in the position people are in. */
function positionsOf({ blocks }: Timeline): InPosition[] {
  const positions: InPosition[] = []
  for (const { block, startMs, endMs } of blocks) {
    const position = block.kind === 'talk' ? positions.at(-1)?.position : block.toPosition
    if (position === undefined) continue
    const last = positions.at(-1)
    if (last?.position === position) positions[positions.length - 1] = { ...last, endMs }
    else positions.push({ startMs, endMs, position })
  }
  return positions
}
