import type { PropKind } from '#model/prop'
import type { Action } from '#core/handling'
import type { ChangeParts } from '#core/session'
import { countedProp, partNames, propNames } from './props.ts'
import { counted } from './text.ts'

/** What is brought or put aside, by kind; a dash for nothing. */
export function kindsWords(actions: readonly Action[], does: 'brings' | 'aside'): string {
  const counts = new Map<PropKind, number>()
  for (const { kind } of actions.filter((action) => action.does === does)) counts.set(kind, (counts.get(kind) ?? 0) + 1)
  return counts.size === 0 ? '—' : [...counts].map(([kind, count]) => countedProp(kind, count)).join(', ')
}

const partWords = (part: Action['part']): string => (part === undefined ? '' : partNames[part].toLowerCase())

/** What is moved or refolded, each with where it comes to; a dash for nothing. */
export function movedWords(actions: readonly Action[]): string {
  const moved = actions.filter(({ does }) => does === 'moves' || does === 'refolds')
  return moved.length === 0 ? '—' : moved.map(movedTo).join(', ')
}

function movedTo({ kind, does, from, to }: Action): string {
  const { one } = propNames[kind]
  const where = to === undefined ? '' : from === to ? ` at the ${partWords(to)}` : ` to the ${partWords(to)}`
  if (does === 'moves') return from === to ? `${one} laid anew${where}` : `${one}${where}`
  return from === to ? `${one} refolded${where}` : `${one}${where}, refolded`
}

/** One thing as it is done, in the order it is done. */
export function actionWords(action: Action): string {
  const { does, kind, from, to, k = 0 } = action
  const { one } = propNames[kind]
  const came = from === undefined ? '' : ` from the ${partWords(from)}`
  const goes = to === undefined ? '' : ` to the ${partWords(to)}`
  switch (does) {
    case 'aside':
      return `put aside the ${one}${from === undefined ? '' : ` at the ${partWords(from)}`}`
    case 'brings':
      return `bring ${countedProp(kind, 1)}${goes}`
    case 'moves':
      return from === to ? `lay the ${one} at the ${partWords(to)} anew` : `move the ${one}${came}${goes}`
    case 'refolds': {
      const folds = counted(k, 'fold')
      return from === to
        ? `refold the ${one} at the ${partWords(to)}, ${folds}`
        : `refold the ${one}${came}${goes}, ${folds}`
    }
  }
}

/** What the seconds of a change are made of, where more than one thing is; nothing where one is. */
export function partsWords({ positionS, propsS, showS, factor, over }: ChangeParts): string {
  const seconds = (s: number) => `${String(Math.round(s * 10) / 10)} s`
  const parts =
    showS > 0
      ? [`${seconds(positionS)} to come over, ${seconds(propsS)} props, ${seconds(showS)} to show it`]
      : positionS > 0 && propsS > 0
        ? [`${seconds(positionS)} to come over, ${seconds(propsS)} props: the longer of them`]
        : []
  const more =
    factor > 1 && positionS + propsS > 0 ? [`${String(Math.round((factor - 1) * 100))} % more for so many people`] : []
  const asLed =
    over === 1 || propsS === 0 ? [] : [`by your classes props take ${String(Math.round(over * 100) / 100)} of it`]
  return [...parts, ...asLed, ...more].join('; ')
}

/** What takes two hands, and is worth fetching once. */
const heavy: readonly PropKind[] = ['chair', 'mattress']

type Changes = readonly { readonly actions: readonly Action[] }[]
const timesFetched = (kind: PropKind, changes: Changes): number =>
  changes.filter(({ actions }) => actions.some((one) => one.kind === kind && one.does === 'brings')).length
const oftenWords = (times: number): string => (times === 1 ? 'once' : times === 2 ? 'twice' : `${String(times)} times`)

/** What another order would save of fetching what is heavy, and what is moved for it. */
export const onceIfWords = (now: Changes, then: Changes, moved: readonly string[]): readonly string[] => [
  ...heavy.flatMap((kind) => {
    const [before, after] = [timesFetched(kind, now), timesFetched(kind, then)]
    return after < before
      ? [`The ${propNames[kind].one} is fetched ${oftenWords(before)}; ${oftenWords(after)} in this order.`]
      : []
  }),
  ...moved.map((words) => `${words}.`),
]

/** What is heavy and fetched again and again over a session; nothing where each comes once. */
export const fetchedAgain = (changes: Changes): readonly string[] =>
  heavy.flatMap((kind) => {
    const times = timesFetched(kind, changes)
    return times < 2 ? [] : [`The ${propNames[kind].one} is fetched ${oftenWords(times)}.`]
  })
