import { shallowRef } from 'vue'
import type { ShallowRef } from 'vue'
import type { Kept, Saving, SavingEffect, SavingEvent } from '#core/saving'
import { stepSaving } from '#core/saving'
import type { Reply } from '#web/shared/api/client.ts'

/** Where one document is kept: at the server, and as a draft in this browser. */
export interface SavingIo<D> {
  /** Saves over the version it was based on; `over` puts that version into history. */
  readonly send: (document: D, based: number, over: boolean) => Promise<Reply<unknown>>
  readonly fetch: () => Promise<Reply<D>>
  /** Puts a document that is given up into history. */
  readonly setAside: (document: D, based: number) => Promise<Reply<unknown>>
  readonly putDraft: (document: D, based: number) => Promise<void>
  readonly dropDraft: () => Promise<void>
  readonly know: (kept: Kept<D>) => Promise<void>
}

export interface Saver<D> {
  readonly saving: Readonly<ShallowRef<Saving<D>>>
  tell(event: SavingEvent<D>): void
  /** Sends what was unsaved when it was opened; for whoever has taken it up, and nobody else. */
  start(): void
}

/** Runs the saving of one document: what the machine asks is done, and what came of it is told. */
export function makeSaver<D>(opened: Saving<D>, io: SavingIo<D>): Saver<D> {
  const saving = shallowRef(opened)
  let timer: number | undefined
  let keeping: Promise<void> = Promise.resolve()

  function tell(event: SavingEvent<D>): void {
    const [next, effects] = stepSaving(saving.value, event)
    saving.value = next
    effects.forEach(run)
  }

  function run(effect: SavingEffect<D>): void {
    if (effect.type === 'wake') {
      window.clearTimeout(timer)
      timer = window.setTimeout(() => {
        tell({ type: 'timer' })
      }, effect.afterMs)
    } else if ('n' in effect) void ask(effect, io).then(tell)
    else keep(effect)
  }

  /** The browser's own keeping, one write after the other; one that fails stands in the way of nothing. */
  function keep(effect: Exclude<SavingEffect<D>, { type: 'wake' } | { n: number }>): void {
    const write = () => {
      if (effect.type === 'put draft') return io.putDraft(effect.document, effect.based)
      return effect.type === 'drop draft' ? io.dropDraft() : io.know(effect.kept)
    }
    keeping = keeping.then(write).then(
      () => {
        if (effect.type === 'put draft') tell({ type: 'draft kept' })
      },
      () => {
        if (effect.type === 'put draft') tell({ type: 'draft failed' })
      },
    )
  }

  const start = (): void => {
    if (opened.status === 'waiting' && saving.value === opened) tell({ type: 'timer' })
  }
  return { saving, tell, start }
}

type Asked<D> = Extract<SavingEffect<D>, { n: number }>

/** Asks the server, and says what came of it. */
async function ask<D>(effect: Asked<D>, io: SavingIo<D>): Promise<SavingEvent<D>> {
  const { n } = effect
  if (effect.type === 'fetch theirs') {
    const reply = await io.fetch()
    if (reply.kind === 'ok') return { type: 'theirs', n, theirs: { document: reply.value, version: reply.version } }
    return reply.kind === 'problem' && reply.problem.status < 500
      ? { type: 'refused', n, refusal: reply.problem.detail }
      : { type: 'away', n }
  }
  const reply =
    effect.type === 'send'
      ? await io.send(effect.document, effect.based, effect.over)
      : await io.setAside(effect.document, effect.based)
  if (reply.kind === 'ok')
    return effect.type === 'send' ? { type: 'saved', n, version: reply.version } : { type: 'set aside', n }
  if (reply.kind === 'away') return { type: 'away', n }
  if (reply.problem.status >= 500) return { type: 'away', n, isDiskFull: reply.problem.code === 'DISK_FULL' }
  if (reply.problem.code === 'VERSION_STALE') return { type: 'stale', n }
  return { type: 'refused', n, refusal: reply.problem.detail }
}
