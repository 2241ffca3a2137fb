import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { OwnDocuments, OwnKind, OwnThing } from '#model/own'
import type { Problem } from '#model/problem'
import { withOwn } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import { listOwn, removeOwn, writeOwn } from '#web/shared/api/own.ts'
import type { Reply } from '#web/shared/api/client.ts'

/** What came of a change: done, refused with its problem, or the server away. */
export type OwnOutcome =
  { readonly kind: 'done' } | { readonly kind: 'refused'; readonly problem: Problem } | { readonly kind: 'away' }

const keptAs = 'zovrin.own'

/** What this browser knew last, for when the server is away. */
function kept(): readonly OwnThing[] {
  try {
    return JSON.parse(localStorage.getItem(keptAs) ?? '[]') as OwnThing[]
  } catch {
    return []
  }
}

/** The teacher's own poses, variants and schools, and the whole shelf with them in it. */
export const useOwnStore = defineStore('own', () => {
  const things = shallowRef(kept())
  const catalog = computed(() => withOwn(shippedCatalog, things.value))

  function take(next: readonly OwnThing[]): void {
    localStorage.setItem(keptAs, JSON.stringify(next))
    // The same things keep the same catalog, so that nothing is compiled anew.
    if (JSON.stringify(next) !== JSON.stringify(things.value)) things.value = next
  }

  async function load(): Promise<void> {
    const reply = await listOwn()
    if (reply.kind === 'ok') take(reply.value)
  }

  const find = (kind: OwnKind, id: string) =>
    things.value.find((thing) => thing.kind === kind && thing.document.id === id)

  async function put<K extends OwnKind>(kind: K, document: OwnDocuments[K]): Promise<OwnOutcome> {
    return settle(await writeOwn(kind, document, find(kind, document.id)?.version ?? 0))
  }

  async function remove(kind: OwnKind, id: string): Promise<OwnOutcome> {
    return settle(await removeOwn(kind, id, find(kind, id)?.version ?? 0))
  }

  async function settle(reply: Reply<unknown>): Promise<OwnOutcome> {
    if (reply.kind === 'away') return { kind: 'away' }
    if (reply.kind === 'problem') return { kind: 'refused', problem: reply.problem }
    await load()
    return { kind: 'done' }
  }

  return { things, catalog, load, find, put, remove }
})
