import type { Block } from '#model/block'
import { betweenLimits, textLimits } from '#model/limits'
import type { Catalog } from '#core/session'
import { become } from './become.ts'
import { cueIn } from './cue-lines.ts'
import { noteFirst, quoted } from './draft.ts'
import type { Draft } from './draft.ts'
import type { PlanLine, ReadWith } from './read-plan.ts'
import type { SaidLine } from './read-line.ts'

export interface Made {
  readonly lines: readonly PlanLine[]
  readonly blocks: readonly Block[]
  /** The lines each block was made of, as they were typed. */
  readonly of: readonly (readonly string[])[]
}

/** The blocks that lines come to, each line with the block it is of. */
export function blocksOf(drafts: readonly Draft[], { catalog, wanted }: ReadWith): Made {
  const blocks: Block[] = []
  const of: string[][] = []
  const lines: PlanLine[] = []
  const placeOf = new Map<number, number>()
  for (const { number, text, role, said, as, doubts, joins } of drafts) {
    const line = { number, text, choices: said?.things ?? [] }
    const last = joins === undefined ? blocks.length - 1 : (placeOf.get(joins) ?? blocks.length - 1)
    if (role === 'block' && said && as) {
      const made = become(said, as, { catalog, wanted, id: `line-${String(number)}` })
      if (made) {
        placeOf.set(number, blocks.length)
        lines.push({ ...line, role, as, doubts: [...new Set([...doubts, ...made.doubts])], block: blocks.length })
        blocks.push(made.block)
        of.push([text])
        continue
      }
    }
    const block = blocks[last]
    if (!block || (role !== 'under' && role !== 'joins')) {
      lines.push({ ...line, role: role === 'nothing' ? role : 'about', doubts })
      continue
    }
    blocks[last] = role === 'under' ? withUnder(block, { text, number }, catalog) : withJoined(block, text, said)
    of[last]?.push(text)
    lines.push({ ...line, role, doubts, block: last })
  }
  return { lines, blocks, of }
}

const addedTo = (before: string | undefined, text: string, most: number): string =>
  (before === undefined || before === '' ? text : `${before}\n${text}`).slice(0, most)

/** A line under a block: quoted it is what is said, else it is a note. */
function withUnder(block: Block, { text: line, number }: Pick<Draft, 'text' | 'number'>, catalog: Catalog): Block {
  if (block.kind === 'hold') {
    const cue = cueIn(line, { block, catalog, id: `cue-${String(number)}` })
    if (cue && (block.cues?.length ?? 0) < 40) return { ...block, cues: [...(block.cues ?? []), cue] }
  }
  const isSaid = quoted.test(line)
  const text = isSaid ? line.replace(/^\s*> ?/, '') : line.replace(noteFirst, '').trim()
  if (isSaid && (block.kind === 'talk' || block.kind === 'closing'))
    return { ...block, text: addedTo(block.text, text, textLimits.text) }
  if (isSaid && block.kind === 'rest' && block.text === undefined)
    return { ...block, text: text.slice(0, textLimits.line) }
  return { ...block, note: addedTo(block.note, text, textLimits.text) }
}

const steps = [
  {
    field: 'sittingUpS',
    words: /^(?:come|coming)?\s*(?:up)?\s*(?:sit(?:ting)?(?: up)?|to (?:sit|a seat|seated)|seat(?:ed)?)\b/i,
  },
  { field: 'rollS', words: /^roll(?:ing)?(?:\s+(?:to|on|onto|over|the|your|right|left|side)\b)*/i },
] as const

/** A line that goes with the closing before it, as one of its steps or words of it; of a hold its other side said the time. */
function withJoined(block: Block, line: string, said: SaidLine | undefined): Block {
  if (block.kind !== 'closing') return block
  const s = said?.times[0]?.s
  const words = said?.left.join(', ') ?? line.trim()
  const step = steps.find(({ field, words: of }) => of.test(words) && block[field] === undefined)
  if (!step || s === undefined || s > betweenLimits.mostS)
    return { ...block, text: addedTo(block.text, line.trim(), textLimits.text) }
  const more = words.replace(step.words, '').trim()
  return {
    ...block,
    [step.field]: s,
    ...(more === '' ? {} : { text: addedTo(block.text, line.trim(), textLimits.text) }),
  }
}
