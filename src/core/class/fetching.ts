import type { PropKind } from '#model/prop'
import type { SetUpItem } from '#model/set-up'
import { byHand, goesAlong } from '#core/handling'
import type { Seconds } from '#core/units'
import { piecesByKind } from './laid.ts'
import type { Laid } from './laid.ts'
import { mostAtOnce, standsReady } from './ledger.ts'

/** What one person fetches once and keeps in reach, by kind. */
export interface FetchItem {
  readonly kind: PropKind
  readonly count: number
  /** Wanted only once the body is in place, wherever it is wanted: it lies over it, or on the eyes. */
  readonly late: boolean
}

export interface FetchList {
  readonly items: readonly FetchItem[]
  /** What stands ready where it is used, with the first block that wants it. */
  readonly ready: readonly { readonly kind: PropKind; readonly count: number; readonly blockId: string }[]
}

/** The fetch list of a person, from what lies at their mat over the class [handling book 3; settled C12]. */
export function fetchList(laid: readonly Laid[]): FetchList {
  const all = laid.flatMap(({ items }) => items)
  const kinds = [...piecesByKind(all).keys()].filter((kind) => kind !== 'mat')
  return {
    items: kinds
      .filter((kind) => !standsReady.has(kind))
      .map((kind) => ({
        kind,
        count: mostAtOnce(kind, laid),
        late: all.every((item) => item.kind !== kind || isLate(item)),
      })),
    ready: kinds
      .filter((kind) => standsReady.has(kind))
      .flatMap((kind) => {
        const first = laid.find(({ items }) => items.some((item) => item.kind === kind))
        return first ? [{ kind, count: mostAtOnce(kind, laid), blockId: first.blockId }] : []
      }),
  }
}

const isLate = ({ under, lies }: SetUpItem): boolean => under === 'eyes' || lies === 'over'

/** Walking in and out, a way to the cupboard and back, and how many can stand there unless it is said [handling book 3]. */
const walkS = 20
const tripS = 15
const usuallyAtCupboard = 3

export interface Fetching {
  /** Ways of the person who has the most to fetch. */
  readonly trips: number
  /** Things of all people. */
  readonly things: number
  /** Until everybody has theirs; putting away takes as long. */
  readonly s: Seconds
  /** For the teacher alone, who lays out for all. */
  readonly aloneS: Seconds
}

/** What some people fetch who do alike, and how many they are. */
export type FetchFor = Pick<FetchList, 'items'> & { readonly people: number }

/** How long fetching takes: 20 s, and 15 s a trip for all, as many at a time as can stand at the cupboard. */
export function fetching(
  all: readonly FetchFor[],
  { atCupboard = usuallyAtCupboard }: { readonly atCupboard?: number | undefined } = {},
): Fetching {
  const sum = (of: (one: FetchFor) => number): number => all.reduce((before, one) => before + one.people * of(one), 0)
  const people = all.reduce((before, one) => before + one.people, 0)
  const things = sum(({ items }) => items.reduce((count, item) => count + item.count, 0))
  const ways = tripS * sum(tripsOf)
  const walk = things > 0 ? walkS : 0
  return {
    things,
    trips: Math.max(0, ...all.map(tripsOf)),
    s: Math.round(walk + ways / Math.max(1, Math.min(people, atCupboard))),
    aloneS: walk + ways,
  }
}

function tripsOf({ items }: Pick<FetchList, 'items'>): number {
  const hands = items.reduce((sum, { kind, count }) => sum + (goesAlong.has(kind) ? 0 : count * byHand(kind).hands), 0)
  // Something light alone takes a way too.
  return Math.ceil(hands / 2) || (items.length > 0 ? 1 : 0)
}

/** What some people fetch who all fetch the same. */
export type FetchedAlike = FetchList & { readonly people: number }

/** What all fetch together, each group its own list; late only where it is for everybody. */
export function fetchedByAll(all: readonly FetchedAlike[]): FetchList {
  const items = new Map<PropKind, FetchItem>()
  const ready = new Map<PropKind, FetchList['ready'][number]>()
  for (const one of all) {
    for (const { kind, count, late } of one.items) {
      const there = items.get(kind)
      items.set(kind, {
        kind,
        count: (there?.count ?? 0) + one.people * count,
        late: late && (there?.late ?? true),
      })
    }
    for (const item of one.ready)
      ready.set(item.kind, { ...item, count: (ready.get(item.kind)?.count ?? 0) + one.people * item.count })
  }
  return { items: [...items.values()], ready: [...ready.values()] }
}

/**
 * Those together who fetch the same, however it lies at their mats, late only where it is for all of them; most people
 * first, and of as many who came first before.
 */
export function fetchedAlike(all: readonly FetchedAlike[]): readonly FetchedAlike[] {
  const alike = new Map<string, FetchedAlike>()
  for (const one of all) {
    const key = [...one.items, ...one.ready]
      .map(({ kind, count }) => `${kind} ${String(count)}`)
      .sort()
      .join()
    const there = alike.get(key)
    alike.set(key, there ? both(there, one) : one)
  }
  return [...alike.values()].sort((a, b) => b.people - a.people)
}

/** Two who fetch the same as one. */
const both = (a: FetchedAlike, b: FetchedAlike): FetchedAlike => ({
  ...a,
  people: a.people + b.people,
  items: a.items.map((item) => ({
    ...item,
    late: item.late && b.items.every(({ kind, late }) => kind !== item.kind || late),
  })),
})
