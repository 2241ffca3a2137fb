import type { LedPlan } from '#model/led-class'
import { beforeHold, mayCountAgain } from '#core/lead'
import type { Command, LeadState, Stage } from '#core/lead'
import type { Panel } from './use-refit.ts'
import type { Room } from './use-room.ts'

/** What one place of the foot does: a command to the class, something to show beside it, or what to say. */
export type FootDoes =
  | { readonly is: 'command'; readonly command: Command }
  | { readonly is: 'panel'; readonly panel: Panel }
  | { readonly is: 'say' }
  /** A light screen, or a dark one. */
  | { readonly is: 'room' }

export interface FootItem {
  readonly does: FootDoes
  readonly words: string
  readonly key: string
  readonly isFree?: boolean
  readonly isLarge?: boolean
  /** How soon a thumb needs it, the smallest first. */
  readonly rank: number
}

type Running = Exclude<Stage, { is: 'ended' }>

const command = (does: Command, words: string, key: string, rank: number, look: Partial<FootItem> = {}): FootItem => ({
  ...{ does: { is: 'command', command: does }, words, key, rank },
  ...look,
})

/** Whether counts drive what is led: then Breathe freely is there, and the stop signs are near. */
const isCountedNow = (plan: LedPlan, { segment: { doing, blockId } }: Running): boolean =>
  doing.kind === 'breath' || doing.kind === 'movement' || (doing.kind === 'hold' && plan.over[blockId] !== undefined)

function endWords({ segment: { doing, side } }: Running, isInShape: boolean): string {
  if (isInShape) return 'They come out'
  if (doing.kind === 'hold') return side === 'both' ? 'End this hold' : 'End this side'
  return doing.kind === 'breath' ? 'End this breath' : 'End this'
}

/** All that the teacher can tell the class now, in the order of the foot. */
export function footItems(plan: LedPlan, state: LeadState, stage: Running, room: Room): readonly FootItem[] {
  const { doing, blockId, side } = stage.segment
  const isPaused = stage.is === 'paused'
  const isInShape = isPaused && stage.kind === 'hold'
  const isWaited = stage.is === 'between' && stage.settling !== undefined
  const isCounted = isCountedNow(plan, stage)
  const mayBeReady = beforeHold.has(doing.kind) && !isPaused && (isWaited || doing.kind !== 'settle')
  return [
    ...(mayBeReady
      ? [command('settled', isWaited ? 'All are settled' : 'Ready', 'Enter', isWaited ? 0 : 4, { isLarge: isWaited })]
      : []),
    isPaused ? command('resume', 'Go on', 'space', 2) : command('pause', 'Pause', 'space', 2),
    command('stay', 'Stay 30 s', '+', 6),
    // Where all are to be settled, that is the end of it.
    ...(isWaited ? [] : [command(isInShape ? 'theyComeOut' : 'end', endWords(stage, isInShape), '→', 3)]),
    command('back', 'Back', '←', 7),
    ...(state.capped?.blockId === blockId
      ? [command('match', `As long as the ${side === 'left' ? 'right' : 'left'}`, 'Enter', 4)]
      : []),
    ...(mayCountAgain(state, state.nowMs) ? [command('countAgain', 'Count again', 'C', 4, { isFree: true })] : []),
    ...(isCounted ? [command('freely', 'Breathe freely', 'O', 1, { isFree: true })] : []),
    command('stopCard', 'Stop signs', 'X', isCounted ? 5 : 8),
    command('mark', 'Mark', 'M', 9),
    command('bell', 'Bell', 'B', 9),
    { does: { is: 'say' }, words: 'What to say', key: 'T', rank: 10 },
    { does: { is: 'panel', panel: 'makeUp' }, words: 'Make up time', key: 'G', rank: 11 },
    { does: { is: 'panel', panel: 'left' }, words: 'What is left', key: 'W', rank: 11 },
    { does: { is: 'panel', panel: 'devices' }, words: 'Screens', key: 'S', rank: 12 },
    { does: { is: 'room' }, words: room === 'dark' ? 'Light screen' : 'Dark screen', key: 'L', rank: 12 },
  ]
}

/** As many as a thumb finds in the dark. */
const thumbPlaces = 4

/** What a thumb needs first, and the rest. */
export function forThumb(items: readonly FootItem[]): {
  readonly near: readonly FootItem[]
  readonly more: readonly FootItem[]
} {
  const near = items.toSorted((a, b) => a.rank - b.rank).slice(0, thumbPlaces)
  return { near, more: items.filter((item) => !near.includes(item)) }
}
