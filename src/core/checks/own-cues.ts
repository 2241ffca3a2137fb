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

/** The same with words: at every side it is said on, since the sides may be held for different times. */
export const ownWords = (held: Held): { readonly held: HeldSide; readonly cue: TimelineCue; readonly text: string }[] =>
  ownCues(held).flatMap(({ held: side, cue }) => (cue.text === undefined ? [] : [{ held: side, cue, text: cue.text }]))
