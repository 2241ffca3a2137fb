import { computed } from 'vue'
import { blockNameIn } from '#words/blocks'
import { leadableOf } from '#web/shared/findings/check-work.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** The open session as it may be led, and what of it is given to natural breath because it may not. */
export function useLeadable() {
  const store = useSessionStore()
  const own = useOwnStore()
  const made = computed(() =>
    store.document && store.timeline ? leadableOf(store.document, store.timeline, own.catalog) : undefined,
  )
  const instead = computed(() =>
    (made.value?.instead ?? []).map(({ blockId, s }) => {
      const block = store.document?.blocks.find(({ id }) => id === blockId)
      return { name: block ? blockNameIn(block, own.catalog) : '', s, isBreath: block?.kind === 'breath' }
    }),
  )
  return { made, instead }
}
