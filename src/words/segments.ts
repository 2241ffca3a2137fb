import type { LedStart } from '#model/led-class'
import type { BreathNow, LeadSegment, OtherSide } from '#core/lead'
import { formatDuration } from '#core/units'
import { changeWords } from './positions.ts'
import { capital, joined } from './text.ts'
import { afterRestName } from './practices.ts'

const sideNames = { left: 'Left', right: 'Right', both: '' } as const

export const sideName = (segment: LeadSegment): string => (segment.side === null ? '' : sideNames[segment.side])

/** The side in the body's terms, as it was on the shelf that day. */
export function sideInBody(led: LedStart, segment: LeadSegment): string {
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

/** What happens in a segment, in the teacher's words. */
export function segmentTitle(led: LedStart, segment: LeadSegment): string {
  const { doing } = segment
  const name = blockTitle(led, segment)
  switch (doing.kind) {
    case 'talk':
    case 'hold':
    case 'movement':
    case 'breath':
    case 'rest':
      return joined([name, sideName(segment).toLowerCase()], ', ')
    case 'change':
      return capital(doing.text ?? changeWords(doing.from, doing.to) ?? `Change to ${name}`)
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

/** The same in a line: the part with its running count. */
export const breathCountWords = (breath: BreathNow | undefined): string =>
  breath ? `${partWords[breath.part]} ${String(breath.count)}` : breathWords(undefined)

const uncountedWords = {
  leadIn: 'breathe out',
  wayOut: 'finish the breath',
  lesson: 'as shown',
  uncounted: 'as long as is easy',
  strokes: 'strokes',
} as const

/** What is breathed in a stretch of breath work: the part that is counted, else how. */
export function breathingWords({ doing }: LeadSegment, breath: BreathNow | undefined): string {
  if (breath || doing.kind !== 'breath') return breathWords(breath)
  return doing.part in uncountedWords ? uncountedWords[doing.part as keyof typeof uncountedWords] : breathWords(breath)
}

/** Which round of how many; at a place for the hands, which place that is. */
export function whereInBreath({ doing }: LeadSegment, breath: BreathNow | undefined): string {
  const place = doing.kind === 'breath' ? (doing.station?.place ?? '') : ''
  return joined([place, roundWords(breath)], ' · ')
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
