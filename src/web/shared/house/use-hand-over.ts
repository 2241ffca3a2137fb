import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import { handedForms } from '#words/forms'
import { takeHandedRecord } from '#web/shared/api/handed.ts'
import { whyNot } from '#web/shared/api/client.ts'
import { useWho } from '#web/shared/people/use-who.ts'
import { ports } from '#web/shared/ports.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'
import { useColleagues } from '#web/shared/teachers/use-colleagues.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'

/** The choice of somebody who has no account here. */
export const byFile = ''
const aFile = { value: byFile, words: 'Somebody else, by a file' }

/** How one calls oneself to those one hands a class to; where there are teachers they have names. */
function useGiver() {
  const who = useWhoStore()
  const called = useLocalStorage(itsOwn('zovrin.called'), '')
  const from = computed({
    get: () => who.teacher?.name ?? called.value,
    set: (name: string) => (called.value = name),
  })
  return { from, isAlone: computed(() => who.kind === 'alone') }
}

/** What goes along of a class of the open session, to a colleague and into a file. */
function useGoesAlong(planned: () => PlannedClass, from: Readonly<Ref<string>>) {
  const classes = usePlannedClassesStore()
  const session = useSessionStore()
  /** What each takes goes along as it stands here: nobody else could work it out, who is not told why. */
  const { through } = useWho(() =>
    session.document && session.timeline ? { document: session.document, timeline: session.timeline } : undefined,
  )
  const said = (words: string | undefined) => ({
    forms: handedForms(through.value, new Date(ports().epochMs()).toISOString()),
    ...(words === undefined ? {} : { words }),
  })
  return {
    toColleague: (to: string, words: string | undefined) => classes.handOver(planned().id, { to, ...said(words) }),
    async intoFile({ name, words }: To): Promise<string> {
      const giver = from.value.trim() || 'A colleague'
      const file = await classes.handOverByFile(planned().id, { name, from: giver, ...said(words) })
      if (typeof file === 'string') return file
      const title = `${session.document?.name ?? ''} ${planned().day} for ${name}`
      download(JSON.stringify(file, null, 2), fileName(title, 'zovrin.json'), 'application/json')
      return ''
    },
  }
}

/** Handing the class of the open session over for its day, and the ways back. */
export function useHandOver(planned: () => PlannedClass) {
  const classes = usePlannedClassesStore()
  const { colleagues, choices, to, mend: notAsked, ask: askColleagues, close } = useColleagues()
  const { from, isAlone } = useGiver()
  const goes = useGoesAlong(planned, from)
  const isOpen = ref(false)
  const [mend, isAsked] = [ref(''), ref(false)]

  /** Does one thing at a time; true where it came about. */
  async function acted(act: () => Promise<string>): Promise<boolean> {
    isAsked.value = true
    mend.value = await act()
    isAsked.value = false
    return mend.value === ''
  }
  const shut = (): void => {
    isOpen.value = false
    close()
  }
  return {
    state: computed(() => (isOpen.value && (isAlone.value || colleagues.value) ? 'open' : 'closed')),
    choices: computed(() => [...choices.value, aFile]),
    mend: computed(() => mend.value || notAsked.value),
    ...{ to, from, isAsked, isAlone, close: shut },
    async ask(): Promise<void> {
      isOpen.value = true
      if (isAlone.value) to.value = byFile
      else await askColleagues()
    },
    async over(asked: To): Promise<boolean> {
      const { value } = to
      const isDone = await acted(() => (value === byFile ? goes.intoFile(asked) : goes.toColleague(value, asked.words)))
      if (isDone) shut()
      return isDone
    },
    /** The same file anew, as things stand now. */
    again: (asked: To) => acted(() => goes.intoFile(asked)),
    takeBack: () => acted(() => classes.takeBack(planned().id)),
    /** The record of it, as whoever led it sent it. */
    takeRecord: (text: string) =>
      acted(() => {
        // It is none of those to come any more, and stays in sight.
        classes.openWith(planned().sessionId, planned().id)
        return recordTaken(text, classes.load)
      }),
  }
}

async function recordTaken(text: string, load: () => Promise<void>): Promise<string> {
  const record = parsed(text)
  if (record === undefined) return 'This file is not JSON: choose the record that was sent to you.'
  const reply = await takeHandedRecord(record)
  await load()
  return reply.kind === 'ok' ? '' : whyNot(reply)
}

/** Whoever leads it, by name, and what they should know. */
interface To {
  readonly name: string
  readonly words: string | undefined
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
