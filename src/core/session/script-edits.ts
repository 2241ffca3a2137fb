import { textLimits } from '#model/limits'
import type { NamedScript, Script, Sentence } from '#model/script'
import { quietAfterOf } from './script.ts'

/** A part of a script: its sentences `[from, to)`; without a name where none was given. */
export interface ScriptPart {
  readonly name: string
  readonly from: number
  readonly to: number
}

/** The parts of a script in their order; what stands before the first named one is a part without a name. */
export function scriptParts({ sentences }: Pick<Script, 'sentences'>): readonly ScriptPart[] {
  const starts = sentences.flatMap(({ part }, at) => (at === 0 || part !== undefined ? [at] : []))
  return starts.map((from, nth) => ({
    name: sentences[from]?.part ?? '',
    from,
    to: starts[nth + 1] ?? sentences.length,
  }))
}

type Said = Pick<Script, 'sentences' | 'quietAfter'>
interface Numbered {
  readonly sentence: Sentence
  readonly was: number
}

/** A script with other sentences; the long quiet stays after the one it lay after, or after the last before it that is left. */
function withSentences<T extends Said>(script: T, next: readonly Numbered[]): T {
  const sentences = next.map(({ sentence }) => sentence)
  if (script.quietAfter === undefined) return { ...script, sentences }
  const after = script.quietAfter - 1
  const kept = next.findIndex(({ was }) => was === after)
  const before = next.findLastIndex(({ was }) => was >= 0 && was <= after)
  return { ...script, sentences, quietAfter: Math.max(1, (kept >= 0 ? kept : before) + 1) }
}

const numbered = ({ sentences }: Said): Numbered[] => sentences.map((sentence, was) => ({ sentence, was }))

/** A script without some of its sentences (from 0); undefined where none would be left. A part keeps its name. */
export function withoutSentences<T extends Said>(script: T, gone: ReadonlySet<number>): T | undefined {
  let waiting: string | undefined
  const left = numbered(script).flatMap(({ sentence, was }): Numbered[] => {
    if (sentence.part !== undefined) waiting = undefined
    const part = sentence.part ?? waiting
    if (gone.has(was)) {
      waiting = part
      return []
    }
    waiting = undefined
    return [{ was, sentence: part === undefined ? sentence : { ...sentence, part } }]
  })
  return left.length === 0 ? undefined : withSentences(script, left)
}

/** What a beginning without a name is called. */
export const beginning = 'Beginning'

/** A script with one of its parts (from 0) in another place among them. */
export function movePart<T extends Said>(script: T, part: number, to: number): T {
  const parts = scriptParts(script)
  const moved = parts[part]
  if (!moved || to < 0 || to >= parts.length || to === part) return script
  // A beginning without a name that does not stay first would run into the part before it.
  const isFirst = part === 0 || to === 0
  const all = numbered(script).map(({ sentence, was }) => ({
    was,
    sentence: was === 0 && isFirst ? { ...sentence, part: sentence.part ?? beginning } : sentence,
  }))
  const order = parts.toSpliced(part, 1).toSpliced(to, 0, moved)
  return withSentences(
    script,
    order.flatMap((one) => all.slice(one.from, one.to)),
  )
}

/**
 * What was typed as lines of words: empty ones left out, and one that is too long for a line cut where a sentence ends, else
 * between two words, so that nothing typed is lost.
 */
export function typedLines(typed: string): readonly string[] {
  return typed.split('\n').flatMap((line) => shortEnough(line.trim()))
}

function shortEnough(line: string): readonly string[] {
  if (line === '') return []
  if (line.length <= textLimits.line) return [line]
  const head = line.slice(0, textLimits.line + 1)
  const ends = Math.max(...['. ', '! ', '? '].map((end) => head.lastIndexOf(end) + 1))
  const cut = ends > 0 ? ends : head.lastIndexOf(' ') > 0 ? head.lastIndexOf(' ') : textLimits.line
  return [line.slice(0, cut).trim(), ...shortEnough(line.slice(cut).trim())]
}

/** A script with a sentence (from 0) changed. Words on several lines are as many sentences. */
export function withSentence<T extends Said>(script: T, at: number, change: Partial<Sentence>): T {
  const lines = typedLines(change.text ?? script.sentences[at]?.text ?? '')
  const next = numbered(script).flatMap((one): Numbered[] => {
    if (one.was !== at) return [one]
    const [first, ...more] = lines
    if (first === undefined) return [one]
    return [
      { was: at, sentence: { ...one.sentence, ...change, text: first } },
      ...more.map((text) => ({ was: -1, sentence: { text } })),
    ]
  })
  return withSentences(script, next)
}

/** A script with one more sentence at its end. */
export const withOneMore = <T extends Said>(script: T, text: string): T => ({
  ...script,
  sentences: [...script.sentences, { text }],
})

/** The copy of a script that a block says. */
export const copyOfScript = ({ id, sentences, quietAfter }: NamedScript): Script => ({
  from: id,
  sentences,
  quietAfter: quietAfterOf({ sentences, quietAfter }),
})
