import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Problem } from '#model/problem'
import type { Session } from '#model/session'
import { applyEdit } from '#core/session'
import type { Edit } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { readSession, saveSession, setAsideSession } from '#web/shared/api/sessions.ts'
import { browserTimers, makeAutosave } from './autosave.ts'
import type { Autosave, SaveOutcome, SaveState } from './autosave.ts'
import { draftsOf, dropDraft, knownSession, putDraft, putKnown } from './drafts.ts'
import type { Draft } from './drafts.ts'
import { rememberOpened } from './last-opened.ts'
import { emptyStacks, popDone, popUndone, pushStep } from './undo.ts'
import { windowId, windowIsOpen } from './window-id.ts'

/** The other window's version, when a save was refused because of it. */
export interface Conflict {
  readonly theirs: Session
  readonly theirVersion: number
}

/** The session being worked on in this window: its document, timeline, undo, and where it is saved. */
export const useSessionStore = defineStore('session', () => {
  const own = useOwnStore()
  const document = shallowRef<Session>()
  const state = ref<SaveState>('saved')
  const opening = ref<'idle' | 'opening' | 'missing' | 'away'>('idle')
  const problem = shallowRef<Problem>()
  const conflict = shallowRef<Conflict>()
  const stacks = shallowRef(emptyStacks)
  const chosenId = ref<string>()
  let based = 0
  let saved: Session | undefined
  let autosave: Autosave | undefined
  let writing: Promise<void> = Promise.resolve()

  const compiled = computed(() => (document.value ? compileTimeline(document.value, own.catalog) : undefined))
  const timeline = computed(() => (compiled.value?.ok ? compiled.value.value : undefined))
  const chosen = computed(() => document.value?.blocks.find((block) => block.id === chosenId.value))

  async function open(id: string): Promise<void> {
    if (document.value?.id === id) return
    await close()
    opening.value = 'opening'
    autosave = makeAutosave(attempt, (next) => (state.value = next), browserTimers)
    const [draft, reply] = await Promise.all([draftFor(id), readSession(id), own.load()])
    if (reply.kind === 'ok') {
      await putKnown(reply.value, reply.version)
      begin(reply.value, reply.version, draft)
    } else if (reply.kind === 'problem') {
      opening.value = 'missing'
      rememberOpened(null)
    } else {
      await beginAway(id, draft)
    }
  }

  /** Starts from the server's document, or from a draft over it where there is one. */
  function begin(theirs: Session, version: number, draft: Draft | undefined): void {
    show(draft?.document ?? theirs)
    saved = theirs
    based = draft?.based ?? version
    if (!draft) return
    if (draft.based === version) {
      autosave?.resume('waiting')
      return
    }
    conflict.value = { theirs, theirVersion: version }
    state.value = 'conflict'
  }

  async function beginAway(id: string, draft: Draft | undefined): Promise<void> {
    const known = await knownSession(id)
    const kept = draft?.document ?? known?.document
    if (!kept) {
      opening.value = 'away'
      return
    }
    show(kept)
    based = draft?.based ?? known?.version ?? 0
    if (draft) autosave?.resume('waiting')
  }

  function show(next: Session): void {
    document.value = next
    stacks.value = emptyStacks
    opening.value = 'idle'
    rememberOpened(next.id)
  }

  async function close(): Promise<void> {
    await autosave?.flush()
    autosave?.stop()
    document.value = undefined
    conflict.value = undefined
    problem.value = undefined
    chosenId.value = undefined
    state.value = 'saved'
  }

  /** Does an edit as one undo step; false when it cannot be. */
  function edit(change: Edit, words: string): boolean {
    if (!document.value) return false
    const done = applyEdit(document.value, change)
    if (!done.ok) return false
    if (done.value.session === document.value) return true
    stacks.value = pushStep(stacks.value, { inverse: done.value.inverse, words })
    changed(done.value.session)
    return true
  }

  function changed(next: Session): void {
    document.value = next
    writeDraft()
    autosave?.touch()
  }

  function undo(): string | undefined {
    const step = stacks.value.done.at(-1)
    return step && turn(step.inverse, (inverse) => popDone(stacks.value, { inverse, words: step.words }), step.words)
  }

  function redo(): string | undefined {
    const step = stacks.value.undone.at(-1)
    return step && turn(step.inverse, (inverse) => popUndone(stacks.value, { inverse, words: step.words }), step.words)
  }

  function turn(change: Edit, next: (inverse: Edit) => typeof emptyStacks, words: string): string | undefined {
    if (!document.value) return undefined
    const done = applyEdit(document.value, change)
    if (!done.ok) return undefined
    stacks.value = next(done.value.inverse)
    changed(done.value.session)
    return words
  }

  /** The draft follows every edit, one write after the other, so that a reload loses nothing. */
  function writeDraft(): void {
    writing = writing.then(async () => {
      const current = document.value
      if (!current || current === saved) return
      const draft = { sessionId: current.id, document: current, based, atMs: Date.now() }
      await putDraft({ ...draft, windowId: await windowId() })
    })
  }

  async function attempt(): Promise<SaveOutcome> {
    const sent = document.value
    if (!sent) return 'saved'
    const reply = await saveSession(sent, based)
    if (reply.kind === 'ok') return kept(sent, reply.version)
    if (reply.kind === 'away') return 'away'
    if (reply.problem.code === 'VERSION_STALE') return meet(sent.id)
    if (reply.problem.status >= 500) return 'away'
    problem.value = reply.problem
    return 'refused'
  }

  async function kept(sent: Session, version: number): Promise<SaveOutcome> {
    based = version
    saved = sent
    problem.value = undefined
    await putKnown(sent, version)
    await writing
    if (document.value === sent) await dropDraft(sent.id, await windowId())
    else writeDraft()
    return 'saved'
  }

  /** Fetches the version that was saved meanwhile, for the choice between the two. */
  async function meet(id: string): Promise<SaveOutcome> {
    const reply = await readSession(id)
    if (reply.kind !== 'ok') return 'away'
    conflict.value = { theirs: reply.value, theirVersion: reply.version }
    return 'conflict'
  }

  /** Mine is saved over theirs, which goes to history. */
  async function keepMine(): Promise<void> {
    const mine = document.value
    if (!mine || !conflict.value) return
    const reply = await saveSession(mine, conflict.value.theirVersion, 'conflict')
    if (reply.kind === 'ok') {
      conflict.value = undefined
      await kept(mine, reply.version)
      autosave?.resume(document.value === mine ? 'saved' : 'waiting')
    } else if (reply.kind === 'problem') {
      await meet(mine.id)
    }
  }

  /** Theirs is taken; mine goes to history. */
  async function takeTheirs(): Promise<void> {
    const mine = document.value
    const other = conflict.value
    if (!mine || !other) return
    const reply = await setAsideSession(mine, based, 'conflict')
    if (reply.kind !== 'ok') return
    conflict.value = undefined
    show(other.theirs)
    await kept(other.theirs, other.theirVersion)
    autosave?.resume('saved')
  }

  /** Keeps the session as it stands now in its history; with the server away there is nothing to keep. */
  async function keepInHistory(reason: 'lead' | 'fit' | 'version'): Promise<void> {
    if (document.value) await setAsideSession(document.value, based, reason)
  }

  return {
    document,
    timeline,
    state,
    opening,
    problem,
    conflict,
    chosenId,
    chosen,
    stacks,
    open,
    close,
    edit,
    undo,
    redo,
    keepMine,
    takeTheirs,
    keepInHistory,
  }
})

/** This window's own draft, else the newest of a window that was closed; those of open windows are theirs. */
async function draftFor(sessionId: string): Promise<Draft | undefined> {
  const mine = await windowId()
  const drafts = await draftsOf(sessionId)
  const own = drafts.find((draft) => draft.windowId === mine)
  if (own) return own
  for (const draft of drafts) {
    if (await windowIsOpen(draft.windowId)) continue
    await putDraft({ ...draft, windowId: mine })
    await dropDraft(sessionId, draft.windowId)
    return draft
  }
  return undefined
}
