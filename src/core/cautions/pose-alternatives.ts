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

/**
 * What to do in place of a pose, nearest first: its own milder forms, then poses of the same intent, each at most
 * "in a changed form" for this person; only where none of these is left, whatever else the shelf has of the families
 * that are offered. Every one is judged against all flags.
 */
export function poseAlternatives(
  pose: Pose,
  shelf: Iterable<Pose>,
  offered: ReadonlySet<string>,
  judgeForm: JudgeForm,
): PoseAlternative[] {
  const others = [...shelf].filter(({ id }) => id !== pose.id)
  const forms = pose.variants
    .filter(({ grade }) => grade !== 'stronger')
    .flatMap((variant) => alternative(pose, variant, judgeForm, true))
  const alike = others
    .filter((other) => isSameIntent(pose, other))
    .flatMap((other) => alternative(other, undefined, judgeForm, true))
  const near = [...forms, ...mildestFirst(alike)]
  if (near.length > 0) return near.slice(0, mostTold)
  const far = others
    .filter(({ families }) => families.every((family) => offered.has(family)))
    .flatMap((other) => alternative(other, undefined, judgeForm, false))
  return mildestFirst(far).slice(0, mostTold)
}

const isSameIntent = (a: Pose, b: Pose): boolean =>
  a.targets.some((target) => b.targets.includes(target)) &&
  a.directions.some((direction) => b.directions.includes(direction))

function alternative(
  pose: Pose,
  variant: Variant | undefined,
  judgeForm: JudgeForm,
  isSame: boolean,
): PoseAlternative[] {
  const verdict = judgeForm(pose, variant)
  if (verdict.grade === 'avoid') return []
  return [{ poseId: pose.id, ...(variant ? { variantId: variant.id } : {}), verdict, isSameIntent: isSame }]
}

const rank = (grade: CautionGrade | undefined): number =>
  grade === undefined ? cautionGradeOrder.length : cautionGradeOrder.indexOf(grade)
const mildestFirst = (all: readonly PoseAlternative[]): PoseAlternative[] =>
  all.toSorted((a, b) => rank(b.verdict.grade) - rank(a.verdict.grade))
