import type { CautionGrade } from '#model/caution'
import type { Pose, Variant } from '#model/pose'
import { cautionGradeOrder } from './grade-order.ts'
import type { Verdict } from './judge.ts'

/** A pose, or a form of one, that somebody could do in place of another. */
export interface PoseAlternative {
  readonly poseId: string
  readonly variantId?: string
  readonly verdict: Verdict
  /** It works on the same area in the same direction. */
  readonly isSameIntent: boolean
}

/** How a form of a pose is judged for somebody. */
export type JudgeForm = (pose: Pose, variant: Variant | undefined) => Verdict

const mostTold = 5

/** What could stand in place of a pose for anybody. */
export interface InPlace {
  readonly pose: Pose
  readonly milder: readonly Variant[]
  readonly alike: readonly Pose[]
  readonly others: readonly Pose[]
}

/** Whoever it is for: a pose's milder forms, the poses of its intent, and all others of the shelf. */
export function inPlaceOf(pose: Pose, shelf: Iterable<Pose>): InPlace {
  const others = [...shelf].filter(({ id }) => id !== pose.id)
  return {
    pose,
    milder: pose.variants.filter(({ grade }) => grade !== 'stronger'),
    alike: others.filter((other) => isSameIntent(pose, other)),
    others,
  }
}

/**
 * What to do in place of a pose, nearest first: its own milder forms, then poses of the same intent, each at most
 * "in a changed form" for this person; only where none of these is left, whatever else the shelf has of the families
 * that are offered. Every one is judged against all flags.
 */
export function poseAlternatives(
  { pose, milder, alike, others }: InPlace,
  offered: ReadonlySet<string>,
  judgeForm: JudgeForm,
): PoseAlternative[] {
  const forms = milder
    .map((variant): PoseAlternative => ({
      poseId: pose.id,
      variantId: variant.id,
      verdict: judgeForm(pose, variant),
      isSameIntent: true,
    }))
    .filter(({ verdict }) => verdict.grade !== 'avoid')
  const near = [...forms, ...mildestOf(alike, judgeForm, true)].slice(0, mostTold)
  if (near.length > 0) return near
  const far = others.filter(({ families }) => families.every((family) => offered.has(family)))
  return mildestOf(far, judgeForm, false)
}

/** Grades from the mildest: none first. Poses to be avoided are in none of them. */
const milderFirst: readonly (CautionGrade | undefined)[] = [
  undefined,
  ...cautionGradeOrder.toReversed().filter((grade) => grade !== 'avoid'),
]

/** As many as are told, those with the mildest grade first and else in the order of the shelf. */
function mildestOf(poses: readonly Pose[], judgeForm: JudgeForm, isSame: boolean): PoseAlternative[] {
  const byGrade = new Map<CautionGrade | undefined, PoseAlternative[]>(milderFirst.map((grade) => [grade, []]))
  for (const pose of poses) {
    const verdict = judgeForm(pose, undefined)
    const alike = byGrade.get(verdict.grade)
    if (alike && alike.length < mostTold) alike.push({ poseId: pose.id, verdict, isSameIntent: isSame })
    // Nothing milder can come.
    if (verdict.grade === undefined && alike?.length === mostTold) break
  }
  return milderFirst.flatMap((grade) => byGrade.get(grade) ?? []).slice(0, mostTold)
}

/** Whether two poses work on the same area in the same direction. */
export const isSameIntent = (a: Pose, b: Pose): boolean =>
  a.targets.some((target) => b.targets.includes(target)) &&
  a.directions.some((direction) => b.directions.includes(direction))
