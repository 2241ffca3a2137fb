import { createSharedComposable } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { computed, ref, shallowRef, watch } from 'vue'
import type { LedClassLine } from '#model/journal'
import { ledClassPage } from '#model/limits'
import type { PlannedClass } from '#model/planned-class'
import type { Series } from '#model/series'
import type { Session } from '#model/session'
import { daysOfRhythm } from '#formats/rhythm'
import type { ShippedSeries } from '#library/series'
import { classesOfSeries, findInSeries, ledInWeeks } from '#core/series'
import type { ClassAttended, ClassInWeeks } from '#core/series'
import { isSame, withFields } from '#core/session'
import type { FieldsOf } from '#core/session'
import { namesOfSeries } from '#words/series-names'
import type { NamesOfSeries } from '#words/series'
import { listLedClasses, readLedClass } from '#web/shared/api/led-classes.ts'
import { listSessions, readSession } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useSeriesStore } from '#web/shared/house/series-store.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { ports } from '#web/shared/ports.ts'
import { dayOf } from '#words/class-days'
import { classActs, growthActs, kept } from './series-acts.ts'
import { smallSpine } from '#web/shared/session/small-spine.ts'
import type { SmallSpine } from '#web/shared/session/small-spine.ts'
import { useSessionsById } from '#web/shared/session/use-sessions-by-id.ts'

/** A class of the series as its column shows it; its session is the one it is led by, as far as it could be read. */
export interface WeekOfSeries extends ClassInWeeks {
  readonly spine: SmallSpine | undefined
  /** What its week grows to; and what it was led by, else the session of its own that it is led by instead. */
  readonly grown: Session
  readonly own: Session | undefined
  /** It was led otherwise than its week grows to. */
  readonly isAsLed: boolean
  /** Whether its day is over. */
  readonly isPast: boolean
  /** Planned for its day, with who comes. */
  readonly planned: PlannedClass | undefined
  /** Its record in the journal, once it was led. */
  readonly led: LedClassLine | undefined
  /** A record of the same week that is no class's: it may be this one's, led on another day. */
  readonly offered: LedClassLine | undefined
}

/** How many are expected in a class: who comes to it, where it is planned, else to the series. */
export const expectedIn = (planned: PlannedClass | undefined, usually: number): number =>
  planned ? planned.people.filter(({ away }) => !away).length + planned.guests : usually

/** The series, the one that is looked at with its weeks, and every change of it. */
export const useSeries = createSharedComposable(() => {
  const store = useSeriesStore()
  const sessions = shallowRef<readonly SessionLine[]>([])
  const chosenId = ref<string>()
  const chosen = computed(() => store.series.find(({ id }) => id === chosenId.value))
  const told = ref('')
  const base = useBase(() => chosen.value?.baseId)
  const change = (by: FieldsOf<Series>): Promise<boolean> =>
    chosen.value ? store.put(withFields<Series>(chosen.value, by)) : Promise.resolve(false)
  const { records, readRecords } = useRecords(chosenId)
  const weeks = useWeeks(chosen, base, records)
  return {
    ...{ store, sessions, chosenId, chosen, told, base, change, ...weeks },
    async load(): Promise<void> {
      const [reply] = await Promise.all([
        listSessions(),
        store.load(),
        useOwnStore().load(),
        usePlannedClassesStore().load(),
        usePlacesStore().load(),
        readRecords(),
      ])
      if (reply.kind === 'ok') sessions.value = reply.value.filter(({ archived }) => !archived)
    },
    /** A series of one session, as it is, for eight weeks. */
    add: ({ id: baseId, name }: SessionLine) => begin(store, { name, baseId, weeks: 8, growth: [] }),
    /** A series that comes with Zovrin, with a session of one's own for it to grow from. */
    async addShipped({ name, weeks, growth, base: shipped }: ShippedSeries): Promise<string | undefined> {
      const baseId = await kept({ ...shipped, id: nanoid() }, told)
      return baseId === undefined ? undefined : begin(store, { name, baseId, weeks, growth })
    },
    ...growthActs(chosen, change),
    ...classActs(chosen, change, told),
  }
})

type Begun = Pick<Series, 'name' | 'baseId' | 'weeks' | 'growth'>

/** Keeps a new series: every week on the day it is today. Its id; undefined where it was refused. */
async function begin(store: ReturnType<typeof useSeriesStore>, begun: Begun): Promise<string | undefined> {
  const firstDay = dayOf(ports().epochMs())
  const series: Series = {
    ...{ schema: 1, id: nanoid(), ...begun, weekdays: [weekdayOf(firstDay)], firstDay },
    ...{ people: [], guests: 0, classes: [] },
  }
  return (await store.put(series)) ? series.id : undefined
}

const dayNames = ['SU', 'MO', 'TU', 'WE', 'TH', 'FR', 'SA'] as const
const weekdayOf = (day: string) => dayNames[new Date(`${day}T12:00`).getDay()] ?? 'MO'

/** The session a series grows from, as it is now. */
function useBase(id: () => string | undefined) {
  const base = shallowRef<Session>()
  watch(
    id,
    async (now) => {
      base.value = undefined
      if (now === undefined) return
      const reply = await readSession(now)
      if (reply.kind === 'ok' && id() === now) base.value = reply.value
    },
    { immediate: true },
  )
  return base
}

