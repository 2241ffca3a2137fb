import { storeToRefs } from 'pinia'
import { computed, ref } from 'vue'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { indexOfBlock, insertionIndex, setHoldSide, usualBlocksEnd } from '#core/session'
import type { Resolved } from '#core/session'
import { stepDown, stepUp } from '#core/units'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { blockName } from './block-words.ts'
import { copyBlock, newBlock } from '#web/shared/session/new-block.ts'
import type { ShelfThing } from '#web/shared/session/new-block.ts'

/** What a screen reader hears of the last move; the same for every part of the view. */
const told = ref('')

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
      chosenId.value = block.id
      tell(`${name} added, block ${String(place + 1)} of ${String(session.blocks.length + 1)}`)
    } else {
      tell('A session holds up to 200 blocks.')
    }
  }

  function remove(id: string): void {
    const session = document.value
    if (!session) return
    const at = indexOfBlock(session, id)
    const name = nameOf(id)
    if (!store.edit({ type: 'remove', id }, `remove ${name}`)) return
    const left = document.value?.blocks ?? []
    chosenId.value = (left[at] ?? left[at - 1])?.id
    tell(`${name} removed`)
  }

  function duplicate(id: string): void {
    const session = document.value
    const block = session?.blocks.find((candidate) => candidate.id === id)
    if (!session || !block || block.kind === 'closing') return
    const copy = copyBlock(block)
    if (store.edit({ type: 'insert', at: indexOfBlock(session, id) + 1, block: copy }, `duplicate ${nameOf(id)}`)) {
      chosenId.value = copy.id
      tell(`${nameOf(copy.id)} duplicated`)
    }
  }

  function moveTo(id: string, to: number): void {
    const session = document.value
    if (!session || indexOfBlock(session, id) === to) return
    if (store.edit({ type: 'move', id, to }, `move ${nameOf(id)}`)) {
      tell(`${nameOf(id)} moved, block ${String(to + 1)} of ${String(session.blocks.length)}`)
    }
  }

  const moveBy = (id: string, by: number): void => {
    if (document.value) moveTo(id, indexOfBlock(document.value, id) + by)
  }

  function replace(block: Block, words: string): void {
    store.edit({ type: 'replace', block }, words)
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
    tell(`${blockName(resolved)} ${longer ? 'longer' : 'shorter'}${apart ? ` on the ${side} only: the sides are unlinked` : ''}`)
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
    if (chosenId.value !== undefined && !chosen.value) chosenId.value = undefined
  }

  return {
    store,
    document,
    timeline,
    chosenId,
    chosen,
    chosenSpan,
    told,
    nameOf,
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

type Step = (seconds: number) => number

/** The block with its time stepped, by its kind; undefined where it has no time of its own. */
function steppedBlock(resolved: Resolved, step: Step, side: 'left' | 'right' | undefined): Block | undefined {
  switch (resolved.kind) {
    case 'talk':
    case 'rest':
      return { ...resolved.block, s: step(resolved.block.s) }
    case 'closing':
      return { ...resolved.block, finalRestS: step(resolved.finalRestS.value) }
    case 'breath':
      return steppedBreath(resolved, step)
    case 'movement':
      return { ...resolved.block, rounds: Math.max(1, resolved.rounds + Math.sign(step(60) - 60)) }
    case 'hold':
      return steppedHold(resolved, step, side)
  }
}

function steppedBreath({ block, amount }: Extract<Resolved, { kind: 'breath' }>, step: Step): Block {
  if ('naturalS' in amount) return { ...block, amount: { naturalS: step(amount.naturalS) } }
  if ('fillS' in amount) return { ...block, amount: { ...amount, fillS: step(amount.fillS) } }
  return { ...block, amount: { ...amount, roundsPerSet: Math.max(1, amount.roundsPerSet + Math.sign(step(60) - 60)) } }
}

function steppedHold(resolved: Extract<Resolved, { kind: 'hold' }>, step: Step, side: 'left' | 'right' | undefined): Block {
  const { block, sides } = resolved
  const secondsOn = (which: 'left' | 'right') => sides.find((held) => held.side === which || held.side === 'both')?.holdS ?? 0
  const linked = !block.hold || 'holdS' in block.hold
  if (side && sides.length > 1) {
    const hold = block.hold ?? { holdS: secondsOn('left') }
    return { ...block, hold: setHoldSide(hold, side, step(secondsOn(side))) }
  }
  if (linked) return { ...block, hold: { holdS: step(secondsOn('left')) } }
  const hold = setHoldSide(block.hold ?? { holdS: 0 }, 'left', step(secondsOn('left')))
  return { ...block, hold: setHoldSide(hold, 'right', step(secondsOn('right'))) }
}

