import { nanoid } from 'nanoid'
import { storeToRefs } from 'pinia'
import { computed, ref } from 'vue'
import type { Block } from '#model/block'
import { withFields } from '#core/session'
import type { FieldsOf } from '#core/session'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { newBlock } from '#web/shared/session/new-block.ts'
import type { ShelfThing } from '#web/shared/session/new-block.ts'
import { chosenAfterTurn } from './commands/choosing.ts'
import { planCommands } from './commands/commands.ts'
import { chosenIds as chosenIdsOf, nameOf as nameIn, nothingChosen } from './commands/plan-state.ts'
import type { Outcome, PlanState, Selection } from './commands/plan-state.ts'

/** What a screen reader hears of the last move; the same for every part of the view. */
const told = ref('')
/** Blocks chosen beside the chosen one. */
const also = ref<ReadonlySet<string>>(nothingChosen.also)

/** The plan of the session in this window: what is chosen, and every command, run as one undo step. */
export function usePlan() {
  const store = useSessionStore()
  const { document, timeline, chosenId, chosen } = storeToRefs(store)
  const stateNow = () => planState(store)
  const chosenIds = computed(() => {
    const state = stateNow()
    return state ? chosenIdsOf(state) : []
  })
  const nameOf = (id: string): string => {
    const state = stateNow()
    return state ? nameIn(state, id) : 'block'
  }
  const chosenSpan = computed(() => timeline.value?.blocks.find(({ block }) => block.block.id === chosenId.value))
  return {
    /** The session with its timeline, where it has one. */
    compiled: () => document.value && timeline.value && { document: document.value, timeline: timeline.value },
    ...{ store, document, timeline, chosenId, chosen, chosenSpan, chosenIds, told, tell, nameOf },
    run: (command: Command) => {
      run(store, command)
    },
    ...bound((command) => {
      run(store, command)
    }),
    undo: () => {
      turn(store, true)
    },
    redo: () => {
      turn(store, false)
    },
  }
}

type Store = ReturnType<typeof useSessionStore>
type Command = (state: PlanState) => Outcome

const tell = (words: string): void => {
  told.value = words
}

const planState = ({ document, timeline, chosenId }: Store): PlanState | undefined =>
  document &&
  timeline && { session: document, timeline, selection: { chosen: chosenId, also: also.value }, newId: nanoid }

/** Runs a command: its step, then what it chooses and says. */
function run(store: Store, command: Command): void {
  const state = planState(store)
  if (!state) return
  const { step, selection, says, fails } = command(state)
  if (step) {
    const [only] = step.edits
    const edit = step.edits.length === 1 && only ? only : ({ type: 'several', edits: step.edits } as const)
    if (!store.edit(edit, step.words)) {
      // What went past a limit is told beside the block, and aloud from there.
      if (store.passed === undefined) tell(fails ?? 'That cannot be done here.')
      return
    }
  }
  if (selection) choosing(store, selection)
  if (says !== undefined) tell(says)
}

function choosing(store: Store, { chosen, also: others }: Selection): void {
  also.value = others
  store.chosenId = chosen
}

/** Takes a step back or does it again, and chooses what it touched. */
function turn(store: Store, back: boolean): void {
  const before = planState(store)
  const words = back ? store.undo() : store.redo()
  if (words === undefined) tell(back ? 'Nothing to undo' : 'Nothing to redo')
  else tell(back ? `Undone: ${words}` : `Done again: ${words}`)
  const after = planState(store)
  if (before && after && words !== undefined) choosing(store, chosenAfterTurn(before, after))
}

/** The commands as the parts of the view call them. */
const bound = (run: (command: Command) => void) => {
  const { choose, chooseAlso, chooseTo, add, remove, duplicate, insert, moveTo, moveBy, replace, stepTime, drawTime } =
    planCommands
  return {
    choose: (id: string | undefined) => {
      run((state) => choose(state, { id }))
    },
    chooseAlso: (id: string) => {
      run((state) => chooseAlso(state, { id }))
    },
    chooseTo: (id: string) => {
      run((state) => chooseTo(state, { id }))
    },
    add: (thing: ShelfThing, name: string, at?: number) => {
      const before = at === undefined ? {} : { at }
      if (thing.kind === 'piece')
        run((state) => insert(state, { blocks: thing.blocks, words: `add ${name}`, done: `${name} added`, ...before }))
      else run((state) => add(state, { block: newBlock(thing), name, ...before }))
    },
    remove: (...ids: string[]) => {
      run((state) => remove(state, { ids }))
    },
    duplicate: (...ids: string[]) => {
      run((state) => duplicate(state, { ids }))
    },
    insertAll: (blocks: readonly Block[], at: number, words: string, done: string) => {
      run((state) => insert(state, { blocks, at, words, done }))
    },
    moveTo: (ids: readonly string[], at: number) => {
      run((state) => moveTo(state, { ids, at }))
    },
    moveBy: (ids: readonly string[], by: 1 | -1) => {
      run((state) => moveBy(state, { ids, by }))
    },
    /** Sets fields of a block, or with `undefined` unsets them. */
    setFields: <B extends Block>(block: B, fields: FieldsOf<B>, words: string) => {
      run((state) => replace(state, { block: withFields(block, fields), words }))
    },
    stepTime: (id: string, longer: boolean, side?: 'left' | 'right') => {
      run((state) => stepTime(state, { id, longer, side }))
    },
    setTime: (id: string, seconds: number) => {
      run((state) => drawTime(state, { id, seconds }))
    },
  }
}
