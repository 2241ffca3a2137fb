import type { LedStart } from '#model/led-class'
import type { Section } from '#model/section'
import { patternText } from '#core/breath'
import { stoppedForMs } from '#core/lead'
import type { BreathNow, LeadSegment, LeadState, OtherSide } from '#core/lead'
import { formatDuration, formatMs } from '#core/units'
import { changeWords } from './positions.ts'
import { capital, joined } from './text.ts'
import { afterRestName } from './practices.ts'

const sideNames = { left: 'Left', right: 'Right', both: '' } as const

export const sideName = (segment: LeadSegment): string => (segment.side === null ? '' : sideNames[segment.side])

/** The side in the body's terms, as it was on the shelf that day. */
export function sideInBody(led: Pick<LedStart, 'blocks'>, segment: LeadSegment): string {
  const { side } = segment
  if (side !== 'left' && side !== 'right') return ''
  return led.blocks[segment.blockId]?.sides?.[side] ?? ''
}

export const blockTitle = (led: LedStart, segment: LeadSegment): string => led.blocks[segment.blockId]?.name ?? ''

const closingWords = {
  finalRest: 'Final rest',
  comingOut: 'Coming out',
  roll: 'Roll to the side',
  sittingUp: 'Press up and sit',
} as const

/** What is breathed in a stretch of breath work: the section it is in, as it was called on the day. */
export function sectionTitle(led: LedStart, segment: LeadSegment): string {
  const { blockId, doing } = segment
  const block = led.blocks[blockId]
  if (doing.kind !== 'breath' || !block?.sections) return block?.name ?? ''
  const isNatural = doing.part === 'natural' && sectionOf(led, segment)?.kind !== 'natural'
  return isNatural ? 'Natural breath' : (block.sections[doing.section] ?? '')
}

/** The section of the session that a stretch of breath work belongs to. */
function sectionOf(led: LedStart, { blockId, doing }: LeadSegment): Section | undefined {
  const block = led.document.blocks.find(({ id }) => id === blockId)
  return block?.kind === 'breath' && doing.kind === 'breath' ? block.sections[doing.section] : undefined
}

/** What happens in a segment, in the teacher's words. */
export function segmentTitle(led: LedStart, segment: LeadSegment): string {
  const { doing } = segment
  const name = blockTitle(led, segment)
  switch (doing.kind) {
    case 'talk':
    case 'hold':
    case 'movement':
    case 'rest':
      return joined([name, sideName(segment).toLowerCase()], ', ')
    case 'breath':
      return sectionTitle(led, segment)
    case 'change':
      return capital(doing.text ?? changeWords(doing.from, doing.to) ?? `Lay out for ${name}`)
    case 'setUp':
      return doing.second ? 'Set up the other side' : `Set up ${name}`
    case 'settle':
      return 'Settle'
    case 'comingOut':
      return 'Come out'
    case 'betweenSides':
      return { nothing: 'Other side', stillness: 'Stillness', movement: 'Small movement' }[doing.form]
    case 'afterRest':
      return capital(afterRestName(led.document.practice))
    case 'closing':
      return closingWords[doing.step]
  }
}

/** What to say while a segment runs: its first cue, or the block's own text. */
export function toSay(led: LedStart, segment: LeadSegment): string {
  const block = led.document.blocks.find(({ id }) => id === segment.blockId)
  if (segment.doing.kind === 'talk' && block?.kind === 'talk') return block.text ?? ''
  const cue = led.plan.cues.find((candidate) => candidate.segment === segment.index && candidate.text !== undefined)
  if (cue?.text !== undefined) return cue.text
  if (segment.doing.kind === 'setUp' || segment.doing.kind === 'settle') return sideInBody(led, segment)
  return ''
}

const partWords = { in: 'in', full: 'hold full', out: 'out', empty: 'hold empty', pause: 'pause' } as const

/** The breath that is counted now; a retention is told with its length. */
export function breathWords(breath: BreathNow | undefined): string {
  if (!breath) return 'natural breath'
  const { part, counts, through, lock } = breath
  const held = part === 'full' || part === 'empty' ? `${partWords[part]} ${String(counts)}` : partWords[part]
  const words = through === undefined ? held : `${held} ${through === 'both' ? 'through both' : through}`
  return lock === undefined ? words : `${words}, ${lock.lock} lock ${lock.does === 'on' ? 'on' : 'off'}`
}

/** What leads people back into counting. */
type LeadIn = 'in' | 'out' | undefined
const leadInWords = { in: 'breathe in', out: 'breathe out' } as const

/** The same in a line: the part with its running count. */
export function breathCountWords(breath: BreathNow | undefined, leadIn?: LeadIn): string {
  if (breath) return `${partWords[breath.part]} ${String(breath.count)}`
  return leadIn ? leadInWords[leadIn] : breathWords(undefined)
}

