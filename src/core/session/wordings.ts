import type { Answers } from '#model/answers'
import type { SomeWording, Wording } from '#model/wording'

/** What holds where nothing was chosen. */
const usualWording: Wording = { stillness: 'move', roll: 'roll', stop: 'signs' }

export const wordingOf = (chosen: SomeWording | undefined): Wording => ({ ...usualWording, ...chosen })

/**
 * Ends every cue that asks for stillness, in full where people are still for the first time in a position, in short
 * after that; no setting removes it [decisions].
 */
export const stillnessWords: Readonly<Record<Wording['stillness'], { readonly full: string; readonly short: string }>> =
  {
    move: { full: 'move if anything tingles or hurts', short: 'you may move' },
    change: { full: 'if anything tingles or hurts, change it', short: 'change what asks for it' },
    always: { full: 'you may always move, and do at any tingling or pain', short: 'you may always move' },
  }

/** The roll out of lying. It always leaves the side free [decisions]. */
export const rollWords: Readonly<Record<Wording['roll'], Readonly<Record<Answers['roll'], string>>>> = {
  roll: {
    either: 'roll to one side, or the side you prefer',
    left: 'roll to the left, or the side you prefer',
    right: 'roll to the right, or the side you prefer',
  },
  turn: {
    either: 'turn onto whichever side you like',
    left: 'turn onto your left side, or the right if you like it better',
    right: 'turn onto your right side, or the left if you like it better',
  },
  over: {
    either: 'over onto a side, left or right as you like',
    left: 'over onto the left; the right is just as good',
    right: 'over onto the right; the left is just as good',
  },
}

/** The signs at which one stops, as they are said before a class moves [cautions reference 6]. */
export const stopWords: Readonly<Record<Wording['stop'], string>> = {
  signs: 'Stop signs: come out at anything sharp, tingling or numb, at dizziness, and at a breath you have to force.',
  comeOut:
    'Come out slowly at anything sharp, tingling, numb or dizzy, or if the breath has to be forced. No reason is needed.',
  tell: 'Sharp, tingling, numb, dizzy, or a breath that is forced: ease out, breathe as you like, and tell me.',
}
