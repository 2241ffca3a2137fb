import type { HoldBlock } from '#model/block'
import type { Script } from '#model/script'
import type { Session } from '#model/session'
import { aClosing, aHold, aSession, aTalk } from './sessions.ts'

/** A sentence of so many words. */
export const wordy = (words: number): string => Array.from({ length: words }, () => 'word').join(' ')

/** So many sentences of so many words each, with four seconds of quiet after each. */
export const aScript = (sentences: number, words: number): Script => ({
  sentences: Array.from({ length: sentences }, () => ({ text: wordy(words), pauseAfterS: 4 })),
})

const held = (script: Script, details: Partial<HoldBlock> = {}): Session =>
  aSession([
    { ...aTalk('arrive', 120), text: 'The stop signs' },
    aHold('knees-to-chest', { hold: { holdS: 120 }, cues: [], script, ...details }),
    aClosing({ finalRestS: 480 }),
  ])
const talked = (sentences: number): Session =>
  aSession([{ ...aTalk('arrive', 60), script: aScript(sentences, 11) }, aClosing({ finalRestS: 480 })])

/** Four seconds in, four held, four out, nothing held: rounds of twelve seconds. */
const heldFour = (full: number): NonNullable<HoldBlock['breathOver']> => ({
  ...{ techniqueId: 'long-exhale', pace: { num: 1000, den: 1 }, countedRounds: 3 },
  pattern: { in: 8, full, out: 8, empty: 0 },
})

/** For each rule of scripts a document that makes it appear, and the smallest change that makes it go. */
export const scriptDocuments: Readonly<Record<string, { readonly with: Session; readonly without: Session }>> = {
  // Eleven words take 6 s, with 2 s of quiet 8 s: seven of them 56 s, eight 64 s.
  SCRIPT_TOO_LONG: { with: talked(8), without: talked(7) },
  TALK_TOO_FULL: { with: held(aScript(5, 17)), without: held(aScript(4, 17)) },
  SCRIPT_IN_HELD_BREATH: {
    with: held(aScript(6, 4), { breathOver: heldFour(8) }),
    without: held(aScript(6, 4), { breathOver: heldFour(0) }),
  },
}
