import type { Held, HeldSide } from './rule.ts'
import type { TimelineCue } from '#core/timeline'

/** Cues that Zovrin writes itself: their words follow the plan and are right by making. */
const made: ReadonlySet<string> = new Set(['settled', 'settling', 'setUp', 'comeOut'])

/** What the teacher or the pose says in a hold, side by side; words and sounds that follow the plan left out. */
export const ownCues = ({ sides }: Held): { readonly held: HeldSide; readonly cue: TimelineCue }[] =>
  sides.flatMap((held) =>
    held.cues
      .filter(({ id, atMs }) => !made.has(id) && !id.startsWith('phase-') && atMs >= held.startMs)
      .map((cue) => ({ held, cue })),
  )

/** The same with words, and each of them once: at the first side it is said on. */
export const ownWords = (
  held: Held,
): { readonly held: HeldSide; readonly cue: TimelineCue; readonly text: string }[] => {
  const seen = new Set<string>()
  return ownCues(held).flatMap(({ held: side, cue }) => {
    if (cue.text === undefined || seen.has(cue.id)) return []
    seen.add(cue.id)
    return [{ held: side, cue, text: cue.text }]
  })
}
