import { useSessionStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import { dayOf } from '#words/class-days'
import type { Reply } from '#web/shared/api/client.ts'
import { listPlannedClasses, removePlannedClass, writePlannedClass } from '#web/shared/api/planned-classes.ts'
import { ports } from '#web/shared/ports.ts'
import { turns } from '#web/shared/saving/turns.ts'

const away = 'Zovrin’s server does not answer: nothing was changed. Start it and try again.'

/** For which class each session is opened in this window; nothing for none, where that was chosen. */
const opened = useSessionStorage('zovrin.class', new Map<string, string>())

const byTime = (a: PlannedClass, b: PlannedClass): number =>
  `${a.day} ${a.startsAt ?? ''}`.localeCompare(`${b.day} ${b.startsAt ?? ''}`)

/** The classes that are planned, and for which of them each session is opened; each change is written at once. */
export const usePlannedClassesStore = defineStore('planned-classes', () => {
  const all = shallowRef<readonly KeptPlannedClass[]>([])
  /** Why the last change did not come about; nothing where it did. */
  const problem = shallowRef('')
  const { act, isWaiting } = turns()
  const planned = computed(() => all.value.map((kept) => kept.planned).sort(byTime))
  let changes = 0

  async function load(): Promise<void> {
    const before = changes
    const reply = await listPlannedClasses()
    if (reply.kind !== 'ok' || changes !== before) return
    if (JSON.stringify(reply.value) !== JSON.stringify(all.value)) all.value = reply.value
  }
  function show(id: string, kept: KeptPlannedClass | undefined): void {
    changes += 1
    const others = all.value.filter((one) => one.planned.id !== id)
    all.value = kept ? [...others, kept] : others
  }
  const versionOf = (id: string): number => all.value.find((one) => one.planned.id === id)?.version ?? 0
  async function settle(reply: Reply<unknown>): Promise<boolean> {
    problem.value = reply.kind === 'ok' ? '' : reply.kind === 'problem' ? reply.problem.detail : away
    // What was shown before it was written is read anew where it was not.
    if (reply.kind === 'problem' && !isWaiting()) await load()
    return reply.kind === 'ok'
  }
  const toComeOf = (sessionId: string): readonly PlannedClass[] => {
    const today = dayOf(ports().epochMs())
    return planned.value.filter((one) => one.sessionId === sessionId && one.day >= today && !one.ledClassId)
  }
  return {
    ...{ planned, problem, load, toComeOf },
    /** The class a session is opened for: the one that was chosen, else the next to come. */
    openFor(sessionId: string): PlannedClass | undefined {
      const chosen = opened.value.get(sessionId)
      if (chosen === '') return undefined
      return planned.value.find(({ id }) => id === chosen) ?? toComeOf(sessionId)[0]
    },
    openWith(sessionId: string, id: string | undefined): void {
      opened.value.set(sessionId, id ?? '')
    },
    put(changed: PlannedClass): Promise<boolean> {
      const former = all.value.find((one) => one.planned.id === changed.id)
      show(changed.id, { planned: changed, version: versionOf(changed.id) })
      return act(async () => {
        const reply = await writePlannedClass(changed, versionOf(changed.id))
        const now = all.value.find((one) => one.planned.id === changed.id)
        if (reply.kind === 'ok') show(changed.id, { planned: now?.planned ?? changed, version: reply.value.version })
        else if (reply.kind === 'away') show(changed.id, former)
        return settle(reply)
      })
    },
    remove: (id: string): Promise<boolean> =>
      act(async () => {
        const reply = await removePlannedClass(id, versionOf(id))
        if (reply.kind === 'ok') show(id, undefined)
        return settle(reply)
      }),
  }
})