/** What a stop sign means for the rest of the class; nothing where none was seen. */
export function stoppedWords({ counting, stoppedMs, nowMs }: LeadState): string {
  if (counting === 'all' || stoppedMs === null) return ''
  if (counting === 'plain') return 'No breath is held or stroked any more today'
  const leftMs = stoppedMs + stoppedForMs - nowMs
  const until = 'is counted until you press Count again'
  return leftMs > 0 ? `Natural breath for ${formatMs(leftMs)} at least; then nothing ${until}` : `Nothing ${until}`
}

const uncountedWords = {
  leadIn: 'breathe out',
  wayOut: 'finish the breath',
  lesson: 'as shown',
  uncounted: 'as long as is easy',
  strokes: 'strokes',
} as const

/** What is breathed in a stretch of breath work: the part that is counted, else how. */
export function breathingWords({ doing }: LeadSegment, breath: BreathNow | undefined, leadIn?: LeadIn): string {
  if (!breath && leadIn) return leadInWords[leadIn]
  if (breath || doing.kind !== 'breath') return breathWords(breath)
  return doing.part in uncountedWords ? uncountedWords[doing.part as keyof typeof uncountedWords] : breathWords(breath)
}

/** Which section of how many, at which place for the hands or in which set, and which round of how many. */
export function whereInBreath(led: LedStart, segment: LeadSegment, breath: BreathNow | undefined): string {
  const { blockId, doing } = segment
  const count = led.blocks[blockId]?.sections?.length ?? 0
  if (doing.kind !== 'breath') return roundWords(breath)
  const section = count > 1 && doing.section < count ? `section ${String(doing.section + 1)} of ${String(count)}` : ''
  const place = doing.station?.place ?? setWords(led, segment)
  // A held breath by itself, or strokes, are a round a set.
  const rounds = isRoundASet(led, segment) ? '' : roundWords(breath)
  return joined([section, place, slopeWords(led, segment), rounds], ' · ')
}

/** Which set of how many, where there are several; of strokes and held breaths their rounds. */
function setWords(led: LedStart, segment: LeadSegment): string {
  const { blockId, doing } = segment
  if (doing.kind !== 'breath' || (doing.part !== 'counted' && doing.part !== 'strokes')) return ''
  const sets = led.plan.segments.reduce(
    (most, other) =>
      other.blockId === blockId && other.doing.kind === 'breath' && other.doing.section === doing.section
        ? Math.max(most, other.doing.set)
        : most,
    0,
  )
  const word = isRoundASet(led, segment) ? 'round' : 'set'
  return sets > 1 ? `${word} ${String(doing.set)} of ${String(sets)}` : ''
}

const isRoundASet = (led: LedStart, segment: LeadSegment): boolean =>
  ['retention', 'strokes'].includes(sectionOf(led, segment)?.kind ?? '')

/** The counts of a set whose pattern changes from set to set. */
function slopeWords(led: LedStart, segment: LeadSegment): string {
  const { doing } = segment
  const section = sectionOf(led, segment)
  if (section?.kind !== 'rounds' || !section.slope || doing.kind !== 'breath' || doing.part !== 'counted') return ''
  const halvesOf = (wanted: 'in' | 'full' | 'out' | 'empty'): number =>
    doing.parts.reduce((sum, { part, ticks }) => (part === wanted ? sum + ticks / doing.over : sum), 0)
  return patternText({ in: halvesOf('in'), full: halvesOf('full'), out: halvesOf('out'), empty: halvesOf('empty') })
}

/**
 * The count as it is shown: of a held breath by itself what is left of it, of all else the count that is reached.
 */
export function shownCount(led: LedStart, segment: LeadSegment, breath: BreathNow): string {
  const section = sectionOf(led, segment)
  const isHeld = section?.kind === 'retention' && breath.part === section.held
  return String(isHeld ? Math.ceil(breath.counts) - breath.count + 1 : breath.count)
}

export const roundWords = (breath: { readonly round: number; readonly rounds: number } | undefined): string =>
  breath ? `round ${String(breath.round)} of ${String(breath.rounds)}` : ''

/** How the other side of a hold stands to its plan. */
export function otherSideWords({ is, moreMs }: OtherSide, side: 'left' | 'right'): string {
  const more = Math.round(moreMs / 1000)
  if (more === 0) return 'as planned'
  const than = `${formatDuration(Math.abs(more))} ${more > 0 ? 'longer' : 'shorter'} than planned`
  if (is === 'was') return `as it was done, ${than}`
  return is === 'will match' ? `${than}, as the ${side}` : than
}

/** A stretch as a screen reader hears it when it begins. */
export function stageWords(led: LedStart, segment: LeadSegment): string {
  const { doing } = segment
  const phase = doing.kind === 'hold' && doing.phase.name !== '' ? doing.phase.name : ''
  return joined([segmentTitle(led, segment), sideInBody(led, segment), phase], ', ')
}
