import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { isSame } from '#core/session'
import { formatDuration } from '#core/units'
import { exactlyText } from './exactly.ts'
import type { PlanHead } from './exactly.ts'
import { readPlan } from './read-plan.ts'
import type { ReadWith } from './read-plan.ts'
import { blockLines } from './write-lines.ts'

type PlanOn = Pick<ReadWith, 'catalog' | 'book'>

/**
 * A session as text: a line about the whole, then a line a block as teachers write it. With `exactly` (which it has unless
 * told otherwise), what those lines cannot say follows, so that it pastes back equal: in all but ids, what it is a version
 * of and what was set aside.
 */
export function planText(
  session: Session,
  on: PlanOn,
  { exactly = true }: { readonly exactly?: boolean } = {},
): string {
  const lines = [...headLines(session), '', ...session.blocks.flatMap((block) => blockLines(block, on.catalog))]
  const words = `${lines.join('\n')}\n`
  const kept = exactly ? unsaid(session, words, on) : undefined
  return kept ? `${words}\n${exactlyText(kept)}\n` : words
}

function headLines({ name, lengthS, practice, level, theme, purpose }: Session): string[] {
  const about = [
    ...(theme === undefined || theme === '' ? [] : [`Theme: ${theme}`]),
    ...(purpose === undefined || purpose === '' ? [] : [`Purpose: ${purpose}`]),
  ]
  return [`${name}, ${formatDuration(lengthS)}, ${practice}, ${level}`, ...about].map((line) =>
    line.replaceAll(/\s+/g, ' '),
  )
}

/** What the words do not give back; undefined where they give back all. */
function unsaid(session: Session, words: string, on: PlanOn) {
  const read = readPlan(words, { ...on, wanted: session })
  const areAll = read.blocks.length === session.blocks.length
  const blocks = new Map<number, Block>(
    session.blocks.flatMap((block, at) => {
      const again = read.blocks[at]
      return areAll && again && isSame(withoutIds(again), withoutIds(block)) ? [] : [[at, block] as const]
    }),
  )
  const { schema: _, id: __, blocks: ___, versionOf: ____, setAside: _____, ...head } = session
  const said: Readonly<Record<string, unknown>> = { ...read.head }
  const different = Object.fromEntries(
    Object.entries(head).filter(([name, value]) => !isSame(said[name], value)),
  ) as PlanHead
  return blocks.size === 0 && Object.keys(different).length === 0 ? undefined : { head: different, blocks }
}

/** A block without the ids that nothing else names: its own, and those of its sections and cues. */
function withoutIds(block: Block): unknown {
  if (block.kind === 'breath')
    return { ...block, id: '', sections: block.sections.map((section) => ({ ...section, id: '' })) }
  if (block.kind === 'hold' && block.cues)
    return { ...block, id: '', cues: block.cues.map((cue) => ({ ...cue, id: '' })) }
  return { ...block, id: '' }
}
