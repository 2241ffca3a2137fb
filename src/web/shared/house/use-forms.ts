import { shallowRef, watch } from 'vue'
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

/**
 * What each who comes to a class takes, worked out anew a moment after its session, its people or what was chosen
 * changed: no key in Plan waits for it, and where nothing is known of anybody nothing is fetched for it.
 */
export function useForms(
  of: () => { readonly document: Session; readonly timeline: Timeline; readonly planned: PlannedClass } | undefined,
) {
  const forms = shallowRef(nothing)
  const people = usePeopleStore()
  const classes = usePlannedClassesStore()
  const own = useOwnStore()
  let asked = 0
  const isKnown = ({ people: named, needs = [] }: PlannedClass): boolean => named.length > 0 || needs.length > 0

  watch(
    [of, () => people.people, () => own.catalog],
    ([now], _before, onCleanup) => {
      asked += 1
      const mine = asked
      if (!now || !isKnown(now.planned)) {
        forms.value = nothing
        return
      }
      if (people.people.length === 0 && now.planned.people.length > 0) void people.load()
      const timer = setTimeout(
        () => {
          void import('./forms-work.ts').then(({ formsOf }) => {
            if (mine === asked)
              forms.value = formsOf(now, { people: people.people, past: classes.planned, catalog: own.catalog })
          })
        },
        forms.value === nothing ? 0 : pauseMs,
      )
      onCleanup(() => {
        clearTimeout(timer)
      })
    },
    { immediate: true },
  )
  return forms
}
