import { goodChoice } from './good-choice.ts'
import { blockOf, secondSetUp, taking } from './search-block.ts'
import type { Node, PoseInBlock, SearchBlock, Variable } from './search-block.ts'

/** People who have the same ways for a pose, in numbers only. */
export interface Alike {
  readonly people: number
  /** Which of the pose's ways are theirs; their own set-up first. */
  readonly ways: readonly number[]
}

/** A pose of a block, with the people who do it. */
export interface PoseThere {
  readonly ways: readonly WayInNumbers[]
  readonly alike: readonly Alike[]
}
export interface WayInNumbers {
  readonly penalty: number
  /** By scarce kind. */
  readonly uses: readonly number[]
  /** Bits of the kinds of which it takes fewer than the own set-up. */
  readonly fewer: number
}

/** How many of each who are alike take which way, by pose, then by those alike, then by way. */
export type Counts = readonly (readonly (readonly number[])[])[]

/** A choice for a block: how many of each alike do not have their set-up, and of which kinds somebody has fewer. */
export interface Profile {
  readonly counts: Counts
  readonly touched: readonly number[]
  readonly fewer: number
}

export interface BlockSum {
  readonly penalty: number
  /** No choice has less than that; equal to `penalty` unless the search was stopped. */
  readonly least: number
  /** Of the choices with this penalty those that none beats in every number; one alone where the search was stopped. */
  readonly profiles: readonly Profile[]
}

/** What the search goes by. */
export interface Limits {
  /** Each pose is done alike by all who do it. */
  readonly onlyAlike?: boolean
  readonly mostNodes?: number
}

const usualNodes = 200_000

/**
 * The least that is lost in a block, exact: each pose either done alike by all, or in more than one set-up, which costs
 * once; within that as many of each way as make do with the stock. It is looked for from the least that is possible on,
 * one more each time, up to a good choice found first; after `mostNodes` that one stands. Undefined where nothing makes
 * do, or so many nodes found nothing that does.
 */
export function sumOfBlock(
  poses: readonly PoseThere[],
  stock: readonly number[],
  { onlyAlike = false, mostNodes = usualNodes }: Limits = {},
): BlockSum | undefined {
  const block = blockOf(poses, stock)
  const profile = ({ taken, touched, fewer }: Node): Profile => ({ counts: countsOf(taken, poses), touched, fewer })
  const good = (onlyAlike ? undefined : goodChoice(block)) ?? dived(block, { onlyAlike, mostNodes })
  if (!good) return undefined
  let left = mostNodes
  for (let least = boundOf(block, block.start, 0, 0); least <= good.penalty; least += 1) {
    let found: readonly Node[] = []
    const { nodes, isWhole } = walked(
      block,
      { onlyAlike, mostNodes: left },
      {
        goesOn: (node, bound) => bound <= least && !found.some((one) => isBeaten(node, one)),
        found: (node) => (found = [...found.filter((one) => !isBeaten(one, node)), node]),
      },
    )
    left -= nodes
    if (found.length > 0) return { penalty: least, least, profiles: found.map(profile) }
    if (!isWhole) return { penalty: good.penalty, least, profiles: [profile(good)] }
  }
  return { penalty: good.penalty, least: good.penalty, profiles: [profile(good)] }
}

/** The best of what is come by first. */
function dived(block: SearchBlock, limits: Required<Limits>): Node | undefined {
  let best: Node | undefined
  walked(block, limits, {
    goesOn: (_node, least) => least < (best?.penalty ?? Infinity),
    found: (node) => (best = node),
  })
  return best
}

interface Wanted {
  /** Whether something that loses at least so much may still be wanted. */
  readonly goesOn: (node: Node, least: number) => boolean
  readonly found: (node: Node) => void
}

