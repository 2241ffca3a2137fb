import { nanoid } from 'nanoid'

const key = 'zovrin.device'
let here: string | undefined

/**
 * The id of this browser as a device that leads: the same in all its windows, of which one leads at a time. It stays the same
 * for as long as a window is open, whatever the browser clears meanwhile: a class is led on by whoever led it.
 */
export function deviceId(): string {
  here ??= localStorage.getItem(key) ?? nanoid()
  if (localStorage.getItem(key) !== here) localStorage.setItem(key, here)
  return here
}
