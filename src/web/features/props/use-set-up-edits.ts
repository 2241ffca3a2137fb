import { nanoid } from 'nanoid'
import { computed } from 'vue'
import type { Ref } from 'vue'
import type { PropKind } from '#model/prop'
import type { Person } from '#model/person'
import type { BodyPart, SetUp, SetUpItem } from '#model/set-up'
import { extentOf, isSame, keptFor, setUpOf, withFields } from '#core/session'
import type { PropSpecs } from '#core/props'
import { useHouse } from '#web/shared/house/use-house.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import type { OwnOutcome } from '#web/shared/own/own-store.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { told, useTurns } from '#web/shared/session/use-turns.ts'
import { broughtTo, changed, stepped, withItem, without } from './item-edits.ts'
import type { SetUpBlock, Used } from './used.ts'
import { useSteps } from './use-steps.ts'

/** Every change of the set-up that is looked at: an edit of the session, undone and done again as in Plan. */
export function useSetUpEdits(chosen: Readonly<Ref<Used | undefined>>, kinds: Readonly<Ref<PropSpecs>>) {
  const setUp = computed(() => chosen.value?.choices.find(({ id }) => id === chosen.value?.setUpId))
  const inHold = useSteps(chosen)
  const items = computed(() => inHold.step.value?.items ?? chosen.value?.items ?? [])
  const putAtStart = putting(chosen)
  const put = (next: readonly SetUpItem[], words?: string): void => {
    if (JSON.stringify(next) === JSON.stringify(items.value)) return
    // In mid-hold it is the step that changes.
    if (inHold.step.value) inHold.changeStep({ items: [...next] })
    else putAtStart(next, words)
  }
  return {
    ...{ told, setUp, items, put },
    ...inHold,
    add: (kind: PropKind, part: BodyPart): void => {
      put(withItem(items.value, kind, part, kinds.value), 'add to the set-up')
    },
    change: (id: string, by: Partial<SetUpItem>): void => {
      put(changed(items.value, id, by, kinds.value), 'change the set-up')
    },
    remove: (id: string): void => {
      put(without(items.value, id), 'take from the set-up')
    },
    moveBy: (id: string, by: 1 | -1): void => {
      const next = stepped(items.value, id, by)
      if (next === items.value) return
      put(next, 'move in the set-up')
      told.value = by < 0 ? 'Nearer the floor' : 'Nearer the body'
    },
    bring: (id: string, target: string, side: 'before' | 'after'): void => {
      put(broughtTo(items.value, id, target, side, kinds.value), 'move in the set-up')
    },
    ...choosing(chosen),
    ...useTurns(),
  }
}

/** Replaces the block with other items. */
function putting(chosen: Readonly<Ref<Used | undefined>>) {
  const store = useSessionStore()
  return (next: readonly SetUpItem[], words = 'change the set-up', used = chosen.value): void => {
    if (!used) return
    // What it was made from is named still: its figure is that of the items.
    const setUpId = used.block.setUpId ?? used.setUpId
    const block = withFields<SetUpBlock>(used.block, { setUpId, setUpItems: [...next] })
    store.edit({ type: 'replace', block }, words)
  }
}

