import { secondSetUp, taking } from './search-block.ts'
import type { Node, PoseInBlock, SearchBlock, Variable } from './search-block.ts'

/** How many of each alike take which way: by alike, by way; whoever is not counted has their own set-up. */
type Taken = ReadonlyMap<number, ReadonlyMap<Variable, number>>

/** What one piece too many counts for while something better is looked for, from mild to strict. */
const strictness = [2, 4, 8, 32] as const
const mostSteps = 200

/**
 * A good choice for a block, found by changing what one person or all who are alike take for as long as that makes it
 * better: no proof, but mostly the best. Undefined where it ends with too little of something.
 */
export function goodChoice(block: SearchBlock): Node | undefined {
  let best: Node | undefined
  for (const strict of strictness) {
    // What was found mildly is made to do strictly.
    let taken: Taken = new Map()
    for (const each of strictness.slice(strictness.indexOf(strict))) taken = improved(block, taken, each)
    const node = nodeOf(block, taken)
    if (node.over.every((over) => over <= 0) && node.penalty < (best?.penalty ?? Infinity)) best = node
  }
  return best
}

function improved({ poses, start }: SearchBlock, from: Taken, strict: number): Taken {
  let taken = from
  let over = poses.flatMap(({ alikes }) => alikes).reduce((now, { alike }) => saved(now, taken.get(alike)), start.over)
  for (let step = 0; step < mostSteps; step += 1) {
    let best: { readonly gain: number; readonly taken: Taken; readonly over: readonly number[] } | undefined
    for (const pose of poses) {
      const before = setUpsIn(pose, taken)
      for (const move of movesIn(pose, taken)) {
        const nowOver = moved(over, move)
        const loss = move.n * ((move.to?.penalty ?? 0) - (move.from?.penalty ?? 0))
        const rough = strict * (tooMany(over) - tooMany(nowOver)) - loss
        // At best a second set-up goes.
        if (rough + secondSetUp <= (best?.gain ?? 0)) continue
        const next = withMove(taken, move)
        const gain = rough + secondSetUp * (before - setUpsIn(pose, next))
        if (gain > (best?.gain ?? 1e-9)) best = { gain, taken: next, over: nowOver }
      }
    }
    if (!best) break
    ;({ taken, over } = best)
  }
  return taken
}

/** So many of those alike leave a way for another; their own set-up is none of the ways. */
interface Move {
  readonly alike: number
  readonly from: Variable | undefined
  readonly to: Variable | undefined
  readonly n: number
}

function movesIn({ alikes, variables }: PoseInBlock, taken: Taken): readonly Move[] {
  return alikes.flatMap(({ alike, people }) => {
    const mine = taken.get(alike) ?? new Map<Variable, number>()
    const own = people - [...mine.values()].reduce((sum, n) => sum + n, 0)
    const now: (readonly [Variable | undefined, number])[] = [[undefined, own], ...mine]
    const ways = [undefined, ...variables.filter((variable) => variable.alike === alike)]
    return now.flatMap(([from, n]) =>
      n === 0
        ? []
        : ways.flatMap((to) => (to === from ? [] : [...new Set([1, n])].map((some) => ({ alike, from, to, n: some })))),
    )
  })
}

const tooMany = (over: readonly number[]): number => over.reduce((sum, n) => sum + Math.max(0, n), 0)

const moved = (over: readonly number[], { from, to, n }: Move): readonly number[] =>
  over.map((now, kind) => now + n * ((from?.saves[kind] ?? 0) - (to?.saves[kind] ?? 0)))

const saved = (over: readonly number[], ways: ReadonlyMap<Variable, number> = new Map()): readonly number[] =>
  [...ways].reduce((now, [to, n]) => moved(now, { alike: to.alike, from: undefined, to, n }), over)

function withMove(taken: Taken, { alike, from, to, n }: Move): Taken {
  const mine = new Map(taken.get(alike))
  if (from) mine.set(from, (mine.get(from) ?? 0) - n)
  if (to) mine.set(to, (mine.get(to) ?? 0) + n)
  if (from && mine.get(from) === 0) mine.delete(from)
  return new Map([...taken, [alike, mine]])
}

/** 1 where a pose has more than one set-up in the room. */
function setUpsIn({ alikes }: PoseInBlock, taken: Taken): 0 | 1 {
  const ways = new Set<number>()
  for (const { alike, people } of alikes) {
    let own = people
    for (const [{ way }, n] of taken.get(alike) ?? []) {
      ways.add(way)
      own -= n
    }
    if (own > 0) ways.add(0)
  }
  return ways.size > 1 ? 1 : 0
}

function nodeOf({ poses, start }: SearchBlock, taken: Taken): Node {
  const node = poses
    .flatMap(({ alikes }) => alikes)
    .flatMap(({ alike }) => [...(taken.get(alike) ?? [])])
    .reduce((now, [variable, n]) => taking(now, variable, n), start)
  const seconds = poses.reduce((sum, pose) => sum + setUpsIn(pose, taken), 0)
  return { ...node, penalty: node.penalty + secondSetUp * seconds }
}
