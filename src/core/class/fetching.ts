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
  /** Ways of one person. */
  readonly trips: number
  /** Things of all people. */
  readonly things: number
  /** Until everybody has theirs; putting away takes as long. */
  readonly s: Seconds
  /** For the teacher alone, who lays out for all. */
  readonly aloneS: Seconds
}

/** How long fetching takes with so many people: 20 s, and 15 s a trip for all, as many at a time as can stand there. */
export function fetching(
  { items }: Pick<FetchList, 'items'>,
  { people, atCupboard = usuallyAtCupboard }: { readonly people: number; readonly atCupboard?: number | undefined },
): Fetching {
  const hands = items.reduce((sum, { kind, count }) => sum + (goesAlong.has(kind) ? 0 : count * byHand(kind).hands), 0)
  const things = people * items.reduce((sum, { count }) => sum + count, 0)
  // Something light alone takes a way too.
  const trips = Math.ceil(hands / 2) || (items.length > 0 ? 1 : 0)
  const all = tripS * trips * people
  const walk = things > 0 ? walkS : 0
  return { trips, things, s: Math.round(walk + all / Math.max(1, Math.min(people, atCupboard))), aloneS: walk + all }
}
