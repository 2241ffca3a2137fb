import type { PoseThere, WayInNumbers } from './block.ts'

/** A second set-up of one pose in the room costs once [handling book 3]. */
export const secondSetUp = 2

/** That some of those who are alike take a way. */
export interface Variable {
  /** Among all who are alike, over the poses. */
  readonly alike: number
  readonly way: number
  readonly people: number
  readonly penalty: number
  /** What one person takes less by it, by kind. */
  readonly saves: readonly number[]
  readonly fewer: number
}

/** What is decided up to here. */
export interface Node {
  readonly penalty: number
  /** What is wanted beyond what there is, by kind. */
  readonly over: readonly number[]
  /** How many are touched of those alike. */
  readonly touched: readonly number[]
  readonly fewer: number
  readonly taken: readonly (readonly [Variable, number])[]
}

/** What can still be had from a variable of a pose on: by those alike in it, and of each kind. */
interface Open {
  /** Lost by one of them beyond what is saved, at least; never above 0, since they may keep their set-up. */
  readonly beyond: readonly number[]
  /** The most one of them saves, by kind. */
  readonly saves: readonly (readonly number[])[]
  /** What is lost for each piece saved, at least, by kind. */
  readonly each: readonly number[]
}

export interface PoseInBlock {
  /** Those that lose least for what they save first. */
  readonly variables: readonly Variable[]
  /** For each variable, and for the end. */
  readonly open: readonly Open[]
  readonly people: number
  readonly alikes: readonly { readonly alike: number; readonly people: number }[]
  /** The ways, other than the own set-up, that all who do it have: one variable for each who are alike. */
  readonly alikeWays: readonly (readonly Variable[])[]
}

/** A block as it is searched. */
export interface SearchBlock {
  readonly poses: readonly PoseInBlock[]
  /** From each pose on, and at the end: the same for all who do one of them together. */
  readonly after: readonly {
    readonly beyond: number
    readonly saves: readonly number[]
    readonly each: readonly number[]
  }[]
  /** What a piece of each scarce kind is worth. */
  readonly worth: readonly number[]
  readonly start: Node
}

const sumOf = (numbers: readonly number[]): number => numbers.reduce((sum, n) => sum + n, 0)

function product(a: readonly number[], b: readonly number[]): number {
  let sum = 0
  for (const [at, n] of a.entries()) sum += n * (b[at] ?? 0)
  return sum
}

export function blockOf(poses: readonly PoseThere[], stock: readonly number[]): SearchBlock {
  let alike = 0
  const raw = poses.map(({ ways, alike: groups }) => {
    const own = ways[0]?.uses ?? []
    const alikes = groups.map(({ people }) => ({ alike: alike++, people }))
    const variables = groups.flatMap(({ ways: allowed, people }, at) =>
      allowed.slice(1).map((way): Variable => {
        const { penalty, uses, fewer } = ways[way] as WayInNumbers
        const saves = own.map((n, kind) => n - (uses[kind] ?? 0))
        return { alike: alikes[at]?.alike ?? 0, way, people, penalty, saves, fewer }
      }),
    )
    return { variables, own, alikes, people: sumOf(alikes.map(({ people }) => people)) }
  })
  const over = stock.map((there, kind) => sumOf(raw.map(({ own, people }) => people * (own[kind] ?? 0))) - there)
  const worth = worthOf(
    raw.flatMap(({ variables }) => variables),
    over,
    alike,
  )
  const made = raw.map(({ variables, alikes, people }): PoseInBlock => {
    const sorted = sortedBy(variables, worth)
    return {
      variables: sorted,
      alikes,
      people,
      open: openFrom(sorted, alikes, worth),
      alikeWays: alikeWays(sorted, alikes.length),
    }
  })
  const touched = Array.from({ length: alike }, () => 0)
  return {
    poses: made,
    after: afterEach(made, stock.length),
    worth,
    start: { penalty: 0, over, touched, fewer: 0, taken: [] },
  }
}

/** A choice in which so many take a way. */
export const taking = (node: Node, { penalty, saves, alike, ...variable }: Variable, n: number): Node => ({
  penalty: node.penalty + n * penalty,
  over: node.over.map((over, kind) => over - n * (saves[kind] ?? 0)),
  touched: node.touched.map((touched, at) => (at === alike ? touched + n : touched)),
  fewer: node.fewer | variable.fewer,
  taken: [...node.taken, [{ penalty, saves, alike, ...variable }, n]],
})

