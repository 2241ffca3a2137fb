import type { Milliseconds } from '#core/units'
import { ownCues } from '../own-cues.ts'
import type { Held, HeldSide, Rule } from '../rule.ts'

/** Two cues closer than this are one too many [decisions, phases and cues]. */
const leastMs = 10_000

/** Two cues within ten seconds of each other in one hold, on either side. */
export const cuesClose: Rule<'CUES_CLOSE'> = {
  code: 'CUES_CLOSE',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const close = held.sides.flatMap((side) => closeOn(held, side) ?? [])[0]
      return close ? [{ blockId: held.id, ...close }] : []
    }),
}

interface Close {
  readonly atMs: Milliseconds
  readonly facts: { readonly gapS: number; readonly first: string; readonly second: string }
}

function closeOn(held: Held, side: HeldSide): Close | undefined {
  const cues = ownCues(held).flatMap(({ held: of, cue }) => (of === side ? [cue] : []))
  for (const [at, later] of cues.entries()) {
    const former = cues[at - 1]
    if (!former || later.atMs - former.atMs >= leastMs) continue
    const gapS = Math.round((later.atMs - former.atMs) / 1000)
    return { atMs: later.atMs, facts: { gapS, first: former.text ?? '', second: later.text ?? '' } }
  }
  return undefined
}
