import { z } from 'zod'
import { idSchema, textSchema } from './common.ts'

/** What a colleague says beside a block of a plan that they were shown. */
export const remarkSentSchema = z.strictObject({ blockId: idSchema, text: textSchema.trim().min(1).max(2000) })
export type RemarkSent = z.infer<typeof remarkSentSchema>

/** To which colleague a session is shown. */
export const shownSchema = z.strictObject({ to: idSchema })

export interface Remark extends RemarkSent {
  readonly id: string
  /** Whoever said it, as they were called then. */
  readonly by: string
  readonly at: string
}

/** All remarks that have to do with a session, as its teacher has it. */
export interface Remarks {
  /** What colleagues said of it. */
  readonly on: readonly Remark[]
  /** The colleagues it was shown to. */
  readonly shownTo: readonly string[]
  /** Where it is the copy of a colleague's: whose, and what one said of theirs. */
  readonly of: { readonly whose: string; readonly said: readonly Remark[] } | null
}
