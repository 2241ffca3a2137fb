import { z } from 'zod'
import { blockSchema } from './block.ts'
import type { Block } from './block.ts'
import { formerBlockSchema } from './former-block.ts'
import type { FormerBlock } from './former-block.ts'
import { sectionsOfFormer } from './sections-of-former.ts'
import { formerSessionSchema, sessionSchema, sessionSchemaVersion } from './session.ts'
import type { FormerSession, Session } from './session.ts'

/** A block of any schema as this build has it; one that is of this schema is returned as it is. */
export function liftBlock(block: Block | FormerBlock): Block {
  if (block.kind !== 'breath' || 'sections' in block) return block
  const { id, kind, priority, note, times, answers, changeText, basePosition } = block
  const kept = { priority, note, times, answers, changeText, basePosition }
  const set = Object.fromEntries(Object.entries(kept).filter(([, value]) => value !== undefined))
  return { id, kind, ...set, sections: sectionsOfFormer(block) }
}

/**
 * A session of any schema as this build has it; one that is of this schema is returned as it is. Schema 1 had one
 * pattern to a breath block: it becomes the sections it meant, of the same length to the millisecond.
 */
export const lift = (session: Session | FormerSession): Session =>
  session.schema === sessionSchemaVersion
    ? session
    : { ...session, schema: sessionSchemaVersion, blocks: session.blocks.map(liftBlock) }

/** Reads a session of any schema that was ever written, as this build has it. */
export const anySessionSchema = z.discriminatedUnion('schema', [sessionSchema, formerSessionSchema]).transform(lift)

/** Reads blocks that carry no number of a schema: a breath block of schema 1 is told by its having no sections. */
export const anyBlockSchema = z.preprocess((block) => {
  const former = formerBlockSchema.safeParse(block)
  return former.success ? liftBlock(former.data) : block
}, blockSchema)
