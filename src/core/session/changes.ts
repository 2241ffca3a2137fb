import type { BasePosition, Level } from '#model/common'
import { laidUnder, propsChange } from '#core/handling'
import type { PropsChange } from '#core/handling'
import type { Seconds } from '#core/units'
import type { Session } from '#model/session'
import type { SetUpItem } from '#model/set-up'
import type { Catalog, ChangeTable } from './catalog.ts'
import { atLevel, learnedChanges, learnedKey } from './learned.ts'
import type { Resolved, ResolvedTalk, Sourced } from './resolved.ts'
import { atStart, enteredFrom, itemsLaid, mayTakePosition, standAfter } from './stand.ts'
import type { Stand } from './stand.ts'

/** How people come into a block: from which base position (`undefined` at the start) to which, and how long it takes. */
export interface Change {
  readonly from: BasePosition | undefined
  readonly to: BasePosition
  readonly changeS: Sourced<Seconds>
  /** What the seconds are composed of where nobody set them: coming over, the props by hand, showing it. */
  readonly parts?: ChangeParts
  /** What lay there, what is laid, and whether all of it is off; absent where the props stay as they lie. */
  readonly laid?: LaidAnew
  /** Ways to where the props lie. */
  readonly trips: number
}

export interface LaidAnew {
  readonly from: readonly SetUpItem[]
  readonly to: readonly SetUpItem[]
  readonly baseChanges: boolean
}

export interface ChangeParts {
  readonly positionS: Seconds
  readonly propsS: Seconds
  /** 0 where nothing has to be shown. */
  readonly showS: Seconds
  /** What the whole of it is multiplied by for the size of the class; 1 where that is not known, or small. */
  readonly factor: number
  /** What the props by hand are multiplied by, as led classes taught; 1 where they did not. */
  readonly over: number
  /** Which of the two it was estimated by, the larger. */
  readonly by: 'position' | 'props'
}

/**
 * The changes between the blocks of a session, whichever is done after which. Blocks are told by their place in the
 * session as it was resolved; a stand, by a number, is where people are and what lies there after some of them,
 * `undefined` at the start. Blocks that leave the same leave the same number.
 */
export interface Changes {
  /** The change into a block; a talk has none. */
  readonly into: (block: number, stand: number | undefined) => Change | undefined
  readonly after: (block: number, stand: number | undefined) => number | undefined
  /** No change into a block is shorter from where another leaves people, whatever lies there. */
  readonly leastInto: (block: number, from: number) => Seconds
}

/** What changes cost: by position, by the level of who is led, and by how many there are, where that is known. */
export interface ChangeCosts {
  readonly table: ChangeTable
  readonly level: Level
  readonly people?: number | undefined
  /** How long props take by hand, as led classes taught: times the estimate. */
  readonly over?: number
  /** The table as it is shipped, where some of it was learned. */
  readonly shipped?: ChangeTable
}

/** What changes cost in a session: with what led classes taught of them. */
export function changeCosts(
  { level }: Pick<Session, 'level'>,
  { changes, people, learned }: Pick<Catalog, 'changes' | 'people' | 'learned'>,
): ChangeCosts {
  if (learned.size === 0) return { table: changes, level, people }
  const over = (learned.get(atLevel(learnedKey.changeover, level)) ?? 100) / 100
  return { table: learnedChanges(changes, learned, level), level, people, over, shipped: changes }
}

/** The pass between resolving and laying out: what it costs to come to every block from every other. */
export function changesBetween(resolved: readonly Resolved[], costs: ChangeCosts): Changes {
  const { standOf, numberOf } = numbered()
  const leastPropsS = new Map<number, Seconds>()
  return {
    into: (at, stand) => {
      const block = resolved[at]
      return block && block.kind !== 'talk' ? changeInto(block, standOf(stand), costs) : undefined
    },
    after: (at, stand) => {
      const block = resolved[at]
      return block && block.kind !== 'talk' ? numberOf(standAfter(block, standOf(stand))) : stand
    },
    leastInto: (at, from) => {
      const [block, other] = [resolved[at], resolved[from]]
      if (!block || block.kind === 'talk' || !other) return 0
      const propsS = leastPropsS.get(at) ?? leastPropsInto(at, resolved, costs)
      leastPropsS.set(at, propsS)
      const position = mayTakePosition(other) ? undefined : standAfter(other, atStart).position
      return leastInto(block, position, propsS, costs)
    },
  }
}

