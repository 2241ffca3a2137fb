import { computed } from 'vue'
import type { Session } from '#model/session'
import { comersOf, isAsPlanned, whoTakesWhat } from '#core/class'
import type { PersonThrough, Taking } from '#core/class'
import type { Timeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePeopleStore } from './people-store.ts'

/** Whether somebody cannot simply do a block as planned: a caution or their stage asks for something, not only for less time. */
export const needsForm = ({ planned }: Taking): boolean =>
  planned.verdict.grade === 'avoid' || planned.verdict.grade === 'modify' || planned.pastStage === true

/** How much somebody does otherwise: what is left out weighs before what is changed, and that before less time. */
const weight = ({ takings }: PersonThrough): number =>
  takings.reduce((sum, taking) => {
    if (isAsPlanned(taking)) return sum
    const { grade } = taking.planned.verdict
    return sum + (grade === 'avoid' ? 1000 : grade === 'modify' ? 30 : 1)
  }, 0)

/** What everybody takes in the class a session is opened for, those first who do most otherwise. */
export function useWho(of: () => { readonly document: Session; readonly timeline: Timeline } | undefined) {
  const classes = usePlannedClassesStore()
  const people = usePeopleStore()
  const own = useOwnStore()
  const planned = computed(() => {
    const now = of()
    return now && classes.openFor(now.document.id)
  })
  const comers = computed(() => {
    const now = of()
    return now && planned.value ? comersOf(planned.value, people.people, classes.planned, now.document.level) : []
  })
  const blocks = computed(() => (of()?.timeline.blocks ?? []).map(({ block }) => block))
  const all = computed(() =>
    whoTakesWhat(blocks.value, comers.value, planned.value?.forms ?? [], { catalog: own.catalog, book: cautionBook }),
  )
  const through = computed(() => all.value.toSorted((a, b) => weight(b) - weight(a)))
  return { planned, comers, blocks, through, classes, people }
}
