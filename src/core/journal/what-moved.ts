import type { Session } from '#model/session'
import type { Catalog, LearnedTimes } from '#core/session'
import { compileTimeline } from '#core/timeline'
import type { Milliseconds } from '#core/units'

/** By how much a plan is longer than with other times, and what of it each of them makes; shorter is below 0. */
export interface Moved {
  readonly byMs: Milliseconds
  /** The times that make it so, by key without the level, what moves most first. */
  readonly parts: readonly { readonly key: string; readonly byMs: Milliseconds }[]
}

/** What learned times moved in a plan since it was made with others; undefined where they did not, or it cannot be laid out. */
export function whatMoved(session: Session, catalog: Catalog, before: LearnedTimes): Moved | undefined {
  const totalWith = (learned: LearnedTimes): Milliseconds | undefined => {
    const compiled = compileTimeline(session, { ...catalog, learned })
    return compiled.ok ? compiled.value.totalMs : undefined
  }
  const changed = [...new Set([...before.keys(), ...catalog.learned.keys()])].filter(
    (at) => at.endsWith(` ${session.level}`) && before.get(at) !== catalog.learned.get(at),
  )
  if (changed.length === 0) return undefined
  const [now, then] = [totalWith(catalog.learned), totalWith(before)]
  if (now === undefined || then === undefined || now === then) return undefined
  const parts = changed.flatMap((at) => {
    const without = totalWith(replaced(catalog.learned, at, before.get(at)))
    const byMs = without === undefined ? 0 : now - without
    return byMs === 0 ? [] : [{ key: at.slice(0, -session.level.length - 1), byMs }]
  })
  return { byMs: now - then, parts: parts.sort((a, b) => Math.abs(b.byMs) - Math.abs(a.byMs)) }
}

function replaced(learned: LearnedTimes, at: string, s: number | undefined): LearnedTimes {
  const others = [...learned].filter(([key]) => key !== at)
  return new Map(s === undefined ? others : [...others, [at, s]])
}