/** Goes through all choices that may still be wanted; says how many nodes it looked at, and whether those were all. */
function walked(
  block: SearchBlock,
  { onlyAlike, mostNodes }: Required<Limits>,
  { goesOn, found }: Wanted,
): { readonly nodes: number; readonly isWhole: boolean } {
  const { poses } = block
  let nodes = 0
  const isOpen = (node: Node, at: number, from: number): boolean => {
    nodes += 1
    return nodes <= mostNodes && goesOn(node, boundOf(block, node, at, from))
  }
  const decidePose = (node: Node, at: number): void => {
    const pose = poses[at]
    if (!pose) {
      if (goesOn(node, node.penalty)) found(node)
      return
    }
    for (const all of [[], ...pose.alikeWays]) {
      const child = all.reduce((now, variable) => taking(now, variable, variable.people), node)
      if (isOpen(child, at + 1, 0)) decidePose(child, at + 1)
    }
    if (onlyAlike || pose.people < 2) return
    const mixed = { ...node, penalty: node.penalty + secondSetUp }
    if (isOpen(mixed, at, 0)) decideCounts(mixed, at, 0)
  }
  const decideCounts = (node: Node, at: number, from: number): void => {
    const { variables } = poses[at] as PoseInBlock
    for (let which = from; which < variables.length; which += 1) {
      if (!isOpen(node, at, which)) break
      const variable = variables[which] as Variable
      for (let n = variable.people - (node.touched[variable.alike] ?? 0); n > 0; n -= 1) {
        const child = taking(node, variable, n)
        if (isOpen(child, at, which + 1)) decideCounts(child, at, which + 1)
      }
    }
    if (isOpen(node, at + 1, 0)) decidePose(node, at + 1)
  }
  if (isOpen(block.start, 0, 0)) decidePose(block.start, 0)
  return { nodes, isWhole: nodes <= mostNodes }
}

/**
 * No choice loses less from a variable of a pose on: what is lost by now and what is still wanted is worth, less what
 * those who are open may save beyond that; and for each scarce kind by itself what its cheapest saving costs.
 */
function boundOf({ poses, after, worth }: SearchBlock, node: Node, at: number, from: number): number {
  const pose = poses[at]
  const rest = after[pose ? at + 1 : poses.length]
  if (!rest) return Infinity
  const open = pose?.open[from]
  let bound = node.penalty + rest.beyond
  for (const [kind, over] of node.over.entries()) bound += over * (worth[kind] ?? 0)
  const left = (pose?.alikes ?? []).map(({ alike, people }) => people - (node.touched[alike] ?? 0))
  for (const [who, n] of left.entries()) bound += n * (open?.beyond[who] ?? 0)
  let dearest = 0
  for (const [kind, over] of node.over.entries()) {
    if (over <= 0) continue
    let saved = rest.saves[kind] ?? 0
    for (const [who, n] of left.entries()) saved += n * (open?.saves[who]?.[kind] ?? 0)
    if (saved < over) return Infinity
    dearest = Math.max(dearest, over * Math.min(rest.each[kind] ?? Infinity, open?.each[kind] ?? Infinity))
  }
  return Math.max(node.penalty, Math.ceil(Math.max(bound, node.penalty + dearest) - 1e-6))
}

type Numbers = Pick<Node, 'touched' | 'fewer'>

/** Whether another is as good in every number. */
const isBeaten = (one: Numbers, by: Numbers): boolean =>
  (one.fewer & by.fewer) === by.fewer && by.touched.every((n, alike) => n <= (one.touched[alike] ?? 0))

function countsOf(taken: Node['taken'], poses: readonly PoseThere[]): Counts {
  let number = 0
  return poses.map(({ ways, alike }) =>
    alike.map(({ people }) => {
      const mine = number++
      const counts = ways.map(() => 0)
      for (const [{ alike: whose, way }, n] of taken) if (whose === mine) counts[way] = (counts[way] ?? 0) + n
      counts[0] = people - counts.reduce((sum, n) => sum + n, 0)
      return counts
    }),
  )
}
