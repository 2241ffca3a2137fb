import { keysOf } from '#core/units'
import type { BasePosition } from '#model/common'
import { ownWords } from '../own-cues.ts'
import type { Rule } from '../rule.ts'

/** Words by which people are brought down onto a part of themselves; hands are rested there, people lie. */
const come =
  '(?:lie|lies|lying|lay|roll|rolled|rolling|turn|turned|turning|come|coming|go|stay|staying)' +
  '(?: (?:down|over|back|up|round|now|still|gently|slowly|softly|quietly|all the way))*'
const onto = (part: string) => `(?:${come} on(?:to)?|^on|[.;:] on) (?:the|your) (?:${part})\\b`

/** Words that put people into a base position: only those nothing else can be meant by. */
const words: Readonly<Partial<Record<BasePosition, RegExp>>> = {
  prone: new RegExp(`\\b(?:prone|face down)\\b|\\b${onto('belly|front|stomach')}`, 'i'),
  supine: new RegExp(`\\b(?:supine|face up)\\b|\\b${onto('back')}(?! of\\b)`, 'i'),
  sideLying: new RegExp(`\\bside[- ]lying\\b|\\b${onto('side')}`, 'i'),
  standing: /\b(?:standing|stand up|(?:come|get|rise|step)(?: \w+){0,2} (?:on|to|onto) (?:the|your) feet)\b/i,
  kneeling: /\bkneeling\b/i,
  allFours: /\b(?:all fours|hands and knees)\b/i,
}

/** A cue in a hold that names another base position than people are in. */
export const wrongPositionSaid: Rule<'WRONG_POSITION_SAID'> = {
  code: 'WRONG_POSITION_SAID',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const { enter, leave } = held.hold.pose.base
      const found = ownWords(held).flatMap(({ cue, text }) =>
        keysOf(words)
          .filter((position) => position !== enter && position !== leave && words[position]?.test(text))
          .map((position) => ({ cue, text, position })),
      )[0]
      if (!found) return []
      return [{ blockId: held.id, atMs: found.cue.atMs, facts: { said: found.position, is: enter, text: found.text } }]
    }),
}
