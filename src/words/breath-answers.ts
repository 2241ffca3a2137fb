import type { BreathAnswers } from '#model/led-class'
import type { BreathRow } from '#core/journal'
import { formatMs } from '#core/units'

/** What is asked of the breath after a class, and what may be answered; nobody has to. */
export const breathWasWords: readonly { readonly value: NonNullable<BreathAnswers['was']>; readonly label: string }[] =
  [
    { value: 'easy', label: 'easy' },
    { value: 'strained', label: 'strained' },
    { value: 'notSure', label: 'not sure' },
  ]
export const freedForWords: readonly {
  readonly value: NonNullable<BreathAnswers['freedFor']>
  readonly label: string
}[] = [
  { value: 'comfort', label: 'for somebody’s comfort' },
  { value: 'other', label: 'for another reason' },
]

/** Where a breath went to natural breath, in the class's own time. */
export function freedWords({ freed }: Pick<BreathRow, 'freed'>): string {
  if (!freed) return ''
  if (freed.by === 'stopBefore') return `natural breath, after the stop sign at ${formatMs(freed.atMs)}`
  return `at ${formatMs(freed.atMs)}${freed.by === 'stopCard' ? ', after a stop sign' : ''}`
}
