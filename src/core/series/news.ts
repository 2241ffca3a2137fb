import type { Seconds } from '#core/units'

/** One thing that is otherwise in a block than the week before. */
export type News = { readonly blockId: string } & (
  | { readonly is: 'longer'; readonly fromS: Seconds; readonly toS: Seconds }
  /** Things said in it. */
  | { readonly is: 'quieter'; readonly from: number; readonly to: number }
  | { readonly is: 'form'; readonly variantId: string | null }
  | { readonly is: 'instead'; readonly poseId: string; readonly before: string }
  | { readonly is: 'comes' }
  | { readonly is: 'goes' }
  /** Of the breath ladder. */
  | { readonly is: 'step'; readonly from: number; readonly to: number }
  /** Which of a technique's lessons, from 1. */
  | { readonly is: 'lesson'; readonly techniqueId: string; readonly lesson: number }
)
