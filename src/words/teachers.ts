import type { PlannedClass } from '#model/planned-class'
import type { KeptTeacher, Role, SignInKind } from '#model/teacher'
import { counted } from './text.ts'

/** Sessions of other teachers, of which no more is told than that there are any. */
export const ofColleagues = (count: number): readonly string[] =>
  count === 0 ? [] : [`${counted(count, 'session')} of a colleague`]

/** What a teacher is known by, within a sentence, and what it has to be. */
export const secretWord = (kind: SignInKind): string => (kind === 'accounts' ? 'password' : 'PIN')
export const secretHint = (kind: SignInKind): string =>
  kind === 'accounts' ? 'Ten signs or more' : 'Four to twelve digits'

export const roleWords: Readonly<Record<Role, string>> = { teacher: 'Teacher', keeper: 'Keeper' }

/** How it stands with somebody's signing in. */
export function teacherState({ isClosed, isNew, role }: KeptTeacher): string {
  const state = isClosed ? ', closed' : isNew ? ', has chosen no password yet' : ''
  return `${roleWords[role]}${state}`
}

/** Who leads a class that was handed over, or in whose place one leads it; nothing for any other. */
export function handedWords({ handedTo, handedFrom }: Pick<PlannedClass, 'handedTo' | 'handedFrom'>): string {
  if (handedTo) return `${handedTo.record ? 'led by' : 'handed over to'} ${handedTo.name}`
  return handedFrom ? `in the place of ${handedFrom.name}` : ''
}
