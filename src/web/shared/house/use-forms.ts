import { until } from '@vueuse/core'
import { nextTick, ref, shallowRef, watch } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import type { LaidByForm, PersonThrough } from '#core/class'
import type { Timeline } from '#core/timeline'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'

/** Who takes what, and what lies at their mats for it. */
export interface Forms {
  readonly through: readonly PersonThrough[]
  readonly laid: readonly LaidByForm[]
  /** The sentence for everybody at the set-up of a block, by its id. */
  readonly offers: ReadonlyMap<string, string>
}
const nothing: Forms = { through: [], laid: [], offers: new Map() }

/** Nobody waits for it: it is worked out when a key has been followed by so long a pause. */
const pauseMs = 120

/** A class as it is looked at: its session, laid out, and who comes. */
interface LookedAt {
  readonly document: Session
  readonly timeline: Timeline
  readonly planned: PlannedClass
}

const isAnybodyKnown = ({ people, needs = [] }: PlannedClass): boolean => people.length > 0 || needs.length > 0

/** What each who comes takes, worked out now from what was read of them; nothing where nothing is known of anybody. */
export async function formsNow(now: LookedAt): Promise<Forms> {
  if (!isAnybodyKnown(now.planned)) return nothing
  // Without it, before it was ever fetched and with the server away, nothing is known of anybody.
  const work = await import('./forms-work.ts').catch(() => undefined)
  if (!work) return nothing
  const [{ people }, { planned: past }, { catalog }] = [usePeopleStore(), usePlannedClassesStore(), useOwnStore()]
  return work.formsOf(now, { people, past, catalog })
}

/** How much is being worked out in this window just now. */
const working = ref(0)

/** Resolves when all is worked out, what follows from it included: whatever is written down waits for it. */
export async function formsSettled(): Promise<void> {
  do {
    await until(working).toBe(0)
    await nextTick()
  } while (working.value > 0)
}

/**
 * What each who comes to a class takes, worked out anew a moment after its session, its people or what was chosen
 * changed: no key in Plan waits for it, and where nothing is known of anybody nothing is fetched for it.
 */
export function useForms(of: () => LookedAt | undefined) {
  const forms = shallowRef(nothing)
  const people = usePeopleStore()
  const own = useOwnStore()
  let asked = 0
  watch(
    [of, () => people.people, () => own.catalog],
    ([now], _before, onCleanup) => {
      asked += 1
      const mine = asked
      if (!now || !isAnybodyKnown(now.planned)) {
        forms.value = nothing
        return
      }
      if (people.people.length === 0 && now.planned.people.length > 0) void people.load()
      let isOver = false
      const end = (): void => {
        if (!isOver) working.value -= 1
        isOver = true
      }
      const workOut = async (): Promise<void> => {
        try {
          const found = await formsNow(now)
          if (mine === asked) forms.value = found
        } finally {
          end()
        }
      }
      working.value += 1
      const timer = setTimeout(() => void workOut(), forms.value === nothing ? 0 : pauseMs)
      onCleanup(() => {
        clearTimeout(timer)
        end()
      })
    },
    { immediate: true },
  )
  return forms
}
