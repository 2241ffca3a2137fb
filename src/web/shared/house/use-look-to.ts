import { computed } from 'vue'
import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { countedForms, lookToWords } from '#words/forms'
import { useClass } from './use-class.ts'
import { useInstead } from './use-instead.ts'

/** To whom to look in a block of a class, in numbers: who does it in another form, and what some have in place of its set-up. */
export function useLookTo(of: () => { readonly document: Session; readonly timeline: Timeline } | undefined) {
  const { forms } = useClass(of)
  const { insteadIn } = useInstead(of)
  const counted = computed(() => countedForms(forms.value.through))
  return {
    lookToIn: (id: string): readonly string[] => [
      ...counted.value.filter(({ blockId }) => blockId === id).map((form) => lookToWords(form, true)),
      ...insteadIn(id),
    ],
  }
}
