import { nanoid } from 'nanoid'

const key = 'zovrin.device'

/** The id of this browser as a device that leads: the same in all its windows, of which one leads at a time. */
export function deviceId(): string {
  const kept = localStorage.getItem(key)
  if (kept !== null) return kept
  const made = nanoid()
  localStorage.setItem(key, made)
  return made
}
