import { nanoid } from 'nanoid'
import { useSessionStorage, watchDebounced } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import type { ComputedRef } from 'vue'
import { useRouter } from 'vue-router'
import { mostBlocks } from '#model/limits'
import { sessionSchemaVersion } from '#model/session'
import type { Session } from '#model/session'
import { insertEdits } from '#core/session'
import type { Edit } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { counted } from '#words/text'
import type { Chosen, PlanRead } from '#formats/plan-text/read-plan'
import { whyNot } from '#web/shared/api/client.ts'
import { createSession } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePastedText } from '#web/shared/session/pasted-text.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import type { PasteAnswer, PasteQuestion } from './paste-work.ts'

/** How long the hands rest before a text is read. */
const restMs = 150
/** More than any plan is. */
const mostCharacters = 100_000
const mostLines = 1000
/** As much of a text as is read. */
const readOf = (text: string): string => text.slice(0, mostCharacters).split('\n').slice(0, mostLines).join('\n')
export const isTooLong = (text: string): boolean => readOf(text) !== text

/** A plan as text, what was understood of it, and where it goes: into a session that is open, or a new one. */
export function usePaste(intoId: ComputedRef<string | undefined>) {
  const text = usePastedText()
  /** What was chosen for lines; it stands as long as the text does. */
  const chosen = useSessionStorage<[line: string, chosen: Chosen][]>('zovrin.pasted-chosen', [])
  const store = useSessionStore()
  const into = computed(() =>
    intoId.value !== undefined && store.document?.id === intoId.value ? store.document : undefined,
  )
  const { read, isBroken } = useReading(() => ({
    text: text.value,
    chosen: chosen.value,
    wanted: wantedOf(into.value),
  }))
  return {
    ...{ text, read, isBroken, into },
    choose(line: string, as: Chosen): void {
      chosen.value = [...chosen.value.filter(([one]) => one !== line.trim()), [line.trim(), as]]
    },
    ...useTaking({ read, into, forget: () => ([text.value, chosen.value] = ['', []]) }),
  }
}

const wantedOf = (session: Session | undefined): PasteQuestion['wanted'] =>
  session
    ? {
        ...(session.extent ? { extent: session.extent } : {}),
        ...(session.setting ? { setting: session.setting } : {}),
      }
    : {}

/** What a worker reads of a text when the hands rest; the answer to a former one comes too late. */
function useReading(asks: () => Omit<PasteQuestion, 'asked' | 'own'>) {
  const own = useOwnStore()
  const read = shallowRef<PlanRead>()
  const isBroken = ref(false)
  let asked = 0
  const worker = new Worker(new URL('./paste-worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = ({ data }: MessageEvent<PasteAnswer>) => {
    if (data.asked === asked) read.value = data.read
  }
  worker.onerror = () => (isBroken.value = true)
  void own.load()
  watchDebounced(
    () => ({ ...asks(), own: own.things }),
    (now) => {
      asked += 1
      // What is watched over by Vue cannot be sent to a worker; its plain copy can.
      const question = { asked, ...now, text: readOf(now.text) } satisfies PasteQuestion
      worker.postMessage(JSON.parse(JSON.stringify(question)))
    },
    { debounce: restMs, immediate: true },
  )
  onScopeDispose(() => {
    worker.terminate()
  })
  return { read, isBroken }
}

interface Taken {
  readonly read: Readonly<{ value: PlanRead | undefined }>
  readonly into: Readonly<{ value: Session | undefined }>
  /** The text is taken: it has done its work. */
  readonly forget: () => void
}

/** Making a session of what was understood, or putting it into the one that is open, as one step to undo. */
function useTaking({ read, into, forget }: Taken) {
  const own = useOwnStore()
  const store = useSessionStore()
  const router = useRouter()
  const refused = ref('')
  const made = computed(() => (read.value ? sessionOf(read.value, own.catalog.schools) : undefined))
  /** What it comes to by itself. */
  const timeline = computed(() => {
    const compiled = made.value && compileTimeline(made.value, own.catalog)
    return compiled?.ok ? compiled.value : undefined
  })
  async function makeSession(): Promise<void> {
    if (!made.value) return
    const session = withNewIds(made.value)
    const reply = await createSession(session)
    if (reply.kind !== 'ok') {
      refused.value = whyNot(reply, away)
      return
    }
    forget()
    await router.push({ name: 'plan', params: { id: session.id } })
  }
  async function putInto(): Promise<void> {
    if (!into.value || !made.value) return
    const { blocks, purpose } = withNewIds(made.value)
    const what = counted(blocks.length, 'block')
    const isDone = store.edit(intoEdit(into.value, { blocks, purpose }, store.chosenId), `paste a plan of ${what}`)
    refused.value = isDone ? '' : (store.passed ?? '')
    if (!isDone) return
    forget()
    await router.push({ name: 'plan', params: { id: into.value.id } })
  }
  return {
    made,
    timeline,
    refused,
    tooMany: computed(() => (made.value?.blocks.length ?? 0) > mostBlocks),
    makeSession,
    putInto,
  }
}

const away = 'Zovrin’s server does not answer: the text stays here. Start it and try again.'

function sessionOf({ blocks, head }: PlanRead, schools: ReadonlyMap<string, unknown>): Session {
  const { practice = 'mixed' } = head
  return {
    ...{ schema: sessionSchemaVersion, id: 'pasted', name: 'Pasted plan', practice, level: 'regular', lengthS: 3600 },
    ...{ schoolId: schools.has(practice) ? practice : 'mixed' },
    ...head,
    blocks: [...blocks],
  }
}

const withNewIds = (session: Session): Session => ({
  ...session,
  id: nanoid(),
  blocks: session.blocks.map((block) => ({ ...block, id: nanoid() })),
})

/** After the chosen block, else before the closing; what was said of the whole joins the session's own purpose. */
function intoEdit(
  session: Session,
  { blocks, purpose }: Pick<Session, 'blocks' | 'purpose'>,
  chosenId: string | undefined,
): Edit {
  const after = session.blocks.findIndex(({ id }) => id === chosenId)
  const edits = insertEdits(session, blocks, after < 0 ? session.blocks.length : after + 1)
  const both = [session.purpose, purpose].filter((one) => one !== undefined && one !== '').join('\n')
  return {
    type: 'several',
    edits: purpose === undefined ? edits : [...edits, { type: 'details', details: { purpose: both } }],
  }
}
