import { computed, shallowRef } from 'vue'
import type { Reply } from '#web/shared/api/client.ts'
import { turns } from './turns.ts'

/** A document as the server keeps it: with the version that guards its writes. */
export interface KeptDocument<D> {
  readonly document: D
  readonly version: number
}

/** How one kind of kept document is read and written. */
export interface KeptApi<D> {
  readonly list: () => Promise<Reply<readonly KeptDocument<D>[]>>
  readonly write: (document: D, based: number) => Promise<Reply<{ readonly version: number }>>
  readonly remove: (id: string, based: number) => Promise<Reply<unknown>>
}

const mostSteps = 200
const away = 'Zovrin’s server does not answer: nothing was changed. Start it and try again.'
const unsavedWords = 'Zovrin’s server does not answer: what you changed is kept in this window alone until it does.'

/**
 * Documents that are written one by one, at once: what was changed stands there before it is written, goes back where it
 * was refused, and can be taken back afterwards. What is known at first may come from elsewhere (`known`) and is told on
 * whenever it was read (`onRead`). With `keepsUnsaved` what could not be written stays as it was typed, to be tried again.
 */
export function keptDocuments<D extends { readonly id: string }>(
  api: KeptApi<D>,
  { known = [], onRead, keepsUnsaved = false, readsAgain = false }: KeptOptions<D> = {},
) {
  const all = shallowRef(known)
  /** Documents as they stood before each change, the last first to come back. */
  const steps = shallowRef<readonly D[]>([])
  /** What is shown and could not be written. */
  const unsaved = shallowRef<ReadonlySet<string>>(new Set())
  /** Why the last change did not come about; nothing where it did. */
  const problem = shallowRef('')
  const { act, isWaiting } = turns()
  /** How often anything was changed here: what was asked for before a change is older than it. */
  let changes = 0

  const find = (id: string): KeptDocument<D> | undefined => all.value.find(({ document }) => document.id === id)
  const versionOf = (id: string): number => find(id)?.version ?? 0
  function show(id: string, kept: KeptDocument<D> | undefined): void {
    changes += 1
    const isThere = find(id) !== undefined
    all.value = isThere
      ? all.value.flatMap((one) => (one.document.id !== id ? [one] : kept ? [kept] : []))
      : [...all.value, ...(kept ? [kept] : [])]
  }
  async function load(): Promise<void> {
    const before = changes
    const reply = await api.list()
    if (reply.kind !== 'ok' || changes !== before || unsaved.value.size > 0) return
    onRead?.(reply.value)
    // The same documents stay the same objects, so that nothing is computed anew.
    if (JSON.stringify(reply.value) !== JSON.stringify(all.value)) all.value = reply.value
  }
  async function settle(reply: Reply<unknown>, awayWords = away): Promise<boolean> {
    problem.value = reply.kind === 'ok' ? '' : reply.kind === 'problem' ? reply.problem.detail : awayWords
    // What waits to be written was changed after what would be read now.
    if ((reply.kind === 'problem' || (reply.kind === 'ok' && readsAgain)) && !isWaiting()) await load()
    return reply.kind === 'ok'
  }
  const mark = (id: string, isUnsaved: boolean): void => {
    const others = [...unsaved.value].filter((one) => one !== id)
    unsaved.value = new Set(isUnsaved ? [...others, id] : others)
  }

  /** Writes what stands there over the version it has by then; a later change of it is shown on. */
  function write(document: D, former: KeptDocument<D> | undefined): Promise<boolean> {
    return act(async () => {
      const reply = await api.write(document, versionOf(document.id))
      mark(document.id, reply.kind === 'away' && keepsUnsaved)
      if (reply.kind === 'ok')
        show(document.id, { document: find(document.id)?.document ?? document, version: reply.value.version })
      else if (!(reply.kind === 'away' && keepsUnsaved)) {
        steps.value = steps.value.filter((step) => step !== former?.document)
        if (find(document.id)?.document === document) show(document.id, former)
      }
      return settle(reply, keepsUnsaved ? unsavedWords : away)
    })
  }
  function put(document: D): Promise<boolean> {
    const former = find(document.id)
    show(document.id, { document, version: former?.version ?? 0 })
    if (former) steps.value = [...steps.value, former.document].slice(-mostSteps)
    return write(document, former)
  }
  return {
    ...{ documents: computed(() => all.value.map(({ document }) => document)), steps, problem, unsaved, load, put },
    async undo(): Promise<void> {
      const former = steps.value.at(-1)
      if (!former) return
      const left = steps.value.slice(0, -1)
      const written = put(former)
      steps.value = left
      await written
    },
    /** Writes once more what could not be written. */
    async tryAgain(): Promise<void> {
      for (const id of unsaved.value) {
        const kept = find(id)
        if (kept) await write(kept.document, kept)
      }
    },
    remove: (id: string): Promise<boolean> =>
      act(async () => {
        const reply = await api.remove(id, versionOf(id))
        if (reply.kind === 'ok') {
          show(id, undefined)
          steps.value = steps.value.filter((one) => one.id !== id)
        }
        return settle(reply)
      }),
  }
}

interface KeptOptions<D> {
  readonly known?: readonly KeptDocument<D>[]
  readonly onRead?: (all: readonly KeptDocument<D>[]) => void
  readonly keepsUnsaved?: boolean
  /** Writing one changes others: all are read again after it. */
  readonly readsAgain?: boolean
}

/** The documents of a reply, each taken out of what the server has it in. */
export function keptAs<K extends { readonly version: number }, D>(
  reply: Reply<readonly K[]>,
  documentOf: (kept: K) => D,
): Reply<readonly KeptDocument<D>[]> {
  if (reply.kind !== 'ok') return reply
  return { ...reply, value: reply.value.map((kept) => ({ document: documentOf(kept), version: kept.version })) }
}
