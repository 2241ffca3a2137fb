import type { CautionBook, CautionRule } from '#model/caution'
import { cautionGradeOrder } from './grade-order.ts'
import { rulesOn } from './matching.ts'
import { isOfProp, subjectsOf } from './practised.ts'
import type { Practised } from './practised.ts'

export interface Listed {
  /** What is particular to the practice, worst first. */
  readonly own: readonly CautionRule[]
  /** What holds for every shape. */
  readonly always: readonly CautionRule[]
  /** What is said of the props in use, and not of the practice. */
  readonly props: readonly CautionRule[]
}

/** Every caution that speaks of a practice, for nobody in particular, worst first. */
export function listedCautions(practised: Practised, book: CautionBook): Listed {
  const rules = [...rulesOn(subjectsOf(practised, book), book)].sort(
    (a, b) => cautionGradeOrder.indexOf(a.grade) - cautionGradeOrder.indexOf(b.grade),
  )
  return {
    own: rules.filter((rule) => !rule.of.includes('*') && !isOfProp(rule)),
    always: rules.filter((rule) => rule.of.includes('*')),
    props: rules.filter(isOfProp),
  }
}
