import { EventEmitter, once } from 'node:events'
import type { ServerResponse } from 'node:http'

/** The requests that are just being answered, so that nothing is taken away beneath them. */
export function answering() {
  const open = new Set<ServerResponse>()
  const left = new EventEmitter()
  return {
    take(response: ServerResponse): void {
      open.add(response)
      response.once('close', () => {
        open.delete(response)
        left.emit('one')
      })
    },
    /** Resolves once all have their answer, or after `patienceMs`. */
    async done(patienceMs: number): Promise<void> {
      const signal = AbortSignal.timeout(patienceMs)
      while (!signal.aborted && open.size > 0) await once(left, 'one', { signal }).catch(() => undefined)
    },
  }
}