/** Stands by numbers, the same one for the same content. */
function numbered() {
  const numbers = new Map<string, number>()
  const stands: Stand[] = []
  return {
    standOf: (number: number | undefined): Stand => (number === undefined ? atStart : (stands[number] ?? atStart)),
    numberOf: (stand: Stand): number => {
      const content = JSON.stringify(stand)
      const known = numbers.get(content)
      if (known !== undefined) return known
      numbers.set(content, stands.length)
      return stands.push(stand) - 1
    },
  }
}

/** Showing how it lies where people have come up and all of it is laid anew, s [handling book 2]. */
const showItS = 10
/** Estimates grow by this for each person past so many, at most by half [handling book 2]. */
const perPerson = { share: 0.03, past: 4, most: 1.5 } as const

/** What estimated changes are multiplied by for so many people. */
export const factorFor = (people = 0): number =>
  Math.min(perPerson.most, 1 + perPerson.share * Math.max(0, people - perPerson.past))

/** The document's, the own pose's or the learned time as it is, else composed of coming over and of the props. */
function changeInto(block: Exclude<Resolved, ResolvedTalk>, stand: Stand, costs: ChangeCosts): Change {
  const from = stand.position
  const to = enteredFrom(block, from)
  const isMove = from !== undefined && from !== to
  const items = itemsLaid(block)
  const laid = items && { from: stand.items, to: items, baseChanges: stand.isOff || isMove }
  const { s: propsS, trips } = laid ? propsChange({ ...laid, level: costs.level }) : nothingLaid
  const into = { from, to, ...(laid ? { laid } : {}), trips }
  if (block.change.set) return { ...into, changeS: block.change.set }
  const positionS = isMove ? costs.table[from][to] : 0
  const isShown = isMove && propsS > 0 && laid !== undefined && (laidUnder(laid.from) || laidUnder(laid.to))
  const parts = {
    ...{ positionS, propsS, showS: isShown ? showItS : 0 },
    ...{ factor: factorFor(costs.people), over: costs.over ?? 1 },
  }
  const { s, by } = composed(parts)
  const isLearned = isMove && costs.shipped !== undefined && costs.shipped[from][to] !== positionS
  const isTaught = by === 'position' ? isLearned : parts.over !== 1
  return { ...into, changeS: { value: s, from: isTaught ? 'learned' : by }, parts: { ...parts, by } }
}

const nothingLaid: PropsChange = { s: 0, trips: 0 }

/**
 * All of it where it has to be shown, else the longer of the two; an estimate in whole seconds [handling book 2]. What
 * led classes taught of props is of the whole of a change they make, which is never shorter than coming over.
 */
function composed({ positionS, propsS, showS, factor, over }: Omit<ChangeParts, 'by'>): {
  readonly s: Seconds
  readonly by: ChangeParts['by']
} {
  const byPropsS = (showS > 0 ? positionS + propsS + showS : propsS) * over
  const isPosition = showS === 0 ? positionS >= byPropsS : positionS > byPropsS
  return { s: Math.round(Math.max(positionS, byPropsS) * factor), by: isPosition ? 'position' : 'props' }
}

/** What a change that props make takes by the estimate alone, whatever led classes taught of it. */
export const usualByPropsS = ({ positionS, propsS, showS, factor }: ChangeParts): Seconds =>
  Math.round((showS > 0 ? positionS + propsS + showS : propsS) * factor)

/** The least the props of a block take by hand, after whatever else there is. */
function leastPropsInto(at: number, resolved: readonly Resolved[], { level }: ChangeCosts): Seconds {
  const block = resolved[at]
  const to = block && itemsLaid(block)
  if (!to) return 0
  const others = resolved.flatMap((other) => (other === block ? [] : [itemsLaid(other) ?? []]))
  return Math.min(...[[], ...others].map((from) => propsChange({ from, to, level }).s))
}

function leastInto(
  block: Exclude<Resolved, ResolvedTalk>,
  from: BasePosition | undefined,
  propsS: Seconds,
  costs: ChangeCosts,
): Seconds {
  if (block.change.set) return block.change.set.value
  const to = enteredFrom(block, from)
  const positionS = from === undefined || from === to ? 0 : costs.table[from][to]
  return composed({ positionS, propsS, showS: 0, factor: factorFor(costs.people), over: costs.over ?? 1 }).s
}
