import { firstTeacherId } from '#model/teacher'
import type { SignInKind } from '#model/teacher'

/** Who this browser is signed in as, as it was known last: what is kept in the browser is theirs. */
export interface TeacherHere {
  readonly id: string
  readonly name: string
  readonly kind: Exclude<SignInKind, 'alone'>
}

const key = 'zovrin.teacher'

/** Somebody was, and signed out: nobody's own is shown until it is known whose. */
const nobody = 'nobody'
type Kept = TeacherHere | typeof nobody | null

function read(): Kept {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as Kept
  } catch {
    return null
  }
}
const idOf = (kept: Kept): string | undefined => (kept === nobody ? nobody : kept?.id)

/** Stays as it was when the page began: with another teacher the page begins anew. */
const here = read()
/** Null where nobody is known to be here, or a house of one asks for no name. */
export const teacherHere = (): TeacherHere | null => (here === nobody ? null : here)
/** Whether somebody signed out of this browser, and nobody in again. */
export const isNobodyHere = (): boolean => here === nobody

function keep(kept: Kept): void {
  try {
    if (kept) localStorage.setItem(key, JSON.stringify(kept))
    else localStorage.removeItem(key)
  } catch {
    // Without storage nothing is kept in this browser for anybody.
  }
}
/** `null` where no name is asked for. */
export const rememberTeacher = (teacher: TeacherHere | null): void => {
  keep(teacher)
}
export const rememberSignedOut = (): void => {
  keep(nobody)
}

/** Whether another window of this browser is signed in as somebody else now. */
export const isOther = (event: StorageEvent): boolean => event.key === key && idOf(read()) !== idOf(here)

/**
 * A name under which something is kept in this browser for the teacher who is here, and for none of their colleagues. Whoever
 * was alone in a house is its first teacher: what the browser kept until then is theirs.
 */
export function itsOwn(name: string): string {
  const id = idOf(here)
  return id === undefined || id === firstTeacherId ? name : `${name}.of.${id}`
}
