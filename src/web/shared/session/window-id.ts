import { nanoid } from 'nanoid'

const key = 'zovrin.window'
const lockName = (id: string) => `zovrin-window-${id}`

/** How long the page that is left behind by a reload may still hold what was its own. */
const patienceMs = 1500

let claimed: Promise<string> | undefined

/**
 * This window's id. It outlives a reload; a duplicated tab, which inherits it, gets a new one. While the
 * window lives it holds a lock under its id, so that drafts of closed windows can be told apart.
 */
export function windowId(): Promise<string> {
  claimed ??= claim(sessionStorage.getItem(key))
  return claimed
}

async function claim(former: string | null): Promise<string> {
  if (former !== null && (await hold(former, patienceMs))) return former
  const id = nanoid()
  await hold(id, 0)
  sessionStorage.setItem(key, id)
  return id
}

/** Takes the window's lock until the page goes; false when another window holds it for longer than that. */
function hold(id: string, patienceMs: number): Promise<boolean> {
  return new Promise((taken) => {
    const asked = patienceMs > 0 ? { signal: AbortSignal.timeout(patienceMs) } : {}
    const held = navigator.locks.request(lockName(id), asked, () => {
      taken(true)
      return new Promise(() => undefined)
    })
    held.catch(() => {
      taken(false)
    })
  })
}

/** Whether a window of this browser with that id is open. */
export async function windowIsOpen(id: string): Promise<boolean> {
  const { held = [] } = await navigator.locks.query()
  return held.some((lock) => lock.name === lockName(id))
}
