import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { ShallowRef } from 'vue'
import { answersBefore } from '#model/answers'
import type { OwnDocuments, OwnKind, OwnThing } from '#model/own'
import type { Piece } from '#model/piece'
import type { SetUp } from '#model/set-up'
import type { Problem } from '#model/problem'
import type { NamedScript } from '#model/script'
import { withOwn } from '#core/session'
import type { Catalog } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import { bringBackOwn, listOwn, removeOwn, writeOwn } from '#web/shared/api/own.ts'
import type { Reply } from '#web/shared/api/client.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { useLearned } from './use-learned.ts'

/** What came of a change: done, refused with its problem, or the server away. */
export type OwnOutcome =
  { readonly kind: 'done' } | { readonly kind: 'refused'; readonly problem: Problem } | { readonly kind: 'away' }

/** Why a change did not come about; nothing where it did. */
export function refusedWords(outcome: OwnOutcome): string {
  if (outcome.kind === 'done') return ''
  return outcome.kind === 'refused'
    ? outcome.problem.detail
    : 'Zovrin’s server does not answer: nothing was changed. Start it and try again.'
}

const keptAs = 'zovrin.own'

/** What this browser knew last, for when the server is away. */
function kept(): readonly OwnThing[] {
  try {
    return (JSON.parse(localStorage.getItem(keptAs) ?? '[]') as OwnThing[]).map(withAnswers)
  } catch {
    return []
  }
}

/** A school this browser knew before a question was asked answers it as Zovrin did then. */
const withAnswers = (thing: OwnThing): OwnThing =>
  thing.kind === 'school'
    ? { ...thing, document: { ...thing.document, answers: { ...answersBefore, ...thing.document.answers } } }
    : thing

const nameOf = (document: OwnThing['document']): string =>
  'names' in document ? document.names.english : document.name

/** Set-ups that were kept for a pose or its copy, by name. */
const setUpsIn = (things: readonly OwnThing[]): SetUp[] =>
  things
    .flatMap((thing) => (thing.kind === 'setUp' && !thing.hidden ? [thing.document] : []))
    .sort((a, b) => a.name.localeCompare(b.name))

/** Runs of blocks that were kept, by name. */
const piecesIn = (things: readonly OwnThing[]): Piece[] =>
  things
    .flatMap((thing) => (thing.kind === 'piece' && !thing.hidden ? [thing.document] : []))
    .sort((a, b) => a.name.localeCompare(b.name))

/** Scripts that were kept, by name. */
const scriptsIn = (things: readonly OwnThing[]): NamedScript[] =>
  things
    .flatMap((thing) => (thing.kind === 'script' && !thing.hidden ? [thing.document] : []))
    .sort((a, b) => a.name.localeCompare(b.name))

/** The shelf with the teacher's own things in it, once they are there. */
function catalogsOf(things: ShallowRef<readonly OwnThing[]>) {
  /** All a session may name; and what the shelf shows of it, without what was deleted and is still named. */
  const withThings = computed(() => withOwn(shippedCatalog, things.value))
  const settings = useSettingsStore()
  /** How many are led in the class that is looked at; undefined where none is planned. */
  const people = ref<number>()
  /** What is offered to all in that class, by block. */
  const offers = shallowRef<ReadonlyMap<string, string>>()
  /** What is kept for the one who comes to it, where nobody else does. */
  const keptForOne = shallowRef<Catalog['keptForOne']>()
  const { times, learned, loadTimes } = useLearned(withThings, people)
  const catalog = computed((): Catalog =>
    people.value === undefined &&
    !offers.value &&
    !keptForOne.value &&
    settings.speakingPaceSet === undefined &&
    learned.value.size === 0
      ? withThings.value
      : {
          ...withThings.value,
          ...{ people: people.value, offers: offers.value, keptForOne: keptForOne.value, learned: learned.value },
          wordsAMinute: settings.speakingPaceSet,
        },
  )
  const shelf = computed(() =>
    things.value.some(({ hidden }) => hidden)
      ? withOwn(
          shippedCatalog,
          things.value.filter(({ hidden }) => !hidden),
        )
      : catalog.value,
  )
  return { people, offers, keptForOne, times, loadTimes, catalog, shelf }
}

/** The teacher's own poses, variants, schools, pieces, set-ups and scripts, and the whole shelf with them in it. */
export const useOwnStore = defineStore('own', () => {
  const things = shallowRef(kept())
  /** What was deleted last in this window: it can be brought back. */
  const removed = shallowRef<{ readonly kind: OwnKind; readonly id: string; readonly name: string }>()
  const catalogs = catalogsOf(things)
  const pieces = computed(() => piecesIn(things.value))
  const setUps = computed(() => setUpsIn(things.value))
  const scripts = computed(() => scriptsIn(things.value))

  function take(next: readonly OwnThing[]): void {
    localStorage.setItem(keptAs, JSON.stringify(next))
    // The same things keep the same catalog, so that nothing is compiled anew.
    if (JSON.stringify(next) !== JSON.stringify(things.value)) things.value = next
  }

  async function load(): Promise<void> {
    const [reply] = await Promise.all([listOwn(), catalogs.loadTimes()])
    if (reply.kind === 'ok') take(reply.value)
  }

  const find = (kind: OwnKind, id: string) =>
    things.value.find((thing) => thing.kind === kind && thing.document.id === id)

  async function put<K extends OwnKind>(kind: K, document: OwnDocuments[K]): Promise<OwnOutcome> {
    return settle(await writeOwn(kind, document, find(kind, document.id)?.version ?? 0))
  }

  async function remove(kind: OwnKind, id: string): Promise<OwnOutcome> {
    const thing = find(kind, id)
    const outcome = await settle(await removeOwn(kind, id, thing?.version ?? 0))
    if (outcome.kind === 'done' && thing) removed.value = { kind, id, name: nameOf(thing.document) }
    return outcome
  }

  /** Takes a removal back. */
  async function bringBack(kind: OwnKind, id: string): Promise<OwnOutcome> {
    const outcome = await settle(await bringBackOwn(kind, id))
    if (outcome.kind === 'done') removed.value = undefined
    return outcome
  }

  async function settle(reply: Reply<unknown>): Promise<OwnOutcome> {
    if (reply.kind === 'away') return { kind: 'away' }
    if (reply.kind === 'problem') return { kind: 'refused', problem: reply.problem }
    await load()
    return { kind: 'done' }
  }

  return { ...catalogs, things, pieces, setUps, scripts, removed, load, find, put, remove, bringBack }
})
