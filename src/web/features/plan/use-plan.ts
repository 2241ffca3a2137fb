import { storeToRefs } from 'pinia'
import { computed, ref } from 'vue'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import {
  indexOfBlock,
  insertionIndex,
  leastHoldOf,
  orderEdits,
  orderShifted,
  orderWith,
  usualBlocksEnd,
} from '#core/session'
import type { Edit } from '#core/session'
import { formatDuration, stepDown, stepUp } from '#core/units'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { steppedBlock, timedBlock, withRoomForPhases } from './block-times.ts'
import { blockName } from '#words/blocks'
import { copyBlock, newBlock } from '#web/shared/session/new-block.ts'
import type { ShelfThing } from '#web/shared/session/new-block.ts'

/** What a screen reader hears of the last move; the same for every part of the view. */
const told = ref('')
/** Blocks chosen beside the chosen one. */
const also = ref<ReadonlySet<string>>(new Set())

/** Everything a teacher does to the session in Plan, each as one undo step, with what it says. */
export function usePlan() {
  const store = useSessionStore()
  const { document, timeline, chosenId, chosen } = storeToRefs(store)

  const spanOf = (id: string | undefined) => timeline.value?.blocks.find((span) => span.block.block.id === id)
  const chosenSpan = computed(() => spanOf(chosenId.value))
  const nameOf = (id: string): string => {
    const span = spanOf(id)
    return span ? blockName(span.block) : 'block'
  }

  function tell(words: string): void {
    told.value = words
  }

  function add(thing: ShelfThing, name: string, at?: number): void {
    const session = document.value
    if (!session) return
    const place = at === undefined ? insertionIndex(session, thing.kind, chosenId.value) : placeFor(session, thing, at)
    if (place === undefined) {
      tell('There is a closing already: a session has one, at its end.')
      return
    }
    const block = newBlock(thing)
    if (store.edit({ type: 'insert', at: place, block }, `add ${name}`)) {
      choose(block.id)
      tell(`${name} added, block ${String(place + 1)} of ${String(session.blocks.length + 1)}`)
    } else {
      tell('A session holds up to 200 blocks.')
    }
  }

  const ids = computed(() => document.value?.blocks.map(({ id }) => id) ?? [])
  /** All chosen blocks, in the order of the session. */
  const chosenIds = computed(() => ids.value.filter((id) => id === chosenId.value || also.value.has(id)))

  function choose(id: string | undefined): void {
    also.value = new Set()
    chosenId.value = id
  }
  /** One more, or one less, with those chosen already. */
  function chooseAlso(id: string): void {
    const next = new Set(chosenIds.value)
    if (!next.delete(id)) next.add(id)
    chosenId.value = next.has(id) ? id : [...next].at(-1)
    also.value = next
    tell(next.size === 1 ? 'One block chosen' : `${String(next.size)} blocks chosen`)
  }
  /** All from the chosen one to this one. */
  function chooseTo(id: string): void {
    const from = ids.value.indexOf(chosenId.value ?? id)
    const to = ids.value.indexOf(id)
    also.value = new Set(ids.value.slice(Math.min(from, to), Math.max(from, to) + 1))
    tell(`${String(also.value.size)} blocks chosen`)
  }
  /** One more upwards or downwards, as Shift and an arrow do. */
  function chooseFurther(by: 1 | -1): void {
    const all = chosenIds.value
    const edge = by > 0 ? all.at(-1) : all[0]
    const next = ids.value[ids.value.indexOf(edge ?? '') + by]
    if (next === undefined) return
    also.value = new Set([...all, next])
    tell(`${String(also.value.size)} blocks chosen`)
  }

  const several = (many: readonly string[], word: string): string => {
    const [only = ''] = many
    return many.length === 1 ? `${word} ${nameOf(only)}` : `${word} ${String(many.length)} blocks`
  }

  /** Several edits as one step of the teacher. */
  const editAll = (edits: readonly Edit[], words: string): boolean => {
    const [only] = edits
    if (!only) return false
    return store.edit(edits.length === 1 ? only : { type: 'several', edits }, words)
  }

  function remove(...many: string[]): void {
    const session = document.value
    const [first] = many
    if (!session || first === undefined) return
    const at = indexOfBlock(session, first)
    const words = several(many, 'remove')
    if (
      !editAll(
        many.map((id) => ({ type: 'remove', id })),
        words,
      )
    )
      return
    const left = document.value?.blocks ?? []
    choose((left[at] ?? left[at - 1])?.id)
    tell(words.replace('remove', 'removed'))
  }

  /** Puts copies of blocks after the last of them, or blocks that were pasted after the chosen one. */
  function insertAll(blocks: readonly Block[], at: number, words: string): void {
    const session = document.value
    if (!session) return
    const end = usualBlocksEnd(session)
    const usual = blocks.filter(({ kind }) => kind !== 'closing')
    const closing = end === session.blocks.length ? blocks.filter(({ kind }) => kind === 'closing').slice(0, 1) : []
    const place = Math.min(at, end)
    const copies = [...usual, ...closing].map(copyBlock)
    const edits = copies.map((block, index): Edit => ({
      type: 'insert',
      at: block.kind === 'closing' ? session.blocks.length + copies.length - 1 : place + index,
      block,
    }))
    if (!editAll(edits, words)) {
      tell(
        copies.length === 0
          ? 'There is a closing already: a session has one, at its end.'
          : 'A session holds up to 200 blocks.',
      )
      return
    }
    chosenId.value = copies[0]?.id
    also.value = new Set(copies.map(({ id }) => id))
    tell(`${words}, from place ${String(place + 1)} of ${String(session.blocks.length + copies.length)}`)
  }

  function duplicate(...many: string[]): void {
    const session = document.value
    const last = many.at(-1)
    if (!session || last === undefined) return
    const blocks = session.blocks.filter(({ id, kind }) => many.includes(id) && kind !== 'closing')
    if (blocks.length > 0)
      insertAll(
        blocks,
        indexOfBlock(session, last) + 1,
        several(
          blocks.map(({ id }) => id),
          'duplicate',
        ),
      )
  }

  function reorder(order: readonly string[], many: readonly string[]): void {
    const session = document.value
    if (!session || !editAll(orderEdits(session, order), several(many, 'move'))) return
    const [first = ''] = many
    const names = many.length === 1 ? nameOf(first) : `${String(many.length)} blocks`
    tell(`${names} moved, block ${String(order.indexOf(first) + 1)} of ${String(order.length)}`)
  }
  /** Blocks to before the place `at`, counted as the session stands now. */
  function moveTo(many: readonly string[], at: number): void {
    if (document.value) reorder(orderWith(ids.value, new Set(many), Math.min(at, usualBlocksEnd(document.value))), many)
  }
  function moveBy(many: readonly string[], by: 1 | -1): void {
    if (document.value) reorder(orderShifted(ids.value, new Set(many), by, usualBlocksEnd(document.value)), many)
  }

  /** A hold is never shorter than its phases: where it would be, it keeps what they need and says so. */
  function replace(block: Block, words: string): void {
    const roomy = withRoomForPhases(block)
    store.edit({ type: 'replace', block: roomy }, words)
    if (roomy !== block)
      tell(
        `Its phases need ${formatDuration(leastHoldOf(roomy.kind === 'hold' ? (roomy.phases ?? []) : []))}: the hold keeps at least that.`,
      )
  }

  /** One step longer or shorter; with a side, that side alone, which unlinks the two and says so. */
  function stepTime(id: string, longer: boolean, side?: 'left' | 'right'): void {
    const resolved = spanOf(id)?.block
    if (!resolved) return
    const step = longer ? stepUp : stepDown
    const next = steppedBlock(resolved, step, side)
    if (!next) return
    const apart = side !== undefined
    replace(next, `${longer ? 'lengthen' : 'shorten'} ${blockName(resolved)}`)
    tell(
      `${blockName(resolved)} ${longer ? 'longer' : 'shorter'}${apart ? ` on the ${side} only: the sides are unlinked` : ''}`,
    )
  }

  /** The time of a block as its lower edge was drawn; both sides of a hold change together. */
  function setTime(id: string, seconds: number): void {
    const resolved = spanOf(id)?.block
    const block = resolved && timedBlock(resolved, seconds)
    if (!resolved || !block) return
    replace(block, `draw ${blockName(resolved)} to ${formatDuration(seconds)}`)
    tell(`${blockName(resolved)} ${formatDuration(seconds)}`)
  }

  function undo(): void {
    const words = store.undo()
    tell(words === undefined ? 'Nothing to undo' : `Undone: ${words}`)
    keepChosen()
  }
  function redo(): void {
    const words = store.redo()
    tell(words === undefined ? 'Nothing to redo' : `Done again: ${words}`)
    keepChosen()
  }
  function keepChosen(): void {
    also.value = new Set([...also.value].filter((id) => ids.value.includes(id)))
    if (chosenId.value !== undefined && !chosen.value) chosenId.value = [...also.value][0]
  }

  return {
    store,
    document,
    timeline,
    chosenId,
    chosen,
    chosenSpan,
    chosenIds,
    told,
    tell,
    nameOf,
    choose,
    chooseAlso,
    chooseTo,
    chooseFurther,
    insertAll,
    setTime,
    add,
    remove,
    duplicate,
    moveTo,
    moveBy,
    replace,
    stepTime,
    undo,
    redo,
  }
}

function placeFor(session: Session, thing: ShelfThing, at: number): number | undefined {
  if (thing.kind === 'closing') return insertionIndex(session, 'closing', undefined)
  return Math.min(at, usualBlocksEnd(session))
}
