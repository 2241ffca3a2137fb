import type { LedClass } from '#model/classes'
import type { LeadPlan, LeadSegment } from '#core/lead'
import { changeWords } from './positions.ts'
import { capital } from './text.ts'
import { afterRestName } from './practices.ts'

const sideNames = { left: 'Left', right: 'Right', both: '' } as const

export const sideName = (segment: LeadSegment): string => (segment.side === null ? '' : sideNames[segment.side])

/** The side in the body's terms, as it was on the shelf that day. */
export function sideInBody(led: LedClass, segment: LeadSegment): string {
  const { side } = segment
  if (side !== 'left' && side !== 'right') return ''
  return led.resolved[segment.blockId]?.sides?.[side] ?? ''
}

export const blockTitle = (led: LedClass, segment: LeadSegment): string => led.resolved[segment.blockId]?.name ?? ''

const closingWords = {
  finalRest: 'Final rest',
  comingOut: 'Coming out',
  roll: 'Roll to the side',
  sittingUp: 'Press up and sit',
} as const

/** What happens in a segment, in the teacher's words. */
export function segmentTitle(led: LedClass, segment: LeadSegment): string {
  const { doing } = segment
  const name = blockTitle(led, segment)
  switch (doing.kind) {
    case 'talk':
    case 'hold':
    case 'movement':
    case 'breath':
    case 'rest':
      return [name, sideName(segment).toLowerCase()].filter((part) => part !== '').join(', ')
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
export function toSay(led: LedClass, plan: LeadPlan, segment: LeadSegment): string {
  const block = led.document.blocks.find(({ id }) => id === segment.blockId)
  if (segment.doing.kind === 'talk' && block?.kind === 'talk') return block.text ?? ''
  const cue = plan.cues.find((candidate) => candidate.segment === segment.index && candidate.text !== undefined)
  if (cue?.text !== undefined) return cue.text
  if (segment.doing.kind === 'setUp' || segment.doing.kind === 'settle') return sideInBody(led, segment)
  return ''
}
