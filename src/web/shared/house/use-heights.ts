import { watchDebounced } from '@vueuse/core'
import { computed, toRaw } from 'vue'
import type { Person } from '#model/person'
import type { PlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import { bodyOfPerson } from '#core/class'
import type { ForHeight } from '#core/class'
import { isSame } from '#core/session'
import type { Timeline } from '#core/timeline'
import { useFit } from '#web/shared/fit/use-fit.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { useClass } from './use-class.ts'
import { useHouse, usualStatureCm } from './use-house.ts'

/** How long the hands rest before the set-ups are fitted to the heights of a class. */
const restMs = 300

/** The bodies of those who come by name and whose height is noted. */
const bodiesIn = (planned: PlannedClass | undefined, all: readonly Person[]) =>
  (planned?.people ?? []).flatMap(({ personId, away }) => {
    const person = away ? undefined : all.find(({ id }) => id === personId)
    const body = person && bodyOfPerson(person)
    return body ? [{ id: personId, who: body }] : []
  })

/** The set-ups of a session for the heights of those who come to the class it is opened for, and what is taken of it. */
export function useHeights(of: () => { readonly document: Session; readonly timeline: Timeline } | undefined) {
  const { planned, forms, laid, forHeight, who, classes } = useClass(of)
  const people = usePeopleStore()
  const { kinds } = useHouse()
  const fit = useFit('heights')
  const bodies = computed(() => bodiesIn(planned.value, people.people))
  /** For somebody who comes alone everything lies for their height anyway. */
  const isAsked = computed(() => bodies.value.length > 0 && who.value.length > 1)
  const elsewhere = computed(() => forms.value.laid.map((one) => ({ blockId: one.blockId, who: [...one.who] })))
  watchDebounced(
    [() => of()?.document, bodies, elsewhere, kinds],
    () => {
      const session = of()?.document
      if (!session || !isAsked.value) return
      // What is watched over by Vue cannot be sent to a worker; its plain copy can.
      const plain = JSON.stringify({ bodies: bodies.value, elsewhere: elsewhere.value, kinds: kinds.value })
      const asks = JSON.parse(plain) as { bodies: typeof bodies.value; elsewhere: never[]; kinds: typeof kinds.value }
      fit.ask({ session: toRaw(session), ...asks, usual: { statureCm: usualStatureCm } })
    },
    { debounce: restMs, immediate: true },
  )
  const groups = computed(() => (isAsked.value && fit.answer.value?.ok ? fit.answer.value.value : []))
  const isTaken = (group: ForHeight): boolean =>
    group.who.every((id) =>
      forHeight.value.some(
        (one) => one.blockId === group.blockId && one.who.includes(id) && isSame(one.items, group.items),
      ),
    )
  /** What is kept of the class, without some people of a block. */
  const without = ({ blockId, who: some }: ForHeight) =>
    forHeight.value.flatMap((one) => {
      if (one.blockId !== blockId) return [one]
      const left = one.who.filter((id) => !some.includes(id))
      return left.length === 0 ? [] : [{ ...one, who: left }]
    })
  return {
    ...{ isAsked, isTaken },
    /** Those of a block; nothing where it lies alike for all. */
    groupsIn: (blockId: string): readonly ForHeight[] => {
      const there = groups.value.filter((group) => group.blockId === blockId)
      return there.some(({ mends, left }) => mends.length > 0 || left.length > 0) ? there : []
    },
    /** How many come of whom no height is noted. */
    unknown: computed(() => who.value.length - bodies.value.length),
    take(group: ForHeight): void {
      const from = laid.value.find(({ blockId }) => blockId === group.blockId)?.items
      if (!planned.value || !from) return
      const one = { blockId: group.blockId, who: [...group.who], from: [...from], items: [...group.items] }
      void classes.put({ ...planned.value, setUps: [...without(group), one] })
    },
    back(group: ForHeight): void {
      if (planned.value) void classes.put({ ...planned.value, setUps: without(group) })
    },
  }
}
