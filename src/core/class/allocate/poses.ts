import type { PropKind } from '#model/prop'
import type { Substitute } from '#model/substitute'
import { grouped } from '#core/units'
import type { PoseThere } from './block.ts'
import { usesText, waysFor } from './ways.ts'
import type { SetUpsOf, Stock, Uses, Way } from './ways.ts'

/** A person's pose in a block: the set-ups they may have, and the props their conditions ask for there. */
export interface PoseOfPerson {
  readonly blockId: string
  readonly setUps: SetUpsOf
  readonly wants?: readonly PropKind[] | undefined
}
export interface PersonThere {
  readonly id: string
  readonly poses: readonly PoseOfPerson[]
}

/** A block with who does which pose in it, in numbers of the scarce kinds alone. */
export interface BlockThere {
  readonly blockId: string
  readonly scarce: readonly PropKind[]
  /** The kinds of all own set-ups, as the bits of what there is fewer of count them. */
  readonly own: readonly PropKind[]
  readonly stock: readonly number[]
  readonly poses: readonly PoseThere[]
  /** By pose: the ways, and who is alike, as numbers in the list of people. */
  readonly ways: readonly (readonly Way[])[]
  readonly who: readonly (readonly (readonly number[])[])[]
  /** In use at once where everybody has their own set-up. */
  readonly wanted: ReadonlyMap<PropKind, number>
}

interface Doing {
  readonly person: number
  readonly pose: PoseOfPerson
}

export function blocksThere(
  people: readonly PersonThere[],
  stock: Stock,
  substitutes: readonly Substitute[],
): readonly BlockThere[] {
  const byBlock = new Map<string, Doing[]>()
  for (const [person, { poses }] of people.entries())
    for (const pose of poses) byBlock.set(pose.blockId, [...(byBlock.get(pose.blockId) ?? []), { person, pose }])
  return [...byBlock].map(([blockId, doing]) => blockThere(blockId, doing, stock, substitutes))
}

function blockThere(
  blockId: string,
  doing: readonly Doing[],
  stock: Stock,
  substitutes: readonly Substitute[],
): BlockThere {
  const groups = [...grouped(doing, ({ pose: { setUps } }) => JSON.stringify(setUps)).values()].map((group) => [
    ...grouped(group, ({ pose: { wants = [] } }) => JSON.stringify(wants)).values(),
  ])
  const people = groups.map((group) => group.flat().length)
  const waysOf = (scarce: ReadonlySet<PropKind>): readonly WaysOfPose[] =>
    groups.map((group) => waysOfPose(group, { scarce, substitutes, stock }))
  const isShort = ([kind, n]: readonly [PropKind, number]): boolean => n > (stock[kind] ?? 0)
  const wanted = sumOver(waysOf(new Set()), people, (ways) => ways[0]?.uses ?? new Map())
  let scarce = new Set([...wanted].filter(isShort).map(([kind]) => kind))
  let poses = waysOf(scarce)
  while (scarce.size > 0) {
    // What stands in may run short in its turn.
    const most = sumOver(poses, people, mostOfAny)
    const next = new Set([...scarce, ...[...most].filter(isShort).map(([kind]) => kind)])
    if (next.size === scarce.size) break
    scarce = next
    poses = waysOf(scarce)
  }
  const kinds = { scarce: [...scarce], own: [...wanted.keys()] }
  return {
    ...{ blockId, wanted, ...kinds },
    stock: kinds.scarce.map((kind) => stock[kind] ?? 0),
    ways: poses.map(({ ways }) => ways),
    who: groups.map((group) => group.map((alike) => alike.map(({ person }) => person))),
    poses: poses.map((pose, at) => inNumbers(pose, groups[at]?.map(({ length }) => length) ?? [], kinds)),
  }
}

/** By kind over the poses: what one person of a pose takes, as often as there are people who do it. */
function sumOver(
  poses: readonly WaysOfPose[],
  people: readonly number[],
  usesIn: (ways: readonly Way[]) => Uses,
): ReadonlyMap<PropKind, number> {
  const sums = new Map<PropKind, number>()
  for (const [at, { ways }] of poses.entries())
    for (const [kind, n] of usesIn(ways)) sums.set(kind, (sums.get(kind) ?? 0) + n * (people[at] ?? 0))
  return sums
}

/** The most of each kind that any of some ways takes. */
function mostOfAny(ways: readonly Way[]): Uses {
  const most = new Map<PropKind, number>()
  for (const { uses } of ways) for (const [kind, n] of uses) most.set(kind, Math.max(n, most.get(kind) ?? 0))
  return most
}

interface WaysOfPose {
  readonly ways: readonly Way[]
  /** For each who are alike, which of the ways are theirs. */
  readonly allowed: readonly (readonly number[])[]
}

/** The ways of all who do a pose, each once. */
function waysOfPose(
  alike: readonly (readonly Doing[])[],
  by: {
    readonly scarce: ReadonlySet<PropKind>
    readonly substitutes: readonly Substitute[]
    readonly stock: Stock
  },
): WaysOfPose {
  const known = new Map<string, number>()
  const ways: Way[] = []
  const allowed = alike.map(([{ pose } = { pose: undefined }]) =>
    (pose ? waysFor(pose.setUps, { ...by, wants: pose.wants }) : []).map((way) => {
      const key = `${way.way} ${String(way.penalty)} ${usesText(way.uses)}`
      const there = known.get(key) ?? ways.length
      if (there === ways.length) {
        known.set(key, there)
        ways.push(way)
      }
      return there
    }),
  )
  return { ways, allowed }
}

/** In numbers, without the ways that another beats for everybody who has them. */
function inNumbers(
  { ways, allowed }: WaysOfPose,
  people: readonly number[],
  kinds: { readonly scarce: readonly PropKind[]; readonly own: readonly PropKind[] },
): PoseThere {
  const own = ways[0]?.uses
  const numbers = ways.map(({ penalty, uses }) => {
    const of = (kind: PropKind): number => uses.get(kind) ?? 0
    const bits = kinds.own.map((kind, bit) => (of(kind) < (own?.get(kind) ?? 0) ? 1 << bit : 0))
    return { penalty, uses: kinds.scarce.map(of), fewer: bits.reduce((all, bit) => all | bit, 0) }
  })
  const beats = (a: number, b: number): boolean => {
    const [one, other] = [numbers[a], numbers[b]]
    return (
      one !== undefined &&
      other !== undefined &&
      one.penalty <= other.penalty &&
      (one.fewer & other.fewer) === one.fewer &&
      one.uses.every((n, kind) => n <= (other.uses[kind] ?? 0))
    )
  }
  const isBeaten = (way: number): boolean =>
    ways.some(
      (_, other) =>
        other !== way &&
        beats(other, way) &&
        (other < way || !beats(way, other)) &&
        allowed.every((mine) => !mine.includes(way) || mine.includes(other)),
    )
  const kept = new Set(ways.flatMap((_, way) => (way === 0 || !isBeaten(way) ? [way] : [])))
  return {
    ways: numbers,
    alike: allowed.map((mine, at) => ({ people: people[at] ?? 0, ways: mine.filter((way) => kept.has(way)) })),
  }
}
