import { nanoid } from 'nanoid'

const key = 'zovrin.window'
const lockName = (id: string) => `zovrin-window-${id}`

let claimed: Promise<string> | undefined

/**
 * This window's id. It outlives a reload; a duplicated tab, which inherits it, gets a new one. While the
 * window lives it holds a lock under its id, so that drafts of closed windows can be told apart.
 */
export function windowId(): Promise<string> {
  claimed ??= claim(sessionStorage.getItem(key) ?? nanoid())
  return claimed
}

async function claim(id: string): Promise<string> {
  const mine = await hold(id)
  if (!mine) return claim(nanoid())
  sessionStorage.setItem(key, id)
  return id
}

/** Takes the window's lock until the page goes; false when another window holds it. */
function hold(id: string): Promise<boolean> {
  return new Promise((taken) => {
    void navigator.locks.request(lockName(id), { ifAvailable: true }, (lock) => {
      taken(lock !== null)
      return lock === null ? undefined : new Promise(() => undefined)
    })
  })
}

/** Whether a window of this browser with that id is open. */
export async function windowIsOpen(id: string): Promise<boolean> {
  const { held = [] } = await navigator.locks.query()
  return held.some((lock) => lock.name === lockName(id))
}
