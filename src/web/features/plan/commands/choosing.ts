import { chosenIds, idsOf, nothing, nothingChosen } from './plan-state.ts'
import type { Outcome, PlanState, Selection } from './plan-state.ts'

const just = (chosen: string | undefined): Selection => ({ ...nothingChosen, chosen })

const saidCount = (count: number): string => (count === 1 ? 'One block chosen' : `${String(count)} blocks chosen`)

export const choose = (_state: PlanState, { id }: { readonly id: string | undefined }): Outcome => ({
  selection: just(id),
})

/** One more, or one less, with those chosen already. */
export function chooseAlso(state: PlanState, { id }: { readonly id: string }): Outcome {
  const also = new Set(chosenIds(state))
  if (!also.delete(id)) also.add(id)
  return { selection: { chosen: also.has(id) ? id : [...also].at(-1), also }, says: saidCount(also.size) }
}

/** All from the chosen one to this one. */
export function chooseTo(state: PlanState, { id }: { readonly id: string }): Outcome {
  const ids = idsOf(state)
  const [from, to] = [ids.indexOf(state.selection.chosen ?? id), ids.indexOf(id)]
  const also = new Set(ids.slice(Math.min(from, to), Math.max(from, to) + 1))
  return { selection: { chosen: state.selection.chosen ?? id, also }, says: saidCount(also.size) }
}

/** One more upwards or downwards, as Shift and an arrow do. */
export function chooseFurther(state: PlanState, { by }: { readonly by: 1 | -1 }): Outcome {
  const [ids, all] = [idsOf(state), chosenIds(state)]
  const next = ids[ids.indexOf((by > 0 ? all.at(-1) : all[0]) ?? '') + by]
  if (next === undefined) return nothing
  const also = new Set([...all, next])
  return { selection: { chosen: state.selection.chosen ?? next, also }, says: saidCount(also.size) }
}

export function chooseAll(state: PlanState): Outcome {
  const ids = idsOf(state)
  if (ids.length === 0) return nothing
  return { selection: { chosen: ids[0], also: new Set(ids) }, says: saidCount(ids.length) }
}

/**
 * What is chosen after a step was taken back or done again: what came back with it; else what was chosen, if it is
 * still there.
 */
export function chosenAfterTurn(before: PlanState, after: PlanState): Selection {
  const [former, now] = [new Set(idsOf(before)), idsOf(after)]
  const back = now.filter((id) => !former.has(id))
  if (back.length > 0) return { chosen: back[0], also: new Set(back) }
  const also = new Set([...before.selection.also].filter((id) => now.includes(id)))
  const { chosen } = before.selection
  return { chosen: chosen !== undefined && now.includes(chosen) ? chosen : [...also][0], also }
}
