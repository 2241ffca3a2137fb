import { assess, mendOf } from '#core/comfort'
import type { Mend } from '#core/comfort'
import type { ElevationInput } from '#core/figure'
import { namedFolds } from '#library/prop-kinds'

/** A set-up whose findings want mends; `asked` numbers the question, so that a late answer is known as one. */
export interface MendQuestion {
  readonly asked: number
  readonly input: ElevationInput
}
export interface MendAnswer {
  readonly asked: number
  /** For each finding by its code, where one change mends it. */
  readonly mends: Readonly<Record<string, Mend>>
}

const folds = Object.values(namedFolds).map((ops) => [...ops])

export const mendsFor = ({ input }: Pick<MendQuestion, 'input'>): MendAnswer['mends'] =>
  Object.fromEntries(
    assess(input).findings.flatMap((finding) => {
      const mend = mendOf(finding, { ...input, folds })
      return mend ? [[finding.code, mend]] : []
    }),
  )
