import type { PropKind } from '#model/prop'
import type { BodyPart, SetUpItem } from '#model/set-up'
import { freeId } from '#core/comfort'
import { carries } from '#core/props'
import type { PropSpecs } from '#core/props'
import { namedFolds } from '#library/prop-kinds'
import { defaultTurn, turnChoices } from '#words/props'

type Items = readonly SetUpItem[]
type Lies = NonNullable<SetUpItem['lies']>

/** Parts a body has two of: they may have a heap each. */
const paired: ReadonlySet<BodyPart> = new Set(['arms', 'hands', 'thighs', 'knees', 'shins', 'ankles', 'feet'])
export const mayHaveTwoHeaps = ({ under, lies }: Pick<SetUpItem, 'under' | 'lies'>): boolean =>
  under !== undefined && paired.has(under) && lies !== 'between'

/** The ways a kind lies at a part; what carries nothing lies round it or stands behind it, never under it. */
export function waysOf(kind: PropKind, kinds: PropSpecs): readonly (Lies | 'under')[] {
  if (carries(kinds[kind])) return ['under', 'over', 'around', 'between', 'behind']
  return kinds[kind].shape === 'wall' ? ['behind'] : kind === 'mat' ? ['under'] : ['around', 'over']
}

const usualPlace: Readonly<Partial<Record<PropKind, Pick<SetUpItem, 'lies'>>>> = {
  eyePillow: { lies: 'over' },
  sandbag: { lies: 'over' },
}

/** An item with one more, on top of what is at its part already; as many as can lie there, folded as it usually is. */
export function withItem(items: Items, kind: PropKind, under: BodyPart, kinds: PropSpecs): Items {
  const item = tidied(
    { id: freeId(items), kind, count: 1, under, ...usualPlace[kind], ...newlyFolded(kinds, kind) },
    kinds,
  )
  const at = items.findLastIndex((one) => one.under === under) + 1 || items.length
  return items.toSpliced(at, 0, item)
}

/** A sheet that is newly laid is folded as it usually is. */
const newlyFolded = (kinds: PropSpecs, kind: PropKind): Pick<SetUpItem, 'folds'> =>
  kinds[kind].shape === 'sheet' ? { folds: [...namedFolds.standard] } : {}

export const without = (items: Items, id: string): Items => items.filter((item) => item.id !== id)

/** The items with fields of one set, or with `undefined` unset; one that comes to another part lies on top there. */
export function changed(items: Items, id: string, by: Partial<SetUpItem>, kinds: PropSpecs): Items {
  const at = items.findIndex((item) => item.id === id)
  const former = items[at]
  if (!former) return items
  const isNew = former.folds === undefined && (former.under === undefined || kinds[former.kind].shape !== 'sheet')
  const next = { ...former, ...by }
  const item = tidied(isNew ? { ...next, ...newlyFolded(kinds, next.kind) } : next, kinds)
  return item.under === former.under ? items.with(at, item) : putLast(without(items, id), item)
}

/** One nearer the floor (−1) or nearer the body (1) among what is at its part. */
export function stepped(items: Items, id: string, by: 1 | -1): Items {
  const at = items.findIndex((item) => item.id === id)
  const here = items[at]
  const isNext = ({ under }: SetUpItem) => under === here?.under
  const to =
    by < 0
      ? items.slice(0, Math.max(0, at)).findLastIndex(isNext)
      : items.findIndex((one, index) => index > at && isNext(one))
  const other = items[to]
  return here && other ? items.with(at, other).with(to, here) : items
}

/** One taken to where another is: under its part, before or after it in the list. */
export function broughtTo(items: Items, id: string, target: string, side: 'before' | 'after', kinds: PropSpecs): Items {
  const [moved, there] = [items.find((item) => item.id === id), items.find((item) => item.id === target)]
  if (!moved || !there || moved === there) return items
  const others = without(items, id)
  const at = others.findIndex((item) => item.id === target) + (side === 'after' ? 1 : 0)
  return others.toSpliced(at, 0, tidied({ ...moved, under: there.under }, kinds))
}

const putLast = (items: Items, item: SetUpItem): Items =>
  items.toSpliced(items.findLastIndex(({ under }) => under === item.under) + 1 || items.length, 0, item)

/** What means nothing for a kind or at a part goes: folds, turns, ways of lying, a second heap. */
function tidied(item: SetUpItem, kinds: PropSpecs): SetUpItem {
  const { folds, turn, lies, piles, under, count, ...rest } = item
  const spec = kinds[item.kind]
  const ways = waysOf(item.kind, kinds)
  const [usualWay] = ways
  const way =
    under === undefined
      ? undefined
      : ways.includes(lies ?? 'under')
        ? lies
        : usualWay === 'under'
          ? undefined
          : usualWay
  const place = { under, lies: way }
  const twoHeaps = piles === 2 && mayHaveTwoHeaps(place)
  const isTurned =
    turn !== undefined && turn !== defaultTurn(spec) && turnChoices(spec).some(({ value }) => value === turn)
  return {
    ...rest,
    count: twoHeaps ? Math.min(20, count + (count % 2)) : count,
    ...(under === undefined ? {} : { under }),
    ...(spec.shape === 'sheet' && folds ? { folds } : {}),
    ...(isTurned ? { turn } : {}),
    ...(twoHeaps ? { piles } : {}),
    ...(way === undefined ? {} : { lies: way }),
  }
}
