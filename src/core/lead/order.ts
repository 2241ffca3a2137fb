import type { LeadPlan } from './lead-plan.ts'
import type { LeadState, Visit } from './lead-state.ts'

/** The places of a plan's blocks in the order in which they are led; null: as they are planned. */
export type Order = readonly number[] | null

/** Of each segment as it is led, its place in the plan as it was made. */
type Places = readonly number[]

/** Of a plan that was made of another one, that one. */
const wholeOf = new WeakMap<LeadPlan, LeadPlan>()

/** The plan as it was made at Start, of one that was made of it. */
export const wholePlan = (plan: LeadPlan): LeadPlan => wholeOf.get(plan) ?? plan
/** Remembers that a plan was made of another one. */
export const remember = (plan: LeadPlan, whole: LeadPlan): void => {
  if (plan !== whole) wholeOf.set(plan, whole)
}

const orderedOf = new WeakMap<LeadPlan, Map<string, { readonly plan: LeadPlan; readonly places: Places }>>()

function placesIn({ segments }: LeadPlan, order: readonly number[]): Places {
  const rank = new Map(order.map((blockIndex, at) => [blockIndex, at]))
  const rankOf = (index: number): number => rank.get(segments[index]?.blockIndex ?? -1) ?? segments.length
  return segments.map(({ index }) => index).toSorted((a, b) => rankOf(a) - rankOf(b) || a - b)
}

function ordered(plan: LeadPlan, order: Order): { readonly plan: LeadPlan; readonly places: Places } {
  if (order === null) return { plan, places: plan.segments.map(({ index }) => index) }
  const known = orderedOf.get(plan) ?? new Map<string, { readonly plan: LeadPlan; readonly places: Places }>()
  orderedOf.set(plan, known)
  const name = order.join(' ')
  const made = known.get(name) ?? rearranged(plan, order)
  known.set(name, made)
  remember(made.plan, plan)
  return made
}

function rearranged(plan: LeadPlan, order: readonly number[]): { readonly plan: LeadPlan; readonly places: Places } {
  const places = placesIn(plan, order)
  const now = new Map(places.map((was, at) => [was, at]))
  const at = (was: number): number => now.get(was) ?? was
  const rank = new Map(order.map((blockIndex, nth) => [blockIndex, nth]))
  return {
    places,
    plan: {
      ...plan,
      segments: places.flatMap((was, index) => {
        const segment = plan.segments[was]
        if (!segment) return []
        const { mirrors, blockIndex } = segment
        const mirrored = mirrors === undefined ? {} : { mirrors: at(mirrors) }
        return [{ ...segment, index, blockIndex: rank.get(blockIndex) ?? blockIndex, ...mirrored }]
      }),
      cues: plan.cues.map((cue) => ({ ...cue, segment: at(cue.segment) })),
      ...(plan.scripts
        ? { scripts: plan.scripts.map((one) => ({ ...one, from: at(one.from), to: at(one.to - 1) + 1 })) }
        : {}),
    },
  }
}

/** The plan with its blocks in the order in which they are led. The same plan for the same order. */
export const orderedPlan = (plan: LeadPlan, order: Order): LeadPlan => ordered(plan, order).plan

/** A state that means the same with the blocks in another order. */
export function reordered(whole: LeadPlan, state: LeadState, order: Order): LeadState {
  const from = ordered(whole, state.order).places
  const to = ordered(whole, order).places
  const nowAt = new Map(to.map((was, at) => [was, at]))
  const at = (index: number): number => nowAt.get(from[index] ?? -1) ?? index
  const moved = <T>(all: readonly T[]): T[] =>
    to.flatMap((was) => {
      const before = from.indexOf(was)
      return before < 0 ? [] : all.slice(before, before + 1)
    })
  return {
    ...state,
    order,
    index: at(state.index),
    lengths: moved(state.lengths),
    set: moved(state.set),
    visits: state.visits.map((visit) => ({ ...visit, segment: visit.segment === null ? null : at(visit.segment) })),
    rung: Object.fromEntries(
      Object.entries(state.rung).map(([key, ms]) => {
        const cut = key.lastIndexOf('@')
        return [`${key.slice(0, cut)}@${String(at(Number(key.slice(cut + 1))))}`, ms]
      }),
    ),
  }
}

/** What was conducted, by the segments of the plan as it was made: so it is kept. */
export function visitsAsPlanned(
  plan: LeadPlan,
  { visits, order }: Pick<LeadState, 'visits' | 'order'>,
): readonly Visit[] {
  if (order === null) return visits
  const { places } = ordered(plan, order)
  return visits.map((visit) => ({
    ...visit,
    segment: visit.segment === null ? null : (places[visit.segment] ?? visit.segment),
  }))
}
