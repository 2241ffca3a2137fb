import type { Stage } from '#core/breath'
import type { ResolvedBreath } from '#core/session'
import type { Segment } from '#core/timeline'
import type { Milliseconds } from '#core/units'
import type { Look } from './rule.ts'

/** The stage of a session that sets none [breath book 5]. */
const usualStage: Stage = 2
const stages: readonly Stage[] = [1, 2, 3, 4, 5, 6]

/** The first: any held breath is past it. */
const nothingHeld: Stage = 1

/** The sixth is led only with few people who are marked for it [breath book 5]. */
const lastForAnybody: Stage = 5

/** The stage of the breath ladder a session is planned for; before it is led, as far as the people may go. */
export function stageOf({ session, asked }: Pick<Look, 'session' | 'asked'>): Stage {
  if (asked?.minors) return nothingHeld
  const planned = stages.find((stage) => stage === session.stage) ?? usualStage
  return planned > lastForAnybody && asked && !asked.sixthStage ? lastForAnybody : planned
}

/** The breath blocks of a session. */
export const breathsOf = ({ blocks }: Pick<Look, 'blocks'>): readonly ResolvedBreath[] =>
  blocks.flatMap((block) => (block.kind === 'breath' ? [block] : []))

/** When a section of a breath block begins. */
export const sectionStart = ({ timeline }: Pick<Look, 'timeline'>, blockId: string, section: number): Milliseconds =>
  timeline.segments.find(
    ({ blockId: of, doing }) => of === blockId && doing.kind === 'breath' && doing.section === section,
  )?.startMs ?? 0

/** A stretch of a class in which a breath is held: in breath work, in a movement, or over a hold. */
export interface HeldBreath {
  readonly blockId: string
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
}

const heldParts: ReadonlySet<string> = new Set(['full', 'empty', 'pause', 'retention'])

/** Every stretch in which a breath is held, in order of time. */
export function heldBreaths({ timeline }: Pick<Look, 'timeline'>): readonly HeldBreath[] {
  const inBlocks = timeline.segments.filter(isHeld)
  const over = timeline.breathOver.filter(({ part }) => heldParts.has(part))
  return [...inBlocks, ...over].toSorted((a, b) => a.startMs - b.startMs)
}

export const isHeld = ({ doing }: Segment): boolean =>
  (doing.kind === 'breath' || doing.kind === 'movement') && heldParts.has(doing.part)

/** Whether a stretch is a round of strokes. */
export const isStrokes = ({ doing }: Segment): boolean => doing.kind === 'breath' && doing.part === 'strokes'
