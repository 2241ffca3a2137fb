import type { Elevation } from '#core/figure'
import type { Milliseconds } from '#core/units'
import type { Figure } from '#model/figure'
import type { KeptEvent, LeadEvent, LedDoing, LedPlan, LedStart } from '#model/led-class'

/**
 * A class as the screen for the students may have it: what is done, when, and how it is called on the shelf. What is
 * said, what a talk is called, who takes what and how many are here is none of it.
 */
export interface OnScreen {
  readonly id: string
  readonly startedAt: string
  readonly blocks: LedStart['blocks']
  readonly plan: LedPlan
}

/** What a screen is told once of the class that runs: with the body on its set-up, by block, where there is a picture. */
export interface ScreenClass extends OnScreen {
  readonly figures: Readonly<Record<string, ScreenFigure>>
}

/** A body on its set-up, from where it is seen best, and which side of the pose it shows as it stands. */
interface ScreenFigure extends Pick<Figure, 'view' | 'side'> {
  readonly elevation: Elevation
}

/** What a screen is told each time something happens to it. */
export interface ScreenNow {
  readonly id: string
  readonly events: readonly LeadEvent[]
  /** When its class time was 0 by the server's clock, epoch ms. */
  readonly zeroMs: Milliseconds
  /** Whether the device that leads is in touch. */
  readonly isInTouch: boolean
  readonly showsClock: boolean
}

/** A change's own words are the teacher's. */
const doingOnScreen = (doing: LedDoing): LedDoing => {
  if (doing.kind !== 'change') return doing
  const { text: _, ...rest } = doing
  return rest
}

/** Its times are those of the class: what is said changes none of them. */
export function onScreen({ id, startedAt, blocks, plan }: LedStart): OnScreen {
  const { cues: _, scripts: __, segments, ...rest } = plan
  const talks = new Set(segments.flatMap(({ blockId, doing }) => (doing.kind === 'talk' ? [blockId] : [])))
  return {
    ...{ id, startedAt },
    blocks: Object.fromEntries(Object.entries(blocks).filter(([blockId]) => !talks.has(blockId))),
    plan: { ...rest, cues: [], segments: segments.map((one) => ({ ...one, doing: doingOnScreen(one.doing) })) },
  }
}

/** What changes nothing in a class, or tells of who is there, is not for the screen. */
const notShown: ReadonlySet<KeptEvent['event']['type']> = new Set(['cameLate', 'mark', 'bell', 'missed'])

/** The events that a screen folds. */
export const eventsOnScreen = (events: readonly KeptEvent[]): readonly KeptEvent['event'][] =>
  events.flatMap(({ event }) => (notShown.has(event.type) ? [] : [event]))
