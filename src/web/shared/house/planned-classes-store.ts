import { useSessionStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { HandedClass } from '#model/handed-file'
import type { HandOver, HandOverByFile, PlannedClass } from '#model/planned-class'
import { dayOf } from '#words/class-days'
import { whyNot } from '#web/shared/api/client.ts'
import type { Reply } from '#web/shared/api/client.ts'
import {
  handOverClass,
  handOverClassByFile,
  listPlannedClasses,
  removePlannedClass,
  takeClassBack,
  writePlannedClass,
} from '#web/shared/api/planned-classes.ts'
import { ports } from '#web/shared/ports.ts'
import { keptDocuments } from '#web/shared/saving/kept-documents.ts'

/** For which class each session is opened in this window; nothing for none, where that was chosen. */
const opened = useSessionStorage('zovrin.class', new Map<string, string>())

const byTime = (a: PlannedClass, b: PlannedClass): number =>
  `${a.day} ${a.startsAt ?? ''}`.localeCompare(`${b.day} ${b.startsAt ?? ''}`)

/** The classes that are planned, and for which of them each session is opened; each change is written at once. */
export const usePlannedClassesStore = defineStore('planned-classes', () => {
  const { documents, load, problem, steps, undo, put, remove, versionOf } = keptDocuments({
    list: listPlannedClasses,
    write: writePlannedClass,
    remove: removePlannedClass,
  })
  const planned = computed(() => documents.value.toSorted(byTime))
  const toComeOf = (sessionId: string): readonly PlannedClass[] => {
    const today = dayOf(ports().epochMs())
    return planned.value.filter((one) => one.sessionId === sessionId && one.day >= today && !one.ledClassId)
  }
  /** What the server does to a class is read again; says why it did not come about, or nothing. */
  async function done(asked: Promise<Reply<unknown>>): Promise<string> {
    const reply = await asked
    await load()
    return reply.kind === 'ok' ? '' : whyNot(reply)
  }
  return {
    handOver: (id: string, to: HandOver) => done(handOverClass(id, to, versionOf(id))),
    /** The file for whoever leads it, or why there is none. */
    async handOverByFile(id: string, to: HandOverByFile): Promise<HandedClass | string> {
      const reply = await handOverClassByFile(id, to, versionOf(id))
      await load()
      return reply.kind === 'ok' ? reply.value.file : whyNot(reply)
    },
    takeBack: (id: string) => done(takeClassBack(id, versionOf(id))),
    /** Those one leads in a colleague's place, to come. */
    inPlaceOf: computed(() =>
      planned.value.filter((one) => one.handedFrom && !one.ledClassId && one.day >= dayOf(ports().epochMs())),
    ),
    ...{ planned, problem, steps, undo, load, toComeOf, put, remove },
    /** The class a session is opened for: the one that was chosen, else the next to come. */
    openFor(sessionId: string): PlannedClass | undefined {
      const chosen = opened.value.get(sessionId)
      if (chosen === '') return undefined
      return planned.value.find(({ id }) => id === chosen) ?? toComeOf(sessionId)[0]
    },
    openWith(sessionId: string, id: string | undefined): void {
      opened.value.set(sessionId, id ?? '')
    },
  }
})
