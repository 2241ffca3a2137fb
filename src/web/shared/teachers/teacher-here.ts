import type { SignInKind } from '#model/teacher'

/** Who this browser is signed in as, as it was known last: what is kept in the browser is theirs. */
export interface TeacherHere {
  readonly id: string
  readonly name: string
  readonly kind: Exclude<SignInKind, 'alone'>
}

const key = 'zovrin.teacher'

function read(): TeacherHere | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as TeacherHere | null
  } catch {
    return null
  }
}

/** Stays as it was when the page began: with another teacher the page begins anew. */
const here = read()
export const teacherHere = (): TeacherHere | null => here

export function rememberTeacher(teacher: TeacherHere | null): void {
  try {
    if (teacher) localStorage.setItem(key, JSON.stringify(teacher))
    else localStorage.removeItem(key)
  } catch {
    // Without storage nothing is kept in this browser for anybody.
  }
}

/** Whether another window of this browser is signed in as somebody else now. */
export const isOther = (event: StorageEvent): boolean => event.key === key && read()?.id !== here?.id

/** Whoever was alone in a house is its first teacher: what the browser kept until then is theirs. */
const firstTeacher = 'owner'

/** A name under which something is kept in this browser for the teacher who is here, and for none of their colleagues. */
export const itsOwn = (name: string): string =>
  here === null || here.id === firstTeacher ? name : `${name}.of.${here.id}`
