import { computed, ref } from 'vue'
import type { Instead } from '#core/checks'
import { comersOf, isAsked, isMinor } from '#core/class'
import { formatMs } from '#core/units'
import { dayOf } from '#words/class-days'
import { ports } from '#web/shared/ports.ts'
import { blockNameIn } from '#words/blocks'
import { sectionName } from '#words/sections'
import { leadableOf, mustsOf, wordsOf } from '#web/shared/findings/check-work.ts'
import { useHouse } from '#web/shared/house/use-house.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** So many at most are led in the sixth stage, each of them marked for it [breath book 5]. */
const mostInSixth = 4

/** What is noted of those who come to the class a session is opened for. */
function useNoted(sessionId: () => string | undefined) {
  const classes = usePlannedClassesStore()
  const people = usePeopleStore()
  const coming = computed(() => {
    const id = sessionId()
    const planned = id === undefined ? undefined : classes.openFor(id)
    if (!planned || planned.guests > 0) return undefined
    return planned.people.flatMap(({ personId, away }) =>
      away ? [] : [people.people.find(({ id: theirs }) => theirs === personId)],
    )
  })
  void people.load()
  const isMinors = computed(() => {
    const id = sessionId()
    const planned = id === undefined ? undefined : classes.openFor(id)
    return planned !== undefined && comersOf(planned, people.people, [], 'new').some(isMinor)
  })
  return {
    minors: isMinors,
    /** Everybody is there by name, and was asked lately. */
    isEverybodyAsked: computed(
      () =>
        coming.value !== undefined &&
        coming.value.length > 0 &&
        coming.value.every((person) => person && isAsked(person, dayOf(ports().epochMs()))),
    ),
    sixthStage: computed(
      () =>
        coming.value !== undefined &&
        coming.value.length > 0 &&
        coming.value.length <= mostInSixth &&
        coming.value.every((person) => person?.sixthStageOn !== undefined),
    ),
  }
}

/** What stands in the plan, as it is called. */
function useNames() {
  const store = useSessionStore()
  const own = useOwnStore()
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
  return { nameOf, named }
}

/**
 * The open session as it may be led: what of it is given to natural breath because it may not be led at all, and what
 * because not everybody was asked; and what stands wrong in it and may be led all the same.
 */
export function useLeadable() {
  const store = useSessionStore()
  const own = useOwnStore()
  const { lyingOn, unit } = useHouse()
  const askedAtMs = ref<number>()
  const { isEverybodyAsked, sixthStage, minors } = useNoted(() => store.document?.id)
  const { nameOf, named } = useNames()

  const allowed = computed(() =>
    store.document && store.timeline
      ? leadableOf(store.document, store.timeline, own.catalog, {
          ...{ everybody: true, sixthStage: sixthStage.value, minors: minors.value },
        })
      : undefined,
  )
  const unasked = computed(() =>
    allowed.value
      ? leadableOf(allowed.value.session, allowed.value.timeline, own.catalog, {
          ...{ everybody: false, sixthStage: sixthStage.value, minors: minors.value },
        })
      : undefined,
  )
  const wantsAsking = computed(
    () =>
      !isEverybodyAsked.value &&
      allowed.value !== undefined &&
      (unasked.value === undefined || unasked.value.instead.length > 0),
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
    minors,
    /** In place of what may not be led at all. */
    instead: computed(() => named(allowed.value?.instead ?? [])),
    /** In place of what waits for everybody to be asked. */
    insteadUnasked: computed(() => (isHeldBack.value ? named(unasked.value?.instead ?? []) : [])),
    musts,
  }
}
