import { computed, shallowRef } from 'vue'
import { rebased } from '#core/saving'
import { whyNot } from '#web/shared/api/client.ts'
import type { Reply } from '#web/shared/api/client.ts'
import { askBeforeLeaving } from './ask-before-leaving.ts'
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
  askBeforeLeaving(() => unsaved.value.size > 0)
  /** Each document as the server has it, as far as is known here. */
  let synced = new Map(known.map(({ document }) => [document.id, document]))
  /** How often anything was changed here: what was asked for before a change is older than it. */
  let changes = 0
  const find = (id: string): KeptDocument<D> | undefined => all.value.find(({ document }) => document.id === id)
  return {
    ...{ all, unsaved, find },
    versionOf: (id: string): number => find(id)?.version ?? 0,
    syncedOf: (id: string): D | undefined => synced.get(id),
    sync: (document: D): unknown => synced.set(document.id, document),
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
      synced = new Map(all.value.map(({ document }) => [document.id, document]))
    },
  }
}

/**
 * Writes a change, from a document as it stood here to one as it was typed. Where the document was changed elsewhere
 * meanwhile, what was changed here is put over what it has become, and both stand there.
 */
function writer<D extends { readonly id: string }>(api: KeptApi<D>, shown: ReturnType<typeof shownDocuments<D>>) {
  const { find, versionOf, syncedOf, sync, show, unsaved } = shown
  return async (typed: D, former: D | undefined): Promise<Reply<{ readonly version: number }>> => {
    const { id } = typed
    const base = syncedOf(id)
    // What could not be written before goes along whole; else what stood here may have been put over what came between.
    const isWhole = base === undefined || former === undefined || unsaved.value.has(id)
    const document = isWhole ? typed : rebased(former, typed, base)
    const first = await api.write(document, versionOf(id))
    if (first.kind === 'ok') sync(document)
    if (!base || first.kind !== 'problem' || first.problem.code !== 'VERSION_STALE') return first
    const read = await api.list()
    const now = read.kind === 'ok' ? read.value.find((kept) => kept.document.id === id) : undefined
    if (!now) return first
    const both = rebased(base, document, now.document)
    show(id, { document: rebased(typed, find(id)?.document ?? typed, both), version: now.version })
    const second = await api.write(both, now.version)
    if (second.kind === 'ok') sync(both)
    return second
  }
}

/** Documents as they stood before each change and after it, the last first to come back. */
function stepsBack<D extends { readonly id: string }>() {
  const steps = shallowRef<readonly { readonly from: D; readonly to: D }[]>([])
  return {
    steps,
    add(from: D | undefined, to: D): void {
      if (from) steps.value = [...steps.value, { from, to }].slice(-mostSteps)
    },
    /** What takes the last change back, and nothing that was changed elsewhere since. */
    stepBack(find: (id: string) => D | undefined): D | undefined {
      const last = steps.value.at(-1)
      const now = last && find(last.from.id)
      return last && now ? rebased(last.to, last.from, now) : last?.from
    },
    /** A change that did not come about. */
    drop(to: D): void {
      steps.value = steps.value.filter((step) => step.to !== to)
    },
    /** All of a document that is gone. */
    forget(id: string): void {
      steps.value = steps.value.filter(({ from }) => from.id !== id)
    },
  }
}

/**
 * Documents that are written one by one, at once: what was changed stands there before it is written, goes back where it
 * was refused, and can be taken back afterwards. What was changed elsewhere meanwhile stays beside it. What is known at
 * first may come from elsewhere (`known`) and is told on whenever it was read (`onRead`). With `keepsUnsaved` what could
 * not be written stays as it was typed, to be tried again.
 */
export function keptDocuments<D extends { readonly id: string }>(api: KeptApi<D>, options: KeptOptions<D> = {}) {
  const { keepsUnsaved = false, readsAgain = false } = options
  const shown = shownDocuments(api, options)
  const { all, unsaved, find, versionOf, show, mark, load } = shown
  const written = writer(api, shown)
  const { steps, add, drop, forget, stepBack } = stepsBack<D>()
  /** Why the last change did not come about; nothing where it did. */
  const problem = shallowRef('')
  const { act, isWaiting, settled } = turns()

  async function settle(reply: Reply<unknown>, awayWords = away): Promise<boolean> {
    problem.value = reply.kind === 'ok' ? '' : whyNot(reply, awayWords)
    // What waits to be written was changed after what would be read now.
    if ((reply.kind === 'problem' || (reply.kind === 'ok' && readsAgain)) && !isWaiting()) await load()
    return reply.kind === 'ok'
  }
  /** Writes what stands there over the version it has by then; a later change of it is shown on. */
  const write = (document: D, former: KeptDocument<D> | undefined): Promise<boolean> =>
    act(async () => {
      const { id } = document
      const reply = await written(document, former?.document)
      const stays = reply.kind === 'away' && keepsUnsaved
      mark(id, stays)
      if (reply.kind === 'ok') show(id, { document: find(id)?.document ?? document, version: reply.value.version })
      else if (!stays) {
        drop(document)
        if (find(id)?.document === document) show(id, former)
      }
      return settle(reply, keepsUnsaved ? unsavedWords : away)
    })
  function put(document: D): Promise<boolean> {
    const former = find(document.id)
    show(document.id, { document, version: former?.version ?? 0 })
    add(former?.document, document)
    return write(document, former)
  }
  return {
    ...{ documents: computed(() => all.value.map(({ document }) => document)), versionOf },
    ...{ steps, problem, unsaved, load, put, settled },
    async undo(): Promise<void> {
      const former = stepBack((id) => find(id)?.document)
      const left = steps.value.slice(0, -1)
      const done = former && put(former)
      steps.value = left
      await done
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
        forget(id)
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
