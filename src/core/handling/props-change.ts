import type { Level } from '#model/common'
import type { PropKind } from '#model/prop'
import type { SetUpItem } from '#model/set-up'
import { orThrow } from '#core/result'
import type { Seconds } from '#core/units'
import { changeover } from './changeover.ts'
import { byHand } from './seconds.ts'

/** What a change of props costs: by hand, and in ways to where they lie. */
export interface PropsChange {
  readonly s: Seconds
  /** Without what goes along with the next thing [settled G1]. */
  readonly trips: number
}

export interface PropsChangeInput {
  readonly from: readonly SetUpItem[]
  readonly to: readonly SetUpItem[]
  readonly level: Level
  readonly baseChanges?: boolean
}

/** What is carried with the next thing and takes no hand of its own. */
export const goesAlong: ReadonlySet<PropKind> = new Set(['eyePillow', 'strap', 'towel', 'belt', 'scarf'])

type Known = WeakMap<readonly SetUpItem[], WeakMap<readonly SetUpItem[], Map<string, PropsChange>>>
/** What was computed for these very items: a plan asks for the same few again with every key. */
const known: Known = new WeakMap()

/** The costs of `changeover` between two set-ups of a session, computed once for the same items. */
export function propsChange({ from, to, level, baseChanges = false }: PropsChangeInput): PropsChange {
  const after = known.get(from) ?? new WeakMap<readonly SetUpItem[], Map<string, PropsChange>>()
  known.set(from, after)
  const found = after.get(to) ?? new Map<string, PropsChange>()
  after.set(to, found)
  const key = `${level} ${String(baseChanges)}`
  const former = found.get(key)
  if (former) return former
  const { s, actions } = orThrow(changeover({ from, to, level, baseChanges }))
  const handsOf = (does: 'brings' | 'aside') =>
    actions.reduce((sum, one) => sum + (one.does === does && !goesAlong.has(one.kind) ? byHand(one.kind).hands : 0), 0)
  const change = { s, trips: Math.ceil(Math.max(handsOf('brings'), handsOf('aside')) / 2) }
  found.set(key, change)
  return change
}

/** Whether anything lies under the body. */
export const laidUnder = (items: readonly SetUpItem[]): boolean =>
  items.some(({ under, lies }) => under !== undefined && lies === undefined)
