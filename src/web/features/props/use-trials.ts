import { useSessionStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { Ref } from 'vue'
import type { SetUp, SetUpItem } from '#model/set-up'
import { propKinds } from '#library/prop-kinds'
import { turnChoices } from '#words/props'
import type { Used } from './used.ts'

/** Kept while the window lives, over a reload too: what is tried out here is not lost by looking elsewhere. */
const chosenSetUp = useSessionStorage('zovrin.props.chosen', new Map<string, string>())
/** What was tried at a set-up, step by step; the last is what is shown. */
const tried = useSessionStorage('zovrin.props.tried', new Map<string, readonly (readonly SetUpItem[])[]>())
/** As many steps as can be taken back in a window [decided]. */
const mostSteps = 200

const setUpOf = (one: Used): SetUp | undefined =>
  one.choices.find(({ id }) => id === (chosenSetUp.value.get(one.key) ?? one.wanted)) ?? one.choices[0]
const keyOf = (one: Used): string => `${one.key} ${setUpOf(one)?.id ?? ''}`
const stepsOf = (one: Used): readonly (readonly SetUpItem[])[] => tried.value.get(keyOf(one)) ?? []
const itemsOf = (one: Used): readonly SetUpItem[] => stepsOf(one).at(-1) ?? setUpOf(one)?.items ?? []

/** What is tried out at a set-up in this window, each change a step that can be taken back. */
export function useTrials(chosen: Readonly<Ref<Used | undefined>>) {
  const setUp = computed(() => chosen.value && setUpOf(chosen.value))
  const items = computed(() => (chosen.value ? itemsOf(chosen.value) : []))
  const isTried = computed(() => chosen.value !== undefined && stepsOf(chosen.value).length > 0)

  function put(next: readonly SetUpItem[]): void {
    // A field that is left as it was is no step.
    if (!chosen.value || JSON.stringify(next) === JSON.stringify(items.value)) return
    tried.value.set(keyOf(chosen.value), [...stepsOf(chosen.value), next].slice(-mostSteps))
  }
  return {
    ...{ chosenSetUp, setUpOf, itemsOf, setUp, items, isTried, put },
    change(id: string, by: Partial<SetUpItem>): void {
      put(items.value.map((item) => (item.id === id ? tidied({ ...item, ...by }) : item)))
    },
    remove(id: string): void {
      put(items.value.filter((item) => item.id !== id))
    },
    undo(): void {
      if (chosen.value) tried.value.set(keyOf(chosen.value), stepsOf(chosen.value).slice(0, -1))
    },
    asShipped(): void {
      const original = setUp.value?.items
      if (original && isTried.value) put(original)
    },
  }
}

/** A change of kind leaves behind folds and turns that mean nothing for it. */
function tidied(item: SetUpItem): SetUpItem {
  const { folds, turn, ...rest } = item
  const spec = propKinds[item.kind]
  const isTurned = turnChoices(spec).some(({ value }) => value === turn)
  return { ...rest, ...(spec.shape === 'sheet' && folds ? { folds } : {}), ...(isTurned && turn ? { turn } : {}) }
}
