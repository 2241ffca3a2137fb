import { useEventListener } from '@vueuse/core'

/** Where something is in this window alone, or on its way, it would be lost with it: the browser asks before it is left. */
export function askBeforeLeaving(isAtStake: () => boolean): void {
  useEventListener('beforeunload', (event) => {
    if (isAtStake()) event.preventDefault()
  })
}
