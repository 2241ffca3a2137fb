import { createSharedComposable } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { computed, ref, shallowRef } from 'vue'
import type { LongDay, Part, SessionPart } from '#model/long-day'
import { findInDay, layOutDay, loadOf, sumsOfDay } from '#core/long-day'
import type { Load, PartInDay, SessionOfDay } from '#core/long-day'
import { countGrades, withSetAside } from '#core/finding'
import { withFields } from '#core/session'
import type { FieldsOf } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { listSessions } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { findingsOf } from '#web/shared/findings/check-work.ts'
import { useLongDaysStore } from '#web/shared/house/long-days-store.ts'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { smallSpine } from '#web/shared/session/small-spine.ts'
import type { SmallSpine } from '#web/shared/session/small-spine.ts'
import { useSessionsById } from '#web/shared/session/use-sessions-by-id.ts'

/** A session of the day with what is looked at in it. */
export interface SessionLooked extends SessionOfDay {
  readonly spine: SmallSpine | undefined
  readonly load: Load
  /** How much in its own plan stands wrong or wants a look. */
  readonly toLookAt: number
}

/** The long days, the one that is looked at, and every change of it. */
export const useLongDays = createSharedComposable(() => {
  const store = useLongDaysStore()
  const lines = shallowRef<readonly SessionLine[]>([])
  const chosenId = ref<string>()
  const chosen = computed(() => store.days.find(({ id }) => id === chosenId.value))
  const change = (by: FieldsOf<LongDay>): Promise<boolean> =>
    chosen.value ? store.put(withFields<LongDay>(chosen.value, by)) : Promise.resolve(false)
  const looked = useLooked(chosen)
  return {
    ...{ store, lines, chosenId, chosen, change, ...looked },
    async load(): Promise<void> {
      const [reply] = await Promise.all([
        listSessions(),
        store.load(),
        useOwnStore().load(),
        usePlacesStore().load(),
        usePlannedClassesStore().load(),
      ])
      if (reply.kind === 'ok') lines.value = reply.value.filter(({ archived }) => !archived)
    },
    /** A day with nothing in it yet, from ten on. */
    async add(name: string): Promise<string | undefined> {
      const longDay: LongDay = {
        ...{ schema: 1, id: nanoid(), name, startsAt: '10:00' },
        ...{ people: [], guests: 0, parts: [] },
      }
      return (await store.put(longDay)) ? longDay.id : undefined
    },
    ...partActs(chosen, change),
  }
})

type Chosen = Readonly<{ value: LongDay | undefined }>

/** Changes of the parts of the day: one added at its end, changed, moved or taken away. */
function partActs(chosen: Chosen, change: (by: FieldsOf<LongDay>) => Promise<boolean>) {
  const parts = (): readonly Part[] => chosen.value?.parts ?? []
  const chosenPart = ref<string>()
  const add = async (part: Part): Promise<void> => {
    if (await change({ parts: [...parts(), part] })) chosenPart.value = part.id
  }
  return {
    chosenPart,
    addSession: (sessionId: string) => add({ kind: 'session', id: nanoid(), sessionId }),
    addBreak: () => add({ kind: 'break', id: nanoid(), name: 'Tea', s: 1200 }),
    changePart: (part: Part) => change({ parts: parts().map((one) => (one.id === part.id ? part : one)) }),
    removePart: (id: string) => change({ parts: parts().filter((one) => one.id !== id) }),
    movePart(id: string, by: 1 | -1): Promise<boolean> {
      const at = parts().findIndex((one) => one.id === id)
      const [one, other] = [parts()[at], parts()[at + by]]
      if (!one || !other) return Promise.resolve(false)
      // An hour that was set stays where it is in the day: it is the room's, not the part's.
      return change({
        parts: [...parts()].with(at, withHour(other, one.startsAt)).with(at + by, withHour(one, other.startsAt)),
      })
    },
  }
}

/** A part that begins at an hour that is set, or when what is before it is over. */
export const withHour = <P extends Part>(part: P, startsAt: string | undefined): P => {
  const { startsAt: _, ...others } = part
  return (startsAt === undefined ? others : { ...others, startsAt }) as P
}

/** The day by the clock, in figures, and what is found in it. */
function useLooked(chosen: Chosen) {
  const own = useOwnStore()
  const places = usePlacesStore()
  const planned = usePlannedClassesStore()
  const idsOf = (day: LongDay | undefined): string[] =>
    day?.parts.flatMap((part) => (part.kind === 'session' ? [part.sessionId] : [])) ?? []
  const { sessions, gone, isSettled, isAway } = useSessionsById(() => idsOf(chosen.value))
  const looked = computed(() => {
    const catalog = own.catalog
    const all = [...new Set(idsOf(chosen.value))].flatMap((id) => sessions.value.get(id) ?? [])
    return new Map(
      all.flatMap((session): [string, SessionLooked][] => {
        const compiled = compileTimeline(session, catalog)
        if (!compiled.ok) return []
        const timeline = compiled.value
        const open = withSetAside(findingsOf(session, timeline, catalog), session)
        const grades = countGrades(open.flatMap(({ finding, aside }) => (aside ? [] : [finding])))
        return [
          [
            session.id,
            {
              ...{ session, timeline, spine: smallSpine(session, [], catalog) },
              load: loadOf({ session, timeline }, catalog, { book: cautionBook }),
              toLookAt: grades.must + grades.look,
            },
          ],
        ]
      }),
    )
  })
  /** What people come for; longer where the session takes longer. */
  function lengthS(sessionId: string): number {
    const known = sessions.value.get(sessionId)
    return Math.max(known?.lengthS ?? 0, Math.ceil((looked.value.get(sessionId)?.timeline.totalMs ?? 0) / 1000))
  }
  const laid = computed((): readonly PartInDay[] => (chosen.value ? layOutDay(chosen.value, lengthS) : []))
  const loads = computed(() => new Map([...looked.value].map(([id, { load }]) => [id, load])))
  const findings = computed(() => {
    if (!isSettled.value) return []
    const place = places.places.find(({ id }) => id === chosen.value?.placeId)
    return findInDay({
      ...{ laid: laid.value, sessions: looked.value, gone: gone.value },
      ...{ loads: loads.value, freeUntil: place?.freeUntil },
    })
  })
  /** The class that was planned of a part. */
  const plannedOf = (part: SessionPart) =>
    planned.planned.find(({ longDay }) => longDay?.id === chosen.value?.id && longDay?.partId === part.id)
  return {
    ...{ sessions, gone, isSettled, isAway, looked, laid, findings, plannedOf },
    sums: computed(() => sumsOfDay(laid.value, loads.value)),
  }
}
