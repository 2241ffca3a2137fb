import type { Milliseconds } from '#core/units'
import type { Caption, Span } from './captions.ts'
import { isPlainWord, spokenIn } from './cues.ts'
import { piecesOf } from './pieces.ts'
import type { RecordedSides } from './told-of-recording.ts'

/** Something that was said of the first side of a shape, and when. */
export interface SaidOnFirst {
  readonly startMs: Milliseconds
  /** In small letters, as it was measured. */
  readonly text: string
}

/** A sentence was said on the second side as well where so many of its telling words were [estimate]. */
const saidShare = 0.4
/** A sentence with fewer telling words tells of no shape. */
const leastWords = 2

/** Said in every other sentence, and of no one shape. */
const saidAnyway =
  /^(?:left|right|other|side|sides|bring|take|come|coming|put|place|keep|make|begin|start|slowly|gently|little|again|next|going|want|need|really|maybe|nice)$/

/** The words that tell something, one for one and many; a side is another on the other side. */
const tellingWords = (text: string): readonly string[] =>
  (text.match(/[a-z']+/g) ?? [])
    .filter((word) => word.length > 2 && !isPlainWord(word) && !saidAnyway.test(word))
    .map((word) => (word.length > 3 ? word.replace(/s$/, '') : word))

/**
 * What was said while the first side of a shape was set up and held and was not said again until the second side ended:
 * sentences that instruct, by their telling words, in the order of time. What else is talked of in between is left out.
 */
export function unsaidOnSecond(
  captions: readonly Caption[],
  spans: readonly Span[],
  { first, second }: Pick<RecordedSides, 'first' | 'second'>,
): readonly SaidOnFirst[] {
  const pieces = piecesOf(captions).filter(({ text }) => text !== '')
  const at = spans.findIndex(({ startMs }) => startMs === first.startMs)
  const setUpFrom = spans.slice(0, Math.max(0, at)).findLastIndex(({ kind }) => kind !== 'setUp') + 1
  const fromMs = spans[setUpFrom]?.startMs ?? first.startMs
  const inSecond = pieces.filter(({ startMs }) => startMs >= first.endMs && startMs < second.endMs)
  const saidThen = new Set(inSecond.flatMap(({ text }) => tellingWords(text)))
  return pieces
    .filter(({ startMs }) => startMs >= fromMs && startMs < first.endMs)
    .filter(({ text }) => instructs(text) && !isSaid(tellingWords(text), saidThen))
    .map(({ startMs, text }) => ({ startMs, text }))
}

function instructs(text: string): boolean {
  const { talk = 0, ...kinds } = spokenIn(text)
  return Object.values(kinds).some((points) => points > talk)
}

const isSaid = (words: readonly string[], then: ReadonlySet<string>): boolean =>
  words.length < leastWords || words.filter((word) => then.has(word)).length >= words.length * saidShare
