import type { BasePosition, Level } from '#model/common'
import type { Pose } from '#model/pose'
import type { Seconds } from '#core/units'
import type { ChangeTable } from './catalog.ts'

/** The times around a hold that led classes teach, by the pose and its form. */
export const taughtTimes = ['setUp', 'settle', 'comingOut'] as const
export type TaughtTime = (typeof taughtTimes)[number]

/** What led classes teach is told apart by what it is of, and by the level of who was led [settled B18]. */
export const learnedKey = {
  ofPose: (time: TaughtTime, poseId: string, variantId?: string): string =>
    `${time}:${poseId}${variantId === undefined ? '' : `:${variantId}`}`,
  ofTechnique: (techniqueId: string): string => `setUp:${techniqueId}`,
  change: (from: BasePosition, to: BasePosition): string => `change:${from}>${to}`,
  /** How long all props take by hand, in hundredths of what is estimated. */
  changeover: 'changeover',
  /** Seconds a hundred words are said in. */
  pace: 'pace',
} as const

/** A key for a level. */
export const atLevel = (key: string, level: Level): string => `${key} ${level}`

/** What led classes taught, in seconds, by key and level; what is not in it is as the shelf has it. */
export type LearnedTimes = ReadonlyMap<string, Seconds>

/** What was learned of a time of a pose at a level: of its form, else of the pose. */
export function learnedOfPose(
  learned: LearnedTimes,
  time: TaughtTime,
  level: Level,
  { poseId, variantId }: { readonly poseId: string; readonly variantId?: string | undefined },
): Seconds | undefined {
  const ofPose = learned.get(atLevel(learnedKey.ofPose(time, poseId), level))
  return variantId === undefined
    ? ofPose
    : (learned.get(atLevel(learnedKey.ofPose(time, poseId, variantId), level)) ?? ofPose)
}

/** Whether a time of an own pose is as it was taken over from the one it was copied from: then records stand above it [settled B17]. */
export const isTakenOver = (time: TaughtTime, own: Pose, original: Pose | undefined): boolean =>
  original !== undefined && JSON.stringify(own.times[`${time}S`]) === JSON.stringify(original.times[`${time}S`])

/** The table of changes with what was learned of them at a level; the same table where nothing was. */
export function learnedChanges(table: ChangeTable, learned: LearnedTimes, level: Level): ChangeTable {
  const found = [...learned].flatMap(([key, s]) => {
    const [, from, to, at] = /^change:(\w+)>(\w+) (\w+)$/.exec(key) ?? []
    return at === level && from !== undefined && to !== undefined ? [{ from, to, s }] : []
  })
  if (found.length === 0) return table
  const changed: Record<string, Record<string, Seconds>> = { ...table }
  for (const { from, to, s } of found) changed[from] = { ...changed[from], [to]: s }
  return changed as ChangeTable
}
