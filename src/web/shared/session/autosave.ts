/** Where the teacher's last change is: kept by the server, on its way, or still only in this browser. */
export type SaveState = 'saved' | 'waiting' | 'saving' | 'retrying' | 'conflict' | 'refused'

/** How an attempt to save ended; `away` is tried again, `stopped` waits for the teacher. */
export type SaveOutcome = 'saved' | 'away' | 'conflict' | 'refused'

export interface Timers {
  set(run: () => void, afterMs: number): number
  clear(id: number): void
  now(): number
}

/** Saved 800 ms after the last edit, at most every 3 s while edits go on [decisions]. */
const quietMs = 800
const mostMs = 3000
const retryMs = 3000

export interface Autosave {
  /** Something changed: save soon. */
  touch(): void
  /** Save what waits now, as before leaving. */
  flush(): Promise<void>
  /** After a conflict or refusal was settled elsewhere. */
  resume(state: 'saved' | 'waiting'): void
  stop(): void
}

/**
 * Decides when to save, one attempt at a time; edits made during an attempt are saved after it.
 * Tells every change of state to `onState`.
 */
export function makeAutosave(
  attempt: () => Promise<SaveOutcome>,
  onState: (state: SaveState) => void,
  timers: Timers,
): Autosave {
  let state: SaveState = 'saved'
  let timer: number | undefined
  let firstEditMs: number | undefined
  let running: Promise<void> | undefined
  let touchedWhileSaving = false
  let stopped = false

  const show = (next: SaveState) => {
    state = next
    onState(next)
  }
  const plan = (afterMs: number) => {
    if (timer !== undefined) timers.clear(timer)
    timer = stopped ? undefined : timers.set(() => void run(), afterMs)
  }

  const run = async (): Promise<void> => {
    if (running) return running
    timer = undefined
    firstEditMs = undefined
    touchedWhileSaving = false
    if (state !== 'retrying') show('saving')
    running = attempt().then(settle)
    await running
  }

  const settle = (outcome: SaveOutcome) => {
    running = undefined
    if (outcome === 'away') {
      show('retrying')
      plan(retryMs)
    } else if (outcome === 'saved' && touchedWhileSaving) {
      show('waiting')
      plan(quietMs)
    } else {
      show(outcome)
    }
  }

  return {
    touch() {
      if (state === 'conflict') return
      const now = timers.now()
      firstEditMs ??= now
      if (running) {
        touchedWhileSaving = true
        return
      }
      if (state === 'retrying') return
      show('waiting')
      plan(Math.max(0, Math.min(quietMs, firstEditMs + mostMs - now)))
    },
    async flush() {
      if (timer !== undefined) timers.clear(timer)
      if (running) await running
      if (state === 'waiting' || state === 'retrying') await run()
    },
    resume(next) {
      show(next)
      if (next === 'waiting') plan(0)
    },
    stop() {
      stopped = true
      if (timer !== undefined) timers.clear(timer)
    },
  }
}

export const browserTimers: Timers = {
  set: (run, afterMs) => window.setTimeout(run, afterMs),
  clear: (id) => {
    window.clearTimeout(id)
  },
  now: () => performance.now(),
}
