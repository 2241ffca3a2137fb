import type { Cue } from '#model/cue'
import { freeId } from '#core/session'
import type { Milliseconds } from '#core/units'
import { ownCues } from '../own-cues.ts'
import type { Held, HeldSide, Rule } from '../rule.ts'

/** A hold long enough for one cheek to be too much [handbook: the head turned to one cheek for many minutes]. */
const longS = 180
/** More than half of the hold on one cheek, and a little for the words. */
const mostShare = 0.55

const turns = /\b(turn|other (cheek|way|side)|second cheek)\b/i
const ofTheHead = /\b(head|cheek|face|nose|chin|gaze|other way)\b/i

/** The head stays on one cheek for more than half of a long hold, on either side. */
export const oneCheek: Rule<'ONE_CHEEK'> = {
  code: 'ONE_CHEEK',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      if (held.hold.pose.head.turned !== 'half time') return []
      const side = held.sides.find(
        (one) => one.holdS >= longS && longestOnOneCheek(held, one) > (one.endMs - one.startMs) * mostShare,
      )
      if (!side) return []
      const block = { ...held.hold.block, cues: [...held.hold.cues, turnAtHalf(held, side)] }
      return [
        {
          blockId: held.id,
          facts: { cheekS: Math.round(longestOnOneCheek(held, side) / 1000), holdS: side.holdS },
          mend: { by: 'edits', edits: [{ type: 'replace', block }] },
        },
      ]
    }),
}

function longestOnOneCheek(held: Held, side: HeldSide): Milliseconds {
  const turnsAt = ownCues(held).flatMap(({ held: of, cue: { text, atMs } }) =>
    of === side && text !== undefined && turns.test(text) && ofTheHead.test(text) ? [atMs] : [],
  )
  const marks = [side.startMs, ...turnsAt, side.endMs]
  return Math.max(...marks.slice(1).map((at, index) => at - (marks[index] ?? at)))
}

/** A turn at half of the hold: in whatever phase that falls, since a cue stands in a phase. */
function turnAtHalf({ hold }: Held, { startMs, endMs, segments }: HeldSide): Cue {
  const text = 'Turn the head the other way'
  const id = freeId('turn', hold.cues)
  const halfMs = (startMs + endMs) / 2
  const phase = segments.find((segment) => halfMs >= segment.startMs && halfMs < segment.endMs)
  if (!phase || segments.length < 2 || phase.doing.kind !== 'hold') return { id, at: { share: 0.5 }, text }
  return { id, phaseId: phase.doing.phase.id, at: { fromStartS: Math.round((halfMs - phase.startMs) / 1000) }, text }
}
