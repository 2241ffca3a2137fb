import type { SpokenScript, TimedScript } from '#core/session'
import { formatMs } from '#core/units'
import type { Milliseconds } from '#core/units'
import { counted } from './text.ts'

const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0)

/** What a script comes to in its time: "14 sentences, 1:10 of words, long quiet 6:20 of 10:00". */
export function scriptSaidWords({ sentences }: TimedScript, { quiet }: SpokenScript, lengthMs: Milliseconds): string {
  const wordsMs = sum(sentences.map(({ sayMs }) => sayMs))
  const longQuiet = `long quiet ${formatMs(quiet.toMs - quiet.fromMs)} of ${formatMs(lengthMs)}`
  return `${counted(sentences.length, 'sentence')}, ${formatMs(wordsMs)} of words, ${longQuiet}`
}

/** What lacks: "0:20 too long: give it more time, or leave something out". */
export const scriptLackWords = ({ lackMs }: SpokenScript): string =>
  lackMs > 0 ? `${formatMs(lackMs)} too long, even with pauses of two seconds: give it more time, or fewer words.` : ''
