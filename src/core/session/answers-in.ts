import type { Answers } from '#model/answers'
import type { Session } from '#model/session'
import type { Catalog } from './catalog.ts'

/** What a session answers: by itself, else by its school; undefined where its school is not there. */
export function answersIn({ schoolId, answers }: Session, { schools }: Catalog): Answers | undefined {
  const school = schools.get(schoolId)
  return school && { ...school.answers, ...answers }
}
