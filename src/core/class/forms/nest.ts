import type { Choice, Nearness } from './choices.ts'
import { costOf } from './route.ts'
import type { Taking } from './who-takes-what.ts'

/** One pose to rest in for several blocks that somebody does otherwise than planned. */
export interface Nest {
  readonly poseId: string
  readonly blockIds: readonly string[]
  /** Gettings-up of their whole way with it. */
  readonly gettingsUp: number
}

/** A nest is worth a word from so many blocks and different poses on. */
const leastBlocks = 2
const mostOffered = 3
const isRest: ReadonlySet<Nearness> = new Set(['named', 'another', 'given'])

/**
 * Rests that somebody could keep through all they do otherwise, or through most of it: what takes the most blocks first,
 * none of them with more gettings-up than their way has now [teacher's review P3]. Nothing where they already do.
 */
export function oneNest(takings: readonly Pick<Taking, 'blockId' | 'choices' | 'does'>[]): readonly Nest[] {
  const mostUp = costOf(takings.map(({ does }) => does)).gettingsUp
  const changed = takings.filter(({ does }) => does !== undefined && does.takes.kind !== 'asItStands')
  const others = changed.filter(({ does }) => does?.takes.kind === 'pose')
  if (new Set(others.map(({ does }) => does?.pose?.id)).size < leastBlocks) return []
  const byPose = new Map<string, Map<string, Choice>>()
  for (const { blockId, choices } of changed) {
    for (const choice of choices) {
      if (choice.takes.kind !== 'pose' || !isRest.has(choice.near)) continue
      const there = byPose.get(choice.takes.poseId) ?? new Map<string, Choice>()
      byPose.set(choice.takes.poseId, there.set(blockId, choice))
    }
  }
  return [...byPose]
    .filter(([, blocks]) => blocks.size >= leastBlocks)
    .map(([poseId, blocks]) => ({
      poseId,
      blockIds: [...blocks.keys()],
      gettingsUp: costOf(takings.map(({ blockId, does }) => blocks.get(blockId) ?? does)).gettingsUp,
    }))
    .filter(({ gettingsUp }) => gettingsUp <= mostUp)
    .sort((a, b) => b.blockIds.length - a.blockIds.length || a.gettingsUp - b.gettingsUp)
    .slice(0, mostOffered)
}
