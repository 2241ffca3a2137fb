import { onScopeDispose, readonly, shallowRef } from 'vue'
import type { ClassNow } from '#model/device'

/**
 * The class that runs and who leads it, as the server tells it at once whenever that changes; undefined until it was
 * heard. `by` says which device leads by this window, and so that it is there.
 */
export function useClassNow() {
  const now = shallowRef<ClassNow | null>()
  let source: EventSource | undefined
  let asked = ''

  function follow(by?: string): void {
    const address = by === undefined ? '/api/now/stream' : `/api/now/stream?by=${encodeURIComponent(by)}`
    if (source && asked === address) return
    source?.close()
    asked = address
    now.value = undefined
    source = new EventSource(address)
    source.addEventListener(
      'now',
      ({ data }: MessageEvent<string>) => (now.value = JSON.parse(data) as ClassNow | null),
    )
  }
  function stop(): void {
    source?.close()
    source = undefined
  }
  onScopeDispose(stop)
  return { now: readonly(now), follow, stop }
}
