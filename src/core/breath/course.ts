import { ok } from '#core/result'
import type { Result } from '#core/result'
import type { BreathCode } from './fill-time.ts'
import { ladder } from './ladder.ts'
import type { LadderInput, LadderWeek } from './ladder.ts'

/** A technique to be learned, by how many lessons it has. */
export interface Learned {
  readonly techniqueId: string
  readonly lessons: number
}

export interface LessonOfWeek {
  readonly techniqueId: string
  /** Which of the technique's lessons, from 1. */
  readonly lesson: number
}

export interface CourseWeek extends LadderWeek {
  readonly lesson?: LessonOfWeek
}

interface CourseInput extends Omit<LadderInput, 'newTechniqueIn'> {
  /** Techniques to learn, one after another, a lesson a week. */
  readonly learned: readonly Learned[]
  /** The week of the first lesson; the first of the course unless set. */
  readonly lessonsFrom?: number
}

/**
 * A course's two threads, by week: the step of the ladder and the lesson [breath book 4]. A technique's first lesson is
 * its week's one new thing, and the ratio waits. Refuses as `ladder` does.
 */
export function course({ learned, lessonsFrom, ...input }: CourseInput): Result<readonly CourseWeek[], BreathCode> {
  const lessons = learned.flatMap(({ techniqueId, lessons: count }) =>
    Array.from({ length: count }, (_, at): LessonOfWeek => ({ techniqueId, lesson: at + 1 })),
  )
  const from = lessonsFrom ?? input.firstWeek ?? 1
  const newTechniqueIn = lessons.flatMap(({ lesson }, at) => (lesson === 1 ? [from + at] : []))
  const climbed = ladder({ ...input, newTechniqueIn })
  if (!climbed.ok) return climbed
  return ok(
    climbed.value.map((standing) => {
      const lesson = lessons[standing.week - from]
      return lesson ? { ...standing, lesson } : standing
    }),
  )
}
