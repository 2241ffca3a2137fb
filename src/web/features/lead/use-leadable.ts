import { computed, ref } from 'vue'
import type { Instead } from '#core/checks'
import { formatMs } from '#core/units'
import { blockNameIn } from '#words/blocks'
import { sectionName } from '#words/sections'
import { leadableOf, mustsOf, wordsOf } from '#web/shared/findings/check-work.ts'
import { useHouse } from '#web/shared/house/use-house.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** The people of a planned class come with the people themselves: nobody is marked for the sixth stage yet. */
const sixthStage = false

/**
 * The open session as it may be led: what of it is given to natural breath because it may not be led at all, and what
 * because not everybody was asked; and what stands wrong in it and may be led all the same.
 */
export function useLeadable() {
  const store = useSessionStore()
  const own = useOwnStore()
  const { lyingOn, unit } = useHouse()
  const askedAtMs = ref<number>()
  const nameOf = (blockId: string): string => {
    const block = store.document?.blocks.find(({ id }) => id === blockId)
    return block ? blockNameIn(block, own.catalog) : ''
  }
  const named = (instead: readonly Instead[]) =>
    instead.map(({ blockId, section = 0, s }) => {
      const block = store.timeline?.blocks.find((span) => span.block.block.id === blockId)?.block
      const resolved = block?.kind === 'breath' ? block.sections[section] : undefined
      const name = resolved ? sectionName(resolved) : nameOf(blockId)
      return {
        name,
        inBlock: name.startsWith(nameOf(blockId)) ? undefined : nameOf(blockId),
        s,
        isBreath: block?.kind === 'breath',
      }
    })

  const allowed = computed(() =>
    store.document && store.timeline
      ? leadableOf(store.document, store.timeline, own.catalog, { everybody: true, sixthStage })
      : undefined,
  )
  const unasked = computed(() =>
    allowed.value
      ? leadableOf(allowed.value.session, allowed.value.timeline, own.catalog, { everybody: false, sixthStage })
      : undefined,
  )
  const wantsAsking = computed(
    () => allowed.value !== undefined && (unasked.value === undefined || unasked.value.instead.length > 0),
  )
  const isHeldBack = computed(() => wantsAsking.value && askedAtMs.value === undefined)
  const made = computed(() => (isHeldBack.value ? unasked.value : allowed.value))
  const musts = computed(() =>
    made.value
      ? mustsOf(made.value.session, made.value.timeline, own.catalog, lyingOn.value).map((finding) => {
          const { blockId, atMs } = finding.place
          const where = [blockId === undefined ? '' : nameOf(blockId), atMs === undefined ? '' : formatMs(atMs)]
          const { title } = wordsOf(finding, own.catalog, unit.value)
          return { title, where: where.filter((words) => words !== '').join(', ') }
        })
      : [],
  )
  return {
    made,
    askedAtMs,
    wantsAsking,
    /** In place of what may not be led at all. */
    instead: computed(() => named(allowed.value?.instead ?? [])),
    /** In place of what waits for everybody to be asked. */
    insteadUnasked: computed(() => (isHeldBack.value ? named(unasked.value?.instead ?? []) : [])),
    musts,
  }
}
