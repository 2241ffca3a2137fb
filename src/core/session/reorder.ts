import type { Session } from '#model/session'
import type { Edit } from './apply-edit.ts'

/** The moves that bring a session's blocks into another order of the same ids; none where it stands so. */
export function orderEdits({ blocks }: Pick<Session, 'blocks'>, ids: readonly string[]): Edit[] {
  const now = blocks.map(({ id }) => id)
  return ids.flatMap((id, to): Edit[] => {
    if (now[to] === id) return []
    now.splice(now.indexOf(id), 1)
    now.splice(to, 0, id)
    return [{ type: 'move', id, to }]
  })
}

/** The order with some blocks taken out and put together before the place `at`, counted before the taking. */
export function orderWith(ids: readonly string[], taken: ReadonlySet<string>, at: number): string[] {
  const before = ids.slice(0, at).filter((id) => !taken.has(id))
  const after = ids.slice(at).filter((id) => !taken.has(id))
  return [...before, ...ids.filter((id) => taken.has(id)), ...after]
}

/** The order with each of some blocks one place up or down, but not past another of them or an end. */
export function orderShifted(ids: readonly string[], taken: ReadonlySet<string>, by: 1 | -1, end: number): string[] {
  const order = [...ids]
  const walk = by < 0 ? order.map((_, index) => index) : order.map((_, index) => order.length - 1 - index)
  for (const at of walk) {
    const id = order[at] ?? ''
    const other = order[at + by]
    if (!taken.has(id) || at >= end || at + by >= end || other === undefined || taken.has(other)) continue
    order[at] = other
    order[at + by] = id
  }
  return order
}
