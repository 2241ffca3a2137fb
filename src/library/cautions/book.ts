import type { CautionBook } from '#model/caution'
import { conditions } from './conditions.ts'
import { givenForms } from './given-forms.ts'
import { cautionGroups } from './groups.ts'
import { inherits } from './register.ts'
import { breathRules } from './rules-breath.ts'
import { foldAndTurnRules } from './rules-folds-and-turns.ts'
import { propRules } from './rules-props.ts'
import { restAndBackRules } from './rules-rests-and-backbends.ts'

/** The cautions reference as one argument for the computation. */
export const cautionBook: CautionBook = {
  conditions: new Map(conditions.map((condition) => [condition.id, condition])),
  groups: cautionGroups,
  inherits,
  rules: [...restAndBackRules, ...foldAndTurnRules, ...propRules, ...breathRules],
  given: givenForms,
}
