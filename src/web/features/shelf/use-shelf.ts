import { computed, ref } from 'vue'
import { insertEdits, insertionIndex } from '#core/session'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { newBlocks } from '#web/shared/session/new-block.ts'
import type { ShelfThing } from '#web/shared/session/new-block.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { shelfEntries } from '#web/shared/shelf/entries.ts'
import { filterShelf } from '#web/shared/shelf/filters.ts'
import type { Chosen } from '#web/shared/shelf/filters.ts'
import { makeFinder } from '#web/shared/shelf/find.ts'

// What is looked for stays while the teacher goes to a page and back.
const wanted = ref('')
const chosen = ref<Chosen>({})
const told = ref('')

/** The whole shelf, searched and filtered, and putting something of it into the open session. */
export function useShelf() {
  const own = useOwnStore()
  const session = useSessionStore()

  const practice = computed(() => session.document?.practice ?? 'mixed')
  const level = computed(() => session.document?.level ?? 'regular')
  const entries = computed(() => shelfEntries(own.shelf, { practice: practice.value, level: level.value }, own.pieces))
  const finder = computed(() => makeFinder(entries.value))
  const found = computed(() => finder.value(wanted.value))
  const shown = computed(() => filterShelf(found.value, chosen.value))

  function choose(key: string, value: string, on: boolean): void {
    const before = chosen.value[key] ?? []
    chosen.value = { ...chosen.value, [key]: on ? [...before, value] : before.filter((one) => one !== value) }
  }

  function clear(): void {
    chosen.value = {}
    wanted.value = ''
  }

  /** Puts a thing after the chosen block of the open session, as one undo step. */
  function add(thing: ShelfThing, name: string): void {
    const document = session.document
    if (!document) return
    const at = insertionIndex(document, 'hold', session.chosenId) ?? document.blocks.length
    const edits = insertEdits(document, newBlocks(thing), at)
    const [first] = edits
    if (!first) return
    if (!session.edit({ type: 'several', edits }, `add ${name}`)) {
      told.value = 'A session holds up to 200 blocks.'
      return
    }
    session.chosenId = first.block.id
    const total = document.blocks.length + edits.length
    told.value = `${name} added to ${document.name}, block ${String(first.at + 1)} of ${String(total)}`
  }

  return { own, session, practice, level, entries, found, shown, wanted, chosen, told, choose, clear, add }
}