/** Another of the ways a pose is set up, the usual one again, and one that is kept. */
function choosing(chosen: Readonly<Ref<Used | undefined>>) {
  const store = useSessionStore()
  const own = useOwnStore()
  function name(setUpId: string | undefined, words: string, used = chosen.value): void {
    if (!used) return
    // Where one is kept for who comes, another is taken as the block's own: what is theirs would lie there else.
    const items =
      setUpId !== undefined && theirs(used) ? used.choices.find(({ id }) => id === setUpId)?.items : undefined
    const setUpItems = items && structuredCloneOf(items)
    store.edit({ type: 'replace', block: withFields<SetUpBlock>(used.block, { setUpId, setUpItems }) }, words)
  }
  /** What is kept for the one who comes, in the pose and form of a block. */
  const theirs = ({ poseId, block }: Used): readonly SetUpItem[] | undefined =>
    poseId === undefined
      ? undefined
      : own.catalog.keptForOne?.get(keptFor(poseId, block.kind === 'hold' ? block.variantId : undefined))
  /** The one it would have if nothing were said. */
  const usualId = computed(() => {
    const block = chosen.value?.block
    if (!store.document || !block || block.kind === 'breath' || block.kind === 'rest') return undefined
    return setUpOf(withFields(block, { setUpId: undefined, setUpItems: undefined }), own.catalog, store.document)?.value
      .id
  })
  return {
    usualId,
    /** Chosen, the usual one is not named: it goes with how much the session takes. */
    choose: (id: string): void => {
      name(id === usualId.value && !(chosen.value && theirs(chosen.value)) ? undefined : id, 'choose a set-up')
    },
    usual: (): void => {
      name(undefined, 'take the usual set-up')
    },
    hasTheirs: computed(() => chosen.value !== undefined && theirs(chosen.value) !== undefined),
    ...keepingForOne(chosen),
    /** Keeps what lies here under a name, for this pose everywhere, and names it here. */
    async keep(wanted: string): Promise<OwnOutcome> {
      const used = chosen.value
      if (!used?.poseId || !store.document) return { kind: 'away' }
      const { figure } = used.choices.find(({ id }) => id === (used.block.setUpId ?? used.setUpId)) ?? {}
      const kept: SetUp = {
        id: nanoid(),
        poseId: used.poseId,
        ...(used.variantId === undefined ? {} : { variantId: used.variantId }),
        name: wanted,
        extent: extentOf(store.document),
        items: structuredCloneOf(used.items),
        ...(figure ? { figure } : {}),
      }
      const outcome = await own.put('setUp', kept)
      // It was asked for of this block, whatever is looked at by now; what was changed meanwhile stays.
      const isAsItWas = store.document?.blocks.some((block) => isSame(block, used.block)) ?? false
      if (outcome.kind === 'done' && isAsItWas) name(kept.id, 'keep a set-up', used)
      return outcome
    },
  }
}

/** Keeps what lies here on the page of the one who comes, for this pose in this form; or lets it go. */
function keepingForOne(chosen: Readonly<Ref<Used | undefined>>) {
  const store = useSessionStore()
  const people = usePeopleStore()
  const { one } = useHouse()
  const isOf = ({ poseId, block }: Used): { readonly poseId: string; readonly variantId?: string } => ({
    poseId: poseId ?? '',
    ...(block.kind === 'hold' && block.variantId !== undefined ? { variantId: block.variantId } : {}),
  })
  const write = (used: Used, items: readonly SetUpItem[] | undefined): Promise<boolean> => {
    const person = one.value
    if (!person) return Promise.resolve(false)
    const form = isOf(used)
    const others = (person.setUps ?? []).filter(
      ({ poseId, variantId }) => poseId !== form.poseId || variantId !== form.variantId,
    )
    const setUps = items ? [...others, { ...form, items: structuredCloneOf(items) }] : others
    return people.put(withFields<Person>(person, { setUps: setUps.length > 0 ? setUps : undefined }))
  }
  return {
    async keepForOne(): Promise<void> {
      const used = chosen.value
      if (!used?.poseId || !(await write(used, used.items))) return
      told.value = 'Kept for the one who comes'
      const { block } = used
      if (store.document?.blocks.some((other) => isSame(other, block)))
        store.edit(
          { type: 'replace', block: withFields<SetUpBlock>(block, { setUpItems: undefined }) },
          'keep a set-up for the one who comes',
        )
    },
    /** What is kept for them is theirs no longer; here it lies so still. */
    async forgetForOne(): Promise<void> {
      const used = chosen.value
      if (!used?.isTheirs) return
      putting(chosen)(used.items, 'keep a set-up here alone', used)
      if (await write(used, undefined)) told.value = 'Kept for them no longer: it lies so in this session'
    },
  }
}

/** What Vue watches over cannot be cloned; its plain copy can. */
const structuredCloneOf = (items: readonly SetUpItem[]): SetUpItem[] => JSON.parse(JSON.stringify(items)) as SetUpItem[]
