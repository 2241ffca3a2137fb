import { createSharedComposable } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Person } from '#model/person'
import type { PlannedClass } from '#model/planned-class'
import { isAsPlanned } from '#core/class'
import { withFields } from '#core/session'
import type { Choice, Taking } from '#core/class'
import { keptForm } from '#words/forms'
import { useNames } from '#web/shared/people/names.ts'
import { needsForm, useWho } from '#web/shared/people/use-who.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** Who takes what in the open session's class: the table, what is looked at in it, and every choice. */
export const useWhoView = createSharedComposable(() => {
  const session = useSessionStore()
  const { called } = useNames()
  const who = useWho(() =>
    session.document && session.timeline ? { document: session.document, timeline: session.timeline } : undefined,
  )
  const { planned, through, blocks, classes } = who
  /** What is looked at: somebody, a block, or somebody in a block. */
  const at = ref<{ readonly personId?: string; readonly blockId?: string }>({})
  const rows = computed(() => blocks.value.filter(({ kind }) => kind !== 'talk'))
  const columns = computed(() => through.value.filter(({ takings }) => !takings.every(isAsPlanned)))
  const person = computed(() => through.value.find(({ comer }) => comer.id === at.value.personId))
  const block = computed(() => rows.value.find(({ block: one }) => one.id === at.value.blockId))
  const taking = computed(() => person.value?.takings.find(({ blockId }) => blockId === at.value.blockId))
  const takingsIn = (blockId: string): readonly Taking[] =>
    through.value.flatMap(({ takings }) => takings.filter((one) => one.blockId === blockId))

  /** How somebody is called here: the nameless by what they are, the others as they wish. */
  function nameOf(personId: string): string {
    const place = who.comers.value.findIndex(({ id }) => id === personId)
    const comer = who.comers.value[place]
    return !comer ? '' : comer.isNamed ? called(comer.person, place) : `Guest ${personId.replace('guest-', '')}`
  }
  function keep(change: (now: PlannedClass) => PlannedClass): void {
    if (planned.value) void classes.put(change(planned.value))
  }
  /** Everything that wants a form and has none chosen. */
  const open = computed(() =>
    through.value.flatMap(({ takings }) => takings.filter((one) => needsForm(one) && !one.chosen && one.suggested)),
  )
  return {
    ...{ ...who, session, at, rows, columns, person, block, taking, takingsIn, nameOf, keep, open },
    look(personId: string | undefined, blockId: string | undefined): void {
      at.value = { ...(personId === undefined ? {} : { personId }), ...(blockId === undefined ? {} : { blockId }) }
    },
    /** Keeps on somebody's page what they like to take in place of a pose, or no longer. */
    like({ personId, planned: { pose }, does }: Taking, isLiked: boolean): void {
      const of = who.people.people.find(({ id }) => id === personId)
      if (!of || !pose || !does) return
      const others = (of.likes ?? []).filter(({ poseId }) => poseId !== pose.id)
      const likes = isLiked ? [...others, { poseId: pose.id, takes: does.takes }] : others
      void who.people.put(withFields<Person>(of, { likes: likes.length > 0 ? likes : undefined }))
    },
    ...choosing(keep, () => open.value),
  }
})

type Form = PlannedClass['forms'][number]
const isOneOf =
  (some: readonly Pick<Taking, 'personId' | 'blockId'>[]) =>
  ({ personId, blockId }: Form): boolean =>
    some.some((one) => one.personId === personId && one.blockId === blockId)

/** Every choice that is made in the table: kept with who made it and when. */
function choosing(keep: (change: (now: PlannedClass) => PlannedClass) => void, open: () => readonly Taking[]) {
  /** Other forms for some takings; what was chosen for them before gives way. */
  const setForms = (some: readonly Taking[], make: (one: Taking, at: string) => readonly Form[]): void => {
    const at = new Date().toISOString()
    const forms = some.flatMap((one) => make(one, at))
    keep((now) => ({ ...now, forms: [...now.forms.filter((form) => !isOneOf(some)(form)), ...forms] }))
  }
  return {
    choose(one: Taking, choice: Choice): void {
      setForms([one], (_, at) => [keptForm(one, choice, choice === one.suggested ? 'suggested' : 'teacher', at)])
    },
    sayWhy(one: Taking, why: string): void {
      setForms([one], () => {
        if (!one.chosen) return []
        const { choice: _choice, why: _former, ...form } = one.chosen
        return [why === '' ? form : { ...form, why }]
      })
    },
    /** As it is suggested again. */
    leaveOpen(some: readonly Taking[]): void {
      setForms(some, () => [])
    },
    /** Takes one pose for several blocks of somebody. */
    takeNest(poseId: string, some: readonly Taking[]): void {
      setForms(some, (one, at) => {
        const choice = one.choices.find(({ takes }) => takes.kind === 'pose' && takes.poseId === poseId)
        return choice ? [keptForm(one, choice, 'teacher', at)] : []
      })
    },
    takeAll(): void {
      setForms(open(), (one, at) => (one.suggested ? [keptForm(one, one.suggested, 'suggested', at)] : []))
    },
  }
}
