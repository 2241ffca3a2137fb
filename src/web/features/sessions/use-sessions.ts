import { nanoid } from 'nanoid'
import { computed, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import type { Session } from '#model/session'
import type { Problem } from '#model/problem'
import { foldMarks } from '#core/units'
import { counted } from '#words/text'
import type { Reply } from '#web/shared/api/client.ts'
import { exportSession, importEnvelope } from '#web/shared/api/exchange.ts'
import { createSession, listSessions, readSession, saveSession, setSessionState } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { allKnown, keepOnlyKnown } from '#web/shared/session/drafts.ts'
import { lastOpenedId, rememberOpened } from '#web/shared/session/last-opened.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { download, fileName } from '#web/shared/ui/download.ts'

export type Shown = 'sessions' | 'templates' | 'away'

const noAnswer = 'Zovrin’s server does not answer: nothing was changed. Start it and try again.'

/** The list of sessions and everything done to one as a whole, with what it says and a way back. */
export function useSessions() {
  const router = useRouter()
  const store = useSessionStore()
  const lines = shallowRef<readonly SessionLine[]>([])
  const state = ref<'opening' | 'ready' | 'away'>('opening')
  const shown = ref<Shown>('sessions')
  const wanted = ref('')
  const practice = ref('')
  /** What was done last, with the way back where there is one. */
  const told = shallowRef<{ words: string; undo?: () => Promise<void> }>()
  const problems = shallowRef<readonly string[]>([])

  async function load(): Promise<void> {
    const reply = await listSessions()
    if (reply.kind === 'ok') {
      lines.value = reply.value
      state.value = 'ready'
      // What cannot be forgotten here is only offered again; nothing is lost by it.
      await keepOnlyKnown(new Set(reply.value.map(({ id }) => id))).catch(() => undefined)
      return
    }
    // With the server away, what this browser has seen can still be opened.
    lines.value = (await allKnown()).map(({ document }) => ({
      ...document,
      savedAt: '',
      archived: false,
      template: false,
      lastLed: null,
    }))
    state.value = 'away'
  }

  const fits = (line: SessionLine): boolean => {
    const where = line.archived ? 'away' : line.template ? 'templates' : 'sessions'
    const named = foldMarks(wanted.value)
      .split(/\s+/)
      .every((word) => foldMarks(line.name).includes(word))
    return where === shown.value && named && (practice.value === '' || line.practice === practice.value)
  }
  const found = computed(() => lines.value.filter(fits))
  const counts = computed(() => ({
    sessions: lines.value.filter(({ archived, template }) => !archived && !template).length,
    templates: lines.value.filter(({ archived, template }) => !archived && template).length,
    away: lines.value.filter(({ archived }) => archived).length,
  }))

  /** True when it went well; else says why not. */
  function settled(reply: Reply<unknown>): boolean {
    problems.value = reply.kind === 'ok' ? [] : reply.kind === 'away' ? [noAnswer] : mendsOf(reply.problem)
    return reply.kind === 'ok'
  }
  const mendsOf = (problem: Problem): string[] => problem.refusals?.map(({ sentence }) => sentence) ?? [problem.detail]

  /** Keeps a session that is complete, and goes to it in Plan. */
  async function open(session: Session): Promise<void> {
    if (settled(await createSession(session))) await router.push({ name: 'plan', params: { id: session.id } })
  }

  const begin = (): Promise<void> =>
    open({
      schema: 1,
      id: nanoid(),
      name: 'New session',
      practice: 'mixed',
      level: 'regular',
      lengthS: 3600,
      schoolId: 'mixed',
      blocks: [],
    })

  /** A new session that begins as a copy of a template. */
  const beginFrom = (template: Session): Promise<void> => open({ ...structuredClone(template), id: nanoid() })

  async function documentOf(line: SessionLine): Promise<{ document: Session; version: number } | undefined> {
    const reply = await readSession(line.id)
    return settled(reply) && reply.kind === 'ok' ? { document: reply.value, version: reply.version } : undefined
  }
  async function beginFromOwn(line: SessionLine): Promise<void> {
    const read = await documentOf(line)
    if (read) await beginFrom(read.document)
  }

  async function duplicate(line: SessionLine): Promise<void> {
    const read = await documentOf(line)
    if (!read) return
    const copy = { ...read.document, id: nanoid(), name: `${line.name.slice(0, 113)}, copy` }
    if (!settled(await createSession(copy))) return
    told.value = {
      words: `${line.name} duplicated`,
      undo: () => change(copy.id, { deleted: true }, 'The copy is gone again'),
    }
    await load()
  }

  async function rename(line: SessionLine, name: string): Promise<void> {
    if (name.trim() === '' || name.trim() === line.name) return
    // An open session is renamed in its window, so that its undo and its saving know of it.
    await store.close()
    const read = await documentOf(line)
    if (!read) return
    if (!settled(await saveSession({ ...read.document, name: name.trim() }, read.version))) return
    told.value = {
      words: `${line.name} is now called ${name.trim()}`,
      undo: () => rename({ ...line, name: name.trim() }, line.name),
    }
    await load()
  }

  async function change(
    id: string,
    next: { archived?: boolean; template?: boolean; deleted?: boolean },
    words: string,
    back?: () => Promise<void>,
  ): Promise<void> {
    if (store.document?.id === id && next.deleted) await store.close()
    if (!settled(await setSessionState(id, next))) return
    if (next.deleted && lastOpenedId() === id) rememberOpened(null)
    told.value = back ? { words, undo: back } : { words }
    await load()
  }
  const archive = ({ id, name }: SessionLine, archived: boolean) =>
    change(id, { archived }, archived ? `${name} is put away` : `${name} is back in the list`, () =>
      change(id, { archived: !archived }, archived ? `${name} is back in the list` : `${name} is put away`),
    )
  const makeTemplate = ({ id, name }: SessionLine, template: boolean) =>
    change(id, { template }, template ? `${name} is a template now` : `${name} is a session again`, () =>
      change(id, { template: !template }, template ? `${name} is a session again` : `${name} is a template now`),
    )
  const remove = ({ id, name }: SessionLine) =>
    change(id, { deleted: true }, `${name} is deleted`, () => change(id, { deleted: false }, `${name} is back`))

  async function exportOne({ id, name }: SessionLine): Promise<void> {
    const reply = await exportSession(id)
    if (settled(reply) && reply.kind === 'ok')
      download(JSON.stringify(reply.value, null, 2), fileName(name, 'zovrin.json'), 'application/json')
  }

  async function importFile(file: File): Promise<void> {
    let envelope: unknown
    try {
      envelope = JSON.parse(await file.text())
    } catch {
      problems.value = [
        `${file.name} is not JSON: choose a file that Zovrin wrote, or one made to its published schema.`,
      ]
      return
    }
    const reply = await importEnvelope(envelope)
    if (!settled(reply) || reply.kind !== 'ok') return
    const { sessions, alreadyHere, own, blocks } = reply.value
    const parts = [
      ...(sessions.length > 0 ? [`${counted(sessions.length, 'session')} added`] : []),
      ...(alreadyHere.length > 0 ? [`${counted(alreadyHere.length, 'session')} here already, word for word`] : []),
      ...(own.length > 0 ? [`${counted(own.length, 'own thing')} added to the shelf`] : []),
      ...(blocks.length > 0 ? ['the file holds copied blocks: paste them into a session instead'] : []),
    ]
    told.value = { words: `${file.name}: ${parts.join(', ')}` }
    shown.value = 'sessions'
    await load()
  }

  return {
    lines,
    state,
    shown,
    wanted,
    practice,
    found,
    counts,
    told,
    problems,
    load,
    open,
    begin,
    beginFrom,
    beginFromOwn,
    duplicate,
    rename,
    archive,
    makeTemplate,
    remove,
    exportOne,
    importFile,
  }
}
