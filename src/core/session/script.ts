import type { Script } from '#model/script'
import { msFromS, usualPace, wordCount } from '#core/units'
import type { Milliseconds } from '#core/units'

/** A script with what each sentence takes to say, and the pause after it. */
export interface TimedScript {
  readonly sentences: readonly { readonly text: string; readonly sayMs: Milliseconds; readonly pauseMs: Milliseconds }[]
  /** How many sentences come before the long quiet. */
  readonly quietAfter: number
  /** How fast it is said. */
  readonly wordsAMinute: number
}

/** A script as it is spoken in a given time, in milliseconds from its first word. */
export interface SpokenScript {
  readonly sentences: readonly { readonly startMs: Milliseconds; readonly endMs: Milliseconds }[]
  /** The long quiet, `[fromMs, toMs)`. */
  readonly quiet: { readonly fromMs: Milliseconds; readonly toMs: Milliseconds }
  /** By how much its words with the least pauses are longer than the time. */
  readonly lackMs: Milliseconds
}

/** What is not said otherwise is quiet this long after a sentence [estimate; changeable]. */
export const usualPauseS = 4
/** No pause is cut below this [decisions, scripts]. */
export const leastPauseMs = 2000
/** Nothing is said in less, however short. */
const leastSayMs = 1000

/** The long quiet is before the last third, where no place is marked for it [decisions, scripts]. */
export const quietAfterOf = ({ sentences, quietAfter }: Pick<Script, 'sentences' | 'quietAfter'>): number =>
  quietAfter ?? Math.max(1, sentences.length - Math.ceil(sentences.length / 3))

/** What a sentence takes to say. */
export const sayMs = (text: string, wordsAMinute: number): Milliseconds =>
  Math.max(leastSayMs, Math.round((wordCount(text) / wordsAMinute) * 60_000))

/** What a script takes at so many words a minute: words by the pace, pauses as they are set. */
export function timedScript(script: Script, wordsAMinute: number = usualPace): TimedScript {
  return {
    ...{ quietAfter: quietAfterOf(script), wordsAMinute },
    sentences: script.sentences.map(({ text, pauseAfterS = usualPauseS }) => ({
      text,
      sayMs: sayMs(text, wordsAMinute),
      pauseMs: msFromS(pauseAfterS),
    })),
  }
}

/**
 * A script over `lengthMs`: pauses keep what they are and what is left goes to the long quiet; where something is lacking
 * it is taken evenly from all pauses, down to 2 s each. What is still lacking is told, and its last words are past the end.
 */
export function spokenIn(
  { sentences, quietAfter }: Pick<TimedScript, 'sentences' | 'quietAfter'>,
  lengthMs: Milliseconds,
): SpokenScript {
  const pauses = sentences.map(({ pauseMs }) => pauseMs)
  const ownMs = sum(sentences.map(({ sayMs }) => sayMs)) + sum(pauses)
  const spareMs = lengthMs - ownMs
  const kept = spareMs >= 0 ? pauses : cutEvenly(pauses, -spareMs)
  const longAt = quietAfter - 1
  const quietMs = (kept[longAt] ?? 0) + Math.max(0, spareMs)
  let atMs = 0
  const said = sentences.map(({ sayMs }, at) => {
    const startMs = atMs
    atMs += sayMs + (at === longAt ? quietMs : (kept[at] ?? 0))
    return { startMs, endMs: startMs + sayMs }
  })
  const fromMs = said[longAt]?.endMs ?? 0
  return { sentences: said, quiet: { fromMs, toMs: fromMs + quietMs }, lackMs: Math.max(0, atMs - lengthMs) }
}

const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0)

/** Pauses with so much taken from them, the same from each, none below 2 s or what it was; as much as they have. */
function cutEvenly(pauses: readonly Milliseconds[], byMs: Milliseconds): Milliseconds[] {
  const has = pauses.map((ms) => Math.max(0, ms - leastPauseMs))
  const order = has.map((_, at) => at).sort((a, b) => (has[a] ?? 0) - (has[b] ?? 0))
  const cut = pauses.map(() => 0)
  let leftMs = Math.min(byMs, sum(has))
  for (const [nth, at] of order.entries()) {
    const cutMs = Math.min(has[at] ?? 0, Math.ceil(leftMs / (order.length - nth)))
    cut[at] = cutMs
    leftMs -= cutMs
  }
  return pauses.map((ms, at) => ms - (cut[at] ?? 0))
}

/**
 * The sentences (from 0) that could go so that a script fits: the fewest, of these the least said; never its first or its
 * last one. Empty where it fits.
 */
export function couldGo(script: TimedScript, lengthMs: Milliseconds): readonly number[] {
  let { lackMs } = spokenIn(script, lengthMs)
  const gives = script.sentences.map(({ sayMs, pauseMs }) => sayMs + Math.min(leastPauseMs, pauseMs))
  const left = new Set(gives.keys())
  left.delete(0)
  left.delete(gives.length - 1)
  const gone: number[] = []
  while (lackMs > 0 && left.size > 0) {
    const all = [...left].sort((a, b) => (gives[a] ?? 0) - (gives[b] ?? 0) || a - b)
    const enough = all.find((at) => (gives[at] ?? 0) >= lackMs) ?? all.at(-1) ?? 0
    left.delete(enough)
    gone.push(enough)
    lackMs -= gives[enough] ?? 0
  }
  return gone.sort((a, b) => a - b)
}
