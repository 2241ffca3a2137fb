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

interface KeptOptions<D> {
  readonly known?: readonly KeptDocument<D>[]
  readonly onRead?: (all: readonly KeptDocument<D>[]) => void
  readonly keepsUnsaved?: boolean
  /** Writing one changes others: all are read again after it. */
  readonly readsAgain?: boolean
}

/** What is known of the documents: as they were read, with what was changed here standing there at once. */
function shownDocuments<D extends { readonly id: string }>(api: KeptApi<D>, { known = [], onRead }: KeptOptions<D>) {
  const all = shallowRef(known)
  /** What is shown and could not be written. */
  const unsaved = shallowRef<ReadonlySet<string>>(new Set())
  /** How often anything was changed here: what was asked for before a change is older than it. */
  let changes = 0
  const find = (id: string): KeptDocument<D> | undefined => all.value.find(({ document }) => document.id === id)
  return {
    ...{ all, unsaved, find },
    versionOf: (id: string): number => find(id)?.version ?? 0,
    show(id: string, kept: KeptDocument<D> | undefined): void {
      changes += 1
      all.value = find(id)
        ? all.value.flatMap((one) => (one.document.id !== id ? [one] : kept ? [kept] : []))
        : [...all.value, ...(kept ? [kept] : [])]
    },
    mark(id: string, isUnsaved: boolean): void {
      const others = [...unsaved.value].filter((one) => one !== id)
      unsaved.value = new Set(isUnsaved ? [...others, id] : others)
    },
    async load(): Promise<void> {
      const before = changes
      const reply = await api.list()
      if (reply.kind !== 'ok' || changes !== before || unsaved.value.size > 0) return
      onRead?.(reply.value)
      // The same documents stay the same objects, so that nothing is computed anew.
      if (JSON.stringify(reply.value) !== JSON.stringify(all.value)) all.value = reply.value
    },
  }
}

/**
 * Documents that are written one by one, at once: what was changed stands there before it is written, goes back where it
 * was refused, and can be taken back afterwards. What is known at first may come from elsewhere (`known`) and is told on
 * whenever it was read (`onRead`). With `keepsUnsaved` what could not be written stays as it was typed, to be tried again.
 */
export function keptDocuments<D extends { readonly id: string }>(api: KeptApi<D>, options: KeptOptions<D> = {}) {
  const { keepsUnsaved = false, readsAgain = false } = options
  const { all, unsaved, find, versionOf, show, mark, load } = shownDocuments(api, options)
  /** Documents as they stood before each change, the last first to come back. */
  const steps = shallowRef<readonly D[]>([])
  /** Why the last change did not come about; nothing where it did. */
  const problem = shallowRef('')
  const { act, isWaiting } = turns()

  async function settle(reply: Reply<unknown>, awayWords = away): Promise<boolean> {
    problem.value = reply.kind === 'ok' ? '' : reply.kind === 'problem' ? reply.problem.detail : awayWords
    // What waits to be written was changed after what would be read now.
    if ((reply.kind === 'problem' || (reply.kind === 'ok' && readsAgain)) && !isWaiting()) await load()
    return reply.kind === 'ok'
  }
  /** Writes what stands there over the version it has by then; a later change of it is shown on. */
  const write = (document: D, former: KeptDocument<D> | undefined): Promise<boolean> =>
    act(async () => {
      const { id } = document
      const reply = await api.write(document, versionOf(id))
      const stays = reply.kind === 'away' && keepsUnsaved
      mark(id, stays)
      if (reply.kind === 'ok') show(id, { document: find(id)?.document ?? document, version: reply.value.version })
      else if (!stays) {
        steps.value = steps.value.filter((step) => step !== former?.document)
        if (find(id)?.document === document) show(id, former)
      }
      return settle(reply, keepsUnsaved ? unsavedWords : away)
    })
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
      for (const kept of [...unsaved.value].map(find)) if (kept) await write(kept.document, kept)
    },
    remove: (id: string): Promise<boolean> =>
      act(async () => {
        const reply = await api.remove(id, versionOf(id))
        if (reply.kind !== 'ok') return settle(reply)
        show(id, undefined)
        steps.value = steps.value.filter((one) => one.id !== id)
        return settle(reply)
      }),
  }
}

/** The documents of a reply, each taken out of what the server has it in. */
export function keptAs<K extends { readonly version: number }, D>(
  reply: Reply<readonly K[]>,
  documentOf: (kept: K) => D,
): Reply<readonly KeptDocument<D>[]> {
  if (reply.kind !== 'ok') return reply
  return { ...reply, value: reply.value.map((kept) => ({ document: documentOf(kept), version: kept.version })) }
}
