import { useLocalStorage } from '@vueuse/core'
import type { RemovableRef } from '@vueuse/core'
import type { Answers } from '#model/answers'
import type { Technique } from '#model/technique'
import { course, ladderSteps } from '#core/breath'
import type { CourseWeek } from '#core/breath'
import { stepName } from '#words/ladder'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

/** What is typed for the ladder's picture. */
export interface TypedCourse {
  readonly startStep: number
  readonly weeks: number
  readonly perWeek: number
  readonly evenWeeksBefore: number
  readonly now: number
  /** Techniques to learn, in order, by id, and the week of the first lesson. */
  readonly learned: readonly string[]
  readonly lessonsFrom: number
}

const untyped: TypedCourse = {
  startStep: 6,
  weeks: 8,
  perWeek: 3,
  evenWeeksBefore: 0,
  now: 1,
  learned: [],
  lessonsFrom: 1,
}

/** What was typed for a session, kept in this browser: it is no part of the document. */
export const typedCourseOf = (sessionId: string): RemovableRef<TypedCourse> =>
  useLocalStorage(itsOwn(`zovrin.course.${sessionId}`), untyped, { mergeDefaults: true })

export interface WeekColumn extends CourseWeek {
  readonly name: string
  /** Half-counts of inhale and exhale with what is held after each; absent where nothing is counted. */
  readonly counted?: { readonly inhale: number; readonly exhale: number }
}

/** One technique's weeks in the thread of lessons. */
export interface LessonBand {
  readonly techniqueId: string
  readonly name: string
  readonly from: number
  readonly lessons: number
}

export interface CoursePicture {
  readonly columns: readonly WeekColumn[]
  readonly bands: readonly LessonBand[]
}

/** What the session says of its class: where its school has three-part breath, and its stage of breath work. */
interface Class {
  readonly threePartBreath: Answers['threePartBreath']
  readonly stage: number
}

/** A ladder goes to this stage; further only where the teacher set a further one by hand [breath book 4]. */
const usualTopStage = 3

/** The weeks of a typed course, and its techniques with the weeks they are learned in; nothing where it cannot be climbed. */
export function coursePicture(
  typed: TypedCourse,
  techniques: ReadonlyMap<string, Technique>,
  { threePartBreath, stage }: Class,
): CoursePicture {
  const learned = typed.learned.flatMap((id) => techniques.get(id) ?? [])
  const made = course({
    ...typed,
    threePartBreath,
    topStage: Math.max(stage, usualTopStage),
    learned: learned.map(({ id, lessons }) => ({ techniqueId: id, lessons: lessons.length })),
  })
  const columns = made.ok ? made.value.map(columnOf) : []
  return {
    columns,
    bands: learned.flatMap(({ id, names }) => {
      const weeks = columns.filter(({ lesson }) => lesson?.techniqueId === id).map(({ week }) => week)
      const [from] = weeks
      return from === undefined ? [] : [{ techniqueId: id, name: names.english, from, lessons: weeks.length }]
    }),
  }
}

function columnOf(week: CourseWeek): WeekColumn {
  const pattern = ladderSteps[week.step]?.pattern
  const counted = pattern && { inhale: pattern.in + pattern.full, exhale: pattern.out + pattern.empty }
  return { ...week, name: stepName(week.step), ...(counted ? { counted } : {}) }
}
