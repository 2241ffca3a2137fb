import type { Technique } from '#model/technique'
import type { Resolved } from '#core/session'
import type { Seconds } from '#core/units'
import type { PartInDay } from './lay-out-day.ts'
import type { SessionOfDay } from './sums.ts'

const techniquesOf = (block: Resolved): readonly Technique[] =>
  block.kind === 'breath'
    ? block.techniques
    : block.kind === 'hold' && block.breathOver
      ? [block.breathOver.technique]
      : []

/** A light snack asks for about half the time a meal does [cautions reference 3.1]. */
const shareOf = { meal: 1, snack: 0.5 } as const

interface AfterMeal {
  readonly techniqueId: string
  /** Since what was eaten. */
  readonly afterS: Seconds
  /** What the technique asks for. */
  readonly gapS: Seconds
}

/**
 * The breath work of a part that comes soonest after a break in which something was eaten, by what is still missing of
 * the time it asks for; undefined where all of it waits long enough. What is eaten is eaten to the end of the break.
 */
export function soonestAfterMeal(
  before: readonly PartInDay[],
  { part, startS }: PartInDay,
  sessions: ReadonlyMap<string, SessionOfDay>,
): AfterMeal | undefined {
  const there = part.kind === 'session' ? sessions.get(part.sessionId) : undefined
  if (!there) return undefined
  const found = before.flatMap(({ part: meal, endS }) => {
    if (meal.kind === 'session' || meal.eaten === undefined) return []
    const share = shareOf[meal.eaten]
    return there.timeline.blocks.flatMap(({ block, startMs }) =>
      techniquesOf(block).map(({ id, foodGapH }): AfterMeal => ({
        techniqueId: id,
        afterS: startS + Math.round(startMs / 1000) - endS,
        gapS: foodGapH * 3600 * share,
      })),
    )
  })
  return found.filter(({ afterS, gapS }) => afterS < gapS).sort((a, b) => b.gapS - b.afterS - (a.gapS - a.afterS))[0]
}
