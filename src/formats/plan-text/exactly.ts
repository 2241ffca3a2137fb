import { z } from 'zod'
import { blockSchema } from '#model/block'
import type { Block } from '#model/block'
import { mostBlocks } from '#model/limits'
import { sessionSchema } from '#model/session'
import type { Session } from '#model/session'
import { unknownInBlocks } from '#core/session'
import type { Catalog } from '#core/session'
import type { Made } from './blocks-of.ts'
import { blockLines } from './write-lines.ts'

/** Stands above what only Zovrin reads of a plan in text. */
export const exactlyMark = '--- what the lines above do not say; Zovrin reads it back, and it may be cut off ---'
const markStart = /^-{2,} ?what the lines above do not say/i

/** What a session says that is of no block, of itself and of the copy that is made: not its id, and not what it is a version of. */
export type PlanHead = Partial<Omit<Session, 'schema' | 'id' | 'blocks' | 'versionOf' | 'setAside'>>

/** The parts of a session that its lines do not say: blocks by their place, and what is of the whole. */
export interface Exactly {
  readonly head: PlanHead
  readonly blocks: ReadonlyMap<number, Block>
}

const version = 1
const {
  schema: _schema,
  id: _id,
  blocks: _blocks,
  versionOf: _of,
  setAside: _aside,
  ...headShape
} = sessionSchema.shape
const exactlySchema = z.strictObject({
  format: z.literal('zovrin.plan'),
  version: z.literal(version),
  session: z.strictObject(headShape).partial(),
  blocks: z
    .array(
      z.tuple([
        z
          .int()
          .min(0)
          .max(mostBlocks - 1),
        blockSchema,
      ]),
    )
    .max(mostBlocks),
})

/** As the end of a plan's text. */
export const exactlyText = ({ head, blocks }: Exactly): string =>
  [
    exactlyMark,
    `{"format":"zovrin.plan","version":${String(version)},"session":${JSON.stringify(head)},"blocks":[${onLines(blocks)}]}`,
  ].join('\n')

/** A block a line. */
const onLines = (blocks: Exactly['blocks']): string =>
  blocks.size === 0 ? '' : `\n${[...blocks].map((block) => JSON.stringify(block)).join(',\n')}\n`

/** A plan's text apart from what only Zovrin reads; `unreadable` where that was changed, cut or is from a newer version. */
export function splitExactly(text: string): {
  readonly lines: readonly string[]
  readonly exactly?: Exactly
  readonly isUnreadable: boolean
} {
  const lines = text.split(/\r\n?|\n/)
  const at = lines.findIndex((line) => markStart.test(line.trim()))
  if (at < 0) return { lines, isUnreadable: false }
  const read = exactlySchema.safeParse(jsonOf(lines.slice(at + 1).join('\n')))
  if (!read.success) return { lines: lines.slice(0, at), isUnreadable: true }
  const { session, blocks } = read.data
  return {
    lines: lines.slice(0, at),
    exactly: { head: session as PlanHead, blocks: new Map(blocks) },
    isUnreadable: false,
  }
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

/**
 * The blocks with what their lines do not say: wholly where the lines still stand as they were written, else what the
 * lines say stands above it. A block that is no longer in the text is not brought back.
 */
export function exact(
  { blocks, of }: Made,
  { blocks: kept }: Exactly,
  catalog: Catalog,
): { readonly blocks: readonly Block[]; readonly gone: boolean } {
  const out = [...blocks]
  const isFree = new Set(out.keys())
  let gone = false
  for (const [place, block] of kept) {
    if (unknownInBlocks([block], catalog).length > 0) {
      gone = true
      continue
    }
    const written = blockLines(block, catalog)
      .map((line) => line.trim())
      .join('\n')
    const isAsWritten = (at: number): boolean =>
      isFree.has(at) && of[at]?.map((line) => line.trim()).join('\n') === written
    const at = isAsWritten(place) ? place : out.findIndex((_, index) => isAsWritten(index))
    const here = out[place]
    if (at >= 0) {
      isFree.delete(at)
      out[at] = { ...block, id: out[at]?.id ?? block.id }
    } else if (here && isFree.has(place) && isSameOn(here, block)) {
      isFree.delete(place)
      const both = merged(block, here)
      out[place] = both ?? here
      gone ||= both === undefined
    }
  }
  return { blocks: out, gone }
}

/** What lines say of a block stands above what was kept of it; undefined where the two do not go together. */
function merged(kept: Block, said: Block): Block | undefined {
  const read = blockSchema.safeParse({ ...kept, ...said })
  return read.success ? read.data : undefined
}

function isSameOn(a: Block, b: Block): boolean {
  if (a.kind === 'hold') return b.kind === 'hold' && a.poseId === b.poseId
  if (a.kind === 'movement') return b.kind === 'movement' && a.movementId === b.movementId
  return a.kind === b.kind && a.kind !== 'breath'
}
