import { computed, ref, shallowRef, watch } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import { comingTo, laidByPeople, laidIn, ledger, roomOf, stillTaken, touching } from '#core/class'
import type { BesideClass } from '#core/class'
import { compileTimeline } from '#core/timeline'
import { readSession } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePlacesStore } from './places-store.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'

/** The sessions of other classes, as they were read last. */
const sessions = shallowRef<ReadonlyMap<string, Session>>(new Map())
const asked = ref(new Set<string>())

/** What was read of other sessions may have changed since: it is read anew by whoever asks next. */
export function readBesideAnew(): void {
  asked.value = new Set()
}

/** The classes of the same house whose time touches a planned one's, with what they have of its cupboard. */
export function useBeside(of: () => { readonly planned: PlannedClass; readonly totalMs: number } | undefined) {
  const classes = usePlannedClassesStore()
  const own = useOwnStore()
  const places = usePlacesStore()
  const roomIn = ({ placeId, roomId }: PlannedClass): string | undefined => {
    const place = places.places.find(({ id }) => id === placeId)
    return place && roomOf(place, roomId)?.id
  }
  const onDay = computed(() => {
    const now = of()?.planned
    return now
      ? classes.planned.filter(
          ({ id, day, placeId, startsAt }) => id !== now.id && day === now.day && placeId === now.placeId && startsAt,
        )
      : []
  })
  watch(
    onDay,
    async (others) => {
      for (const { sessionId } of others) {
        if (asked.value.has(sessionId)) continue
        asked.value.add(sessionId)
        const reply = await readSession(sessionId)
        if (reply.kind === 'ok') sessions.value = new Map([...sessions.value, [sessionId, reply.value]])
        else asked.value.delete(sessionId)
      }
    },
    { immediate: true },
  )
  return computed((): readonly BesideClass[] => {
    const now = of()
    if (!now) return []
    return onDay.value.flatMap((other): BesideClass[] => {
      const session = sessions.value.get(other.sessionId)
      const compiled = session && compileTimeline(session, { ...own.catalog, people: comingTo(other).length })
      // One that is held where each has their own has nothing of the house.
      if (!session || !compiled?.ok || (session.setting ?? 'room') !== 'room') return []
      if (!touching({ ...now.planned, totalMs: now.totalMs }, { ...other, totalMs: compiled.value.totalMs })) return []
      const laid = laidIn(compiled.value)
      const groups = laidByPeople(
        laid,
        comingTo(other),
        stillTaken([...(other.setUps ?? []), ...other.substitutes], laid),
      )
      const rows = ledger({ people: groups.map(({ who, laid }) => ({ count: who.length, laid })) })
      return [
        {
          ...{ name: session.name, startsAt: other.startsAt ?? '' },
          inSameRoom: roomIn(other) === roomIn(now.planned),
          has: new Map(rows.map(({ kind, atOnce }) => [kind, atOnce])),
        },
      ]
    })
  })
}
