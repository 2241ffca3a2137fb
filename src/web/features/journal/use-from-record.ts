import { nanoid } from 'nanoid'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import type { LedClass } from '#model/led-class'
import type { Session } from '#model/session'
import { asLed, classDrift, proposalsOf } from '#core/journal'
import type { Proposal } from '#core/journal'
import { dayOfMonth } from '#words/dates'
import { proposalWords } from '#words/drift'
import { markedName } from '#words/text'
import { whyNot } from '#web/shared/api/client.ts'
import { createSession, readSession } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** What a record gives the plan: a version as it was led, and changes that are taken one by one, each with undo. */
export function useFromRecord(led: LedClass) {
  const router = useRouter()
  const own = useOwnStore()
  const store = useSessionStore()
  const problem = ref('')
  const session = shallowRef<Session>()
  /** What was taken last, and the session after it. */
  const taken = shallowRef<{ readonly proposal: Proposal; readonly after: Session }>()
  onMounted(async () => {
    const [reply] = await Promise.all([readSession(led.sessionId), own.load()])
    if (reply.kind === 'ok') session.value = reply.value
  })
  const drift = classDrift(led)
  const now = computed(() => (store.document?.id === led.sessionId ? store.document : session.value))

  async function makeVersion(): Promise<void> {
    const was = asLed(led)
    if (!was) return
    const id = nanoid()
    const name = markedName(was.name, `, as led ${dayOfMonth(led.startedAt)}`)
    const reply = await createSession({ ...was, id, name, versionOf: { sessionId: led.sessionId } })
    if (reply.kind === 'ok') await router.push({ name: 'plan', params: { id } })
    else
      problem.value = whyNot(reply, 'Zovrin’s server does not answer, so no version was made. Start it and try again.')
  }
  async function take(proposal: Proposal): Promise<void> {
    problem.value = ''
    await store.open(led.sessionId)
    if (store.document?.id === led.sessionId && store.edit(proposal.mend.edit, proposalWords(proposal)))
      taken.value = { proposal, after: store.document }
    else problem.value = store.passed ?? 'The plan could not be changed: its session is not here any more.'
  }
  return {
    ...{ problem, taken, makeVersion, take },
    /** A record of the first edition does not say what each stretch was. */
    mayBeVersion: led.format === 2 && drift !== undefined,
    proposals: computed(() => (drift && now.value ? proposalsOf(now.value, [drift], own.catalog) : [])),
    /** The session's undo takes back what was done last: it is offered only while that is what was taken. */
    mayUndo: computed(() => taken.value !== undefined && store.document === taken.value.after),
    undo(): void {
      store.undo()
      taken.value = undefined
    },
  }
}