/** What the journal has of the series that is looked at; read again whenever the view is opened. */
function useRecords(seriesId: Readonly<{ value: string | undefined }>) {
  const records = shallowRef<readonly LedClassLine[]>([])
  async function readRecords(): Promise<void> {
    const { value: now } = seriesId
    if (now === undefined) return
    const reply = await listLedClasses({ seriesId: now }, undefined, ledClassPage.most)
    if (reply.kind === 'ok' && seriesId.value === now) records.value = reply.value
  }
  watch(
    () => seriesId.value,
    async () => {
      records.value = []
      await readRecords()
    },
    { immediate: true },
  )
  return { records, readRecords }
}

/** The sessions of records as they were led, by record; each is read once, one after another. */
function useLedDocuments(ids: () => readonly string[]) {
  const known = shallowRef<ReadonlyMap<string, Session>>(new Map())
  watch(
    ids,
    async (now) => {
      for (const id of now) {
        if (known.value.has(id)) continue
        const reply = await readLedClass(id)
        if (reply.kind === 'ok') known.value = new Map([...known.value, [id, reply.value.document]])
      }
    },
    { immediate: true },
  )
  return known
}

/** What is found in the weeks to come, and who came to those that were led. */
function useLooked(
  chosen: Readonly<{ value: Series | undefined }>,
  base: Readonly<{ value: Session | undefined }>,
  classes: Readonly<{ value: readonly WeekOfSeries[] }>,
) {
  const findings = computed(() => {
    const { value: series } = chosen
    if (!series || !base.value) return []
    const usually = series.people.length + series.guests
    const looked = classes.value.map(({ grown, led, isPast, planned: day, ...one }) => ({
      ...{ ...one, session: grown, isOver: isPast || led !== undefined, expected: expectedIn(day, usually) },
    }))
    return findInSeries({ series, base: base.value, catalog: useOwnStore().catalog, classes: looked })
  })
  /** The classes that were led, with who came where that is known: those who were planned for it and not marked away. */
  const attended = computed((): readonly ClassAttended[] =>
    classes.value
      .filter((one) => one.leftOut === undefined && (one.led ?? one.planned?.ledClassId) !== undefined)
      .map(({ n, week, news, planned: day }) => ({
        ...{ n, week, news },
        came: day?.people.flatMap(({ personId, away }) => (away ? [] : [personId])),
      })),
  )
  return { findings, attended }
}

function useWeeks(
  chosen: Readonly<{ value: Series | undefined }>,
  base: Readonly<{ value: Session | undefined }>,
  records: Readonly<{ value: readonly LedClassLine[] }>,
) {
  const own = useOwnStore()
  const planned = usePlannedClassesStore()
  const { sessions: sessionsOfOwn } = useSessionsById(
    () => chosen.value?.classes.flatMap(({ sessionId }) => sessionId ?? []) ?? [],
  )
  const documents = useLedDocuments(() => records.value.map(({ id }) => id))
  const chosenN = ref(1)
  const classes = computed((): readonly WeekOfSeries[] => {
    if (!chosen.value || !base.value) return []
    const days = daysOfRhythm(chosen.value)
    const sessions = sessionsOfOwn.value
    const made = classesOfSeries({
      ...{ series: chosen.value, base: base.value, days, catalog: own.catalog },
      own: (sessionId) => sessions.get(sessionId),
    })
    const { id } = chosen.value
    const plannedOf = (n: number) => planned.planned.find(({ series }) => series?.id === id && series.n === n)
    const { led, offered } = ledInWeeks(
      made.map(({ n, day, leftOut }) => ({ n, day, leftOut, ledClassId: plannedOf(n)?.ledClassId })),
      records.value.map((record) => ({ id: record.id, day: dayOf(Date.parse(record.startedAt)) })),
    )
    const today = dayOf(ports().epochMs())
    const recordOf = (recordId: string | undefined) => records.value.find((record) => record.id === recordId)
    return made.map((one) => {
      const record = recordOf(led.get(one.n))
      const asLed = record && documents.value.get(record.id)
      // What was led stays as it was led, whatever the base and a session of its own have become since.
      const mine = asLed ?? (one.sessionId === undefined ? undefined : sessionsOfOwn.value.get(one.sessionId))
      const session = mine ?? one.session
      const isGrown = !mine || isSame(mine.blocks, one.session.blocks)
      return {
        own: mine,
        ...{ ...one, session, grown: one.session, spine: smallSpine(session, isGrown ? one.news : [], own.catalog) },
        ...{ isPast: one.day < today, isAsLed: asLed !== undefined && !isGrown },
        ...{ planned: plannedOf(one.n), led: record, offered: recordOf(offered.get(one.n)) },
      }
    })
  })
  const names: NamesOfSeries = namesOfSeries(
    () => base.value,
    () => own.catalog,
  )
  return {
    ...{ classes, names, chosenN, ...useLooked(chosen, base, classes) },
    theClass: computed(() => classes.value.find(({ n }) => n === chosenN.value) ?? classes.value[0]),
  }
}
