import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

const key = itsOwn('zovrin.lastOpened')

/** The session opened last in this browser, or null. Storage may be blocked: then there is none. */
export function lastOpenedId(): string | null {
  try {
    return localStorage.getItem(key)
  } catch {
    return null
  }
}

export function rememberOpened(id: string | null): void {
  try {
    if (id === null) localStorage.removeItem(key)
    else localStorage.setItem(key, id)
  } catch {
    // Only a convenience: without storage the list of sessions is shown first.
  }
}