/** Steps of the search for the worths. */
const steps = 400

/**
 * What a piece of each scarce kind is worth, so that the bound made of it is as high as can be found: its Lagrangian
 * multipliers, by subgradient steps that shrink [Held, Wolfe and Crowder 1974]. Any worths make a bound that holds.
 */
function worthOf(variables: readonly Variable[], over: readonly number[], alikes: number): readonly number[] {
  let worth = over.map(() => 0)
  let best = { bound: 0, worth }
  for (let step = 0; step < steps; step += 1) {
    const least = new Map<number, { readonly beyond: number; readonly variable: Variable }>()
    for (const variable of variables) {
      const beyond = variable.penalty - product(worth, variable.saves)
      if (beyond < (least.get(variable.alike)?.beyond ?? 0)) least.set(variable.alike, { beyond, variable })
    }
    const taken = [...least.values()]
    const bound = product(worth, over) + sumOf(taken.map(({ beyond, variable }) => beyond * variable.people))
    if (bound > best.bound) best = { bound, worth }
    const slope = over.map(
      (n, kind) => n - sumOf(taken.map(({ variable: { people, saves } }) => people * (saves[kind] ?? 0))),
    )
    const length = Math.hypot(...slope)
    if (length === 0 || alikes === 0) break
    const by = 2 / (1 + step / 8) / length
    worth = worth.map((n, kind) => Math.max(0, n + by * (slope[kind] ?? 0)))
  }
  return best.worth
}

const beyondOf = ({ penalty, saves }: Variable, worth: readonly number[]): number => penalty - product(worth, saves)

const sortedBy = (variables: readonly Variable[], worth: readonly number[]): readonly Variable[] =>
  variables
    .map((variable) => ({ variable, beyond: beyondOf(variable, worth) }))
    .sort((a, b) => a.beyond - b.beyond || a.variable.penalty - b.variable.penalty)
    .map(({ variable }) => variable)

function openFrom(
  variables: readonly Variable[],
  alikes: PoseInBlock['alikes'],
  worth: readonly number[],
): readonly Open[] {
  const first = alikes[0]?.alike ?? 0
  const kinds = worth.map(() => 0)
  const open: Open[] = [
    { beyond: alikes.map(() => 0), saves: alikes.map(() => kinds), each: worth.map(() => Infinity) },
  ]
  for (const variable of variables.toReversed()) {
    const { beyond, saves, each } = open.at(-1) as Open
    const mine = beyondOf(variable, worth)
    const at = variable.alike - first
    open.push({
      beyond: beyond.map((least, who) => (who === at ? Math.min(least, mine) : least)),
      saves: saves.map((most, who) =>
        who === at ? most.map((n, kind) => Math.max(n, variable.saves[kind] ?? 0)) : most,
      ),
      each: each.map((least, kind) => {
        const saved = variable.saves[kind] ?? 0
        return saved > 0 ? Math.min(least, variable.penalty / saved) : least
      }),
    })
  }
  return open.reverse()
}

function alikeWays(variables: readonly Variable[], alikes: number): readonly (readonly Variable[])[] {
  const byWay = new Map<number, Variable[]>()
  for (const variable of variables) byWay.set(variable.way, [...(byWay.get(variable.way) ?? []), variable])
  return [...byWay.values()].filter((all) => all.length === alikes)
}

function afterEach(poses: readonly PoseInBlock[], kinds: number): SearchBlock['after'] {
  const after: SearchBlock['after'][number][] = [
    { beyond: 0, saves: Array.from({ length: kinds }, () => 0), each: Array.from({ length: kinds }, () => Infinity) },
  ]
  for (const { open, alikes } of poses.toReversed()) {
    const [{ beyond, saves, each }] = [after.at(-1) as SearchBlock['after'][number]]
    const all = open[0] as Open
    after.push({
      beyond: beyond + sumOf(alikes.map(({ people }, who) => people * (all.beyond[who] ?? 0))),
      saves: saves.map((n, kind) => n + sumOf(alikes.map(({ people }, who) => people * (all.saves[who]?.[kind] ?? 0)))),
      each: each.map((least, kind) => Math.min(least, all.each[kind] ?? Infinity)),
    })
  }
  return after.reverse()
}
