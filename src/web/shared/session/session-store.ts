import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Ref, ShallowRef } from 'vue'
import type { Edit } from '#core/session'
import type { Session } from '#model/session'
import { refusalSentence } from '#words/refusals'
import { setAsideSession } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { compiledOf, limitPassed } from './compiled.ts'
import { rememberOpened } from './last-opened.ts'
import { editSession, openAgain, openSession, settled, turnStep } from './open-session.ts'
import type { NotHere, OpenSession } from './open-session.ts'
import { emptyStacks } from './undo.ts'

/** Sessions this window has worked on: each keeps its undo, and goes on saving while another one is looked at. */
const worked = new Map<string, OpenSession>()

/** The session being worked on in this window: its document, timeline, undo, and where it is saved. */
export const useSessionStore = defineStore('session', () => {
  const shown = shallowRef<OpenSession>()
  const chosenId = ref<string>()
  const views = viewsOf(shown)
  const { passed, mayBe } = limitsOf()

  /** Keeps the session as it stands now in its history; with the server away there is nothing to keep. */
  async function keepInHistory(reason: 'lead' | 'fit' | 'version'): Promise<void> {
    const saving = shown.value?.saver.saving.value
    if (saving) await setAsideSession(saving.document, saving.based, reason)
  }

  return {
    ...views,
    ...openingOf(shown, chosenId),
    chosenId,
    chosen: computed(() => views.document.value?.blocks.find((block) => block.id === chosenId.value)),
    /** Why the last edit was refused, where it would have gone past a limit. */
    passed,
    edit: (change: Edit, words: string) => shown.value !== undefined && editSession(shown.value, change, words, mayBe),
    undo: () => shown.value && turnStep(shown.value, true),
    redo: () => shown.value && turnStep(shown.value, false),
    keepMine: () => shown.value?.saver.tell({ type: 'keep mine' }),
    takeTheirs: () => shown.value?.saver.tell({ type: 'take theirs' }),
    keepInHistory,
  }
})

interface Opening {
  readonly id: string
  readonly opened: Promise<void>
}

/** Opening a session in this window and looking away from it. */
function openingOf(shown: ShallowRef<OpenSession | undefined>, chosenId: Ref<string | undefined>) {
  const own = useOwnStore()
  const opening = ref<'idle' | 'opening' | NotHere | 'away'>('idle')
  /** The session that was asked for last, and the opening of it: asked for twice, it is opened once. */
  let wanted: Opening | undefined

  function open(id: string): Promise<void> {
    if (wanted?.id === id && (shown.value?.id === id || opening.value === 'opening')) return wanted.opened
    leave()
    opening.value = 'opening'
    const now: Opening = { id, opened: openAnew(id, () => wanted === now) }
    wanted = now
    return now.opened
  }
  /** Opens a session; a reply that comes when another is asked for comes too late, and saves nothing. */
  async function openAnew(id: string, isWanted: () => boolean): Promise<void> {
    const here = worked.get(id)
    const [session] = await Promise.all([here ? openAgain(here) : openSession(id), own.load()])
    if (!isWanted()) return
    if (typeof session === 'string') {
      opening.value = session
      if (session === 'missing') rememberOpened(null)
      return
    }
    worked.set(id, session)
    shown.value = session
    opening.value = 'idle'
    rememberOpened(id)
    session.saver.start()
  }

  /** Looks away from the session, which goes on saving. */
  function leave(): OpenSession | undefined {
    const left = shown.value
    left?.saver.tell({ type: 'closed' })
    shown.value = undefined
    wanted = undefined
    chosenId.value = undefined
    return left
  }
  /** Closes it for good, since its document is about to be changed from elsewhere. */
  async function close(): Promise<void> {
    const left = leave()
    if (!left) return
    worked.delete(left.id)
    await settled(left)
  }
  return { opening, open, close }
}

/** The limits no edit may go past, and what was said of the last one that would have. */
function limitsOf() {
  const own = useOwnStore()
  const passed = ref<string>()
  return {
    passed,
    mayBe: (before: Session, after: Session): boolean => {
      const refusal = limitPassed(before, after, own.catalog)
      passed.value = refusal && refusalSentence(refusal)
      return refusal === undefined
    },
  }
}

/** What is seen of the open session. */
function viewsOf(shown: Readonly<ShallowRef<OpenSession | undefined>>) {
  const own = useOwnStore()
  const saving = computed(() => shown.value?.saver.saving.value)
  const document = computed(() => saving.value?.document)
  const compiled = computed(() => document.value && compiledOf(document.value, own.catalog))
  return {
    document,
    timeline: computed(() => (compiled.value?.ok ? compiled.value.value : undefined)),
    state: computed(() => saving.value?.status ?? 'saved'),
    /** What the server said where it refused the document. */
    refusal: computed(() => saving.value?.refusal ?? undefined),
    /** Another window's version, to be chosen between; and whether the choice is on its way. */
    theirs: computed(() => saving.value?.theirs?.document),
    isChoosing: computed(() => (saving.value ? saving.value.out !== null : false)),
    /** The browser does not keep what is unsaved: it lives in this window only. */
    draftFailed: computed(() => saving.value?.draftFailed ?? false),
    /** The server has no room to write: what is edited stays in this browser until it has. */
    isDiskFull: computed(() => saving.value?.isDiskFull ?? false),
    stacks: computed(() => shown.value?.stacks.value ?? emptyStacks),
  }
}
