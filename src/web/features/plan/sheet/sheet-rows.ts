import type { Session } from '#model/session'
import { mirrorText, picturedBlock } from '#core/session'
import type { Catalog, Pictured, Resolved } from '#core/session'
import { formatDuration, formatMs } from '#core/units'
import type { BlockSpan, Timeline } from '#core/timeline'
import { momentWords } from '#words/cues'
import { takesWords } from '#words/props'
import { blockDetail, blockName, comingUpWords, ribWords } from '#words/blocks'

/** A line of the printed sheet: when, what, how long on which side, what is used and said. */
export interface SheetRow {
  readonly id: string
  /** From the start of the class. */
  readonly startsAt: string
  readonly name: string
  /** What comes before it: the change and what is said for it. */
  readonly before: string
  readonly sides: readonly string[]
  readonly uses: string
  /** What some of the class have in place of it. */
  readonly instead: readonly string[]
  readonly says: readonly string[]
  /** Each side of a pose that is led, in that order. */
  readonly pictures: readonly Pictured[]
}

/** The session as a sheet that lies beside the mat, block by block. */
export function sheetRows(
  timeline: Timeline,
  session: Pick<Session, 'practice'>,
  catalog: Pick<Catalog, 'poses' | 'ownPoses'>,
  insteadIn: (blockId: string) => readonly string[] = () => [],
): SheetRow[] {
  return timeline.blocks.map((span) => ({
    id: span.block.block.id,
    startsAt: formatMs(span.startMs),
    name: blockName(span.block),
    before: beforeWords(span, timeline, session),
    sides: sideLines(span.block),
    uses: usesLine(span.block),
    instead: insteadIn(span.block.block.id),
    pictures: picturesOf(span.block, catalog),
    says: [...stillnessLine(span, timeline), ...saysLines(span.block), ...scriptLines(span, timeline)],
  }))
}

const picturesOf = (resolved: Resolved, catalog: Pick<Catalog, 'poses' | 'ownPoses'>): readonly Pictured[] =>
  (resolved.kind === 'hold' ? resolved.sides : [{ side: 'both' as const }]).flatMap(
    ({ side }) => picturedBlock(resolved, catalog, side === 'both' ? undefined : side) ?? [],
  )

function beforeWords(span: BlockSpan, timeline: Timeline, { practice }: Pick<Session, 'practice'>): string {
  const first = timeline.segments[span.firstSegment]
  return first?.doing.kind === 'change' ? ribWords([first], practice) : ''
}

function sideLines(resolved: Resolved): string[] {
  switch (resolved.kind) {
    case 'hold':
      return resolved.sides.map(({ side, holdS }) =>
        side === 'both'
          ? formatDuration(holdS)
          : `${side} ${formatDuration(holdS)}: ${resolved.pose.sides?.[side] ?? ''}`,
      )
    case 'movement':
      return resolved.sides.map((side) =>
        side === 'both'
          ? `${String(resolved.rounds)} rounds`
          : `${side} ${String(resolved.rounds)} rounds: ${resolved.movement.sides?.[side] ?? ''}`,
      )
    case 'talk':
      return [formatDuration(resolved.block.s)]
    case 'rest': {
      const { block, ending } = resolved
      return [formatDuration(block.s), ...(ending ? [comingUpWords(ending)] : [])]
    }
    case 'breath':
    case 'closing':
      return [blockDetail(resolved)]
  }
}

function usesLine(resolved: Resolved): string {
  if (resolved.kind === 'hold') return blockDetail(resolved)
  // What the final rest, breath work or a rest is set up with.
  return 'setUp' in resolved ? takesWords(resolved.setUp?.value.items ?? []) : ''
}

/** The words that ask for stillness, with their tail, which no sheet leaves out. */
const asksForStillness: ReadonlySet<string> = new Set(['settled', 'rest', 'finalRest'])
function stillnessLine({ block }: BlockSpan, { cues }: Timeline): string[] {
  const asked = cues.find(({ id, blockId }) => blockId === block.block.id && asksForStillness.has(id))
  return asked?.text === undefined ? [] : [asked.text]
}

/** What is said sentence by sentence, each with its time into what it is said in, and where the long quiet lies. */
function scriptLines({ block }: BlockSpan, { scripts, segments }: Timeline): string[] {
  const said = scripts.find(({ blockId }) => blockId === block.block.id)
  if (!said) return []
  const { script, spoken, startMs, firstSegment } = said
  const beforeMs = startMs - (segments[firstSegment]?.startMs ?? startMs)
  const quiet = `long quiet, ${formatMs(spoken.quiet.toMs - spoken.quiet.fromMs)}`
  return script.sentences.flatMap(({ text }, at) => [
    `${formatMs(beforeMs + (spoken.sentences[at]?.startMs ?? 0))} ${text}`,
    ...(at + 1 === script.quietAfter ? [quiet] : []),
  ])
}

function saysLines(resolved: Resolved): string[] {
  switch (resolved.kind) {
    case 'hold': {
      const side = resolved.sides[0]?.side ?? 'both'
      const cues = resolved.cues.flatMap(({ at, text }) =>
        text ? [`${momentWords(at)}: ${mirrorText(text, side)}`] : [],
      )
      const form = resolved.variant ? [`form: ${resolved.variant.name}`] : []
      return [...form, ...cues, `coming out: ${mirrorText(resolved.pose.comingOut.join('; '), side)}`]
    }
    case 'movement':
      return resolved.movement.parts.map(({ does }) => mirrorText(does, resolved.sides[0] ?? 'both'))
    case 'talk':
      return resolved.block.text ? [resolved.block.text] : []
    case 'rest':
      return resolved.block.text ? [resolved.block.text] : []
    case 'breath':
      return resolved.techniques.flatMap(({ how }) => how)
    case 'closing':
      return resolved.block.text ? [resolved.block.text] : []
  }
}
