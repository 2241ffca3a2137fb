import type { Block } from '#model/block'
import type { ClassDrift } from '#model/class-drift'

/** When a pose, movement or technique was led last, and in which session. */
export interface LastTaught {
  readonly thing: string
  readonly startedAt: string
  readonly sessionId: string
  readonly name: string
}

/** What of the shelf is led in a block: a pose, a movement, the techniques of its sections; each once. */
export function thingsIn(block: Block): readonly string[] {
  if (block.kind === 'hold') return [block.poseId]
  if (block.kind === 'movement') return [block.movementId]
  if (block.kind !== 'breath') return []
  return [
    ...new Set(block.sections.flatMap((section) => ('techniqueId' in section ? (section.techniqueId ?? []) : []))),
  ]
}

/** When each thing that classes led was taught last. */
export function lastTaught(classes: readonly ClassDrift[]): readonly LastTaught[] {
  const last = new Map<string, LastTaught>()
  for (const { things, startedAt, sessionId, name } of classes)
    for (const thing of things)
      if ((last.get(thing)?.startedAt ?? '') < startedAt) last.set(thing, { thing, startedAt, sessionId, name })
  return [...last.values()]
}
