import type { CautionBook, CautionRule } from '#model/caution'
import { cautionGradeOrder } from './grade-order.ts'
import { rulesOn } from './matching.ts'
import { subjectsOf } from './practised.ts'
import type { Practised } from './practised.ts'

export interface Listed {
  /** What is particular to the practice, worst first. */
  readonly own: readonly CautionRule[]
  /** What holds for every shape. */
  readonly always: readonly CautionRule[]
}

/** Every caution that speaks of a practice, for nobody in particular, worst first. */
export function listedCautions(practised: Practised, book: CautionBook): Listed {
  const rules = [...rulesOn(subjectsOf(practised, book), book)].sort(
    (a, b) => cautionGradeOrder.indexOf(a.grade) - cautionGradeOrder.indexOf(b.grade),
  )
  return {
    own: rules.filter((rule) => !rule.of.includes('*')),
    always: rules.filter((rule) => rule.of.includes('*')),
  }
}
