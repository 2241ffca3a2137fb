import { sayMs } from '#core/session'
import { heldIn, sayingsOf, voiced } from '#core/timeline'
import type { Timeline, Voiced } from '#core/timeline'
import { usualPace } from '#core/units'
import type { Voice } from '#model/voice'
import { blockName } from '#words/blocks'

/** Words a class says, once or more often, and what is recorded of them. */
export interface Sentence {
  readonly text: string
  /** The block that says them first, and when. */
  readonly where: string
  readonly atMs: number
  readonly times: number
  /** The room they have where it is narrowest, and what comes then. */
  readonly mostMs: number
  readonly until: Voiced['until']
  readonly voice: Voice | undefined
}

/** All that a class says, each words once, in the order in which they are said first; with the room there is to say them. */
export function sentencesOf(
  timeline: Timeline,
  voices: readonly Voice[],
  wordsAMinute: number | undefined = usualPace,
): readonly Sentence[] {
  const byText = new Map(voices.map((voice) => [voice.text, voice]))
  const names = new Map(timeline.blocks.map(({ block }) => [block.block.id, blockName(block)]))
  const said = voiced(sayingsOf(timeline), (text) => byText.get(text)?.lengthMs ?? sayMs(text, wordsAMinute), {
    held: heldIn(timeline),
    endMs: timeline.totalMs,
  })
  const made = new Map<string, Sentence>()
  for (const { text, blockId, atMs, mostMs, until } of said) {
    const before = made.get(text)
    const isNarrower = !before || mostMs < before.mostMs
    made.set(text, {
      ...(before ?? { text, where: names.get(blockId) ?? '', atMs, voice: byText.get(text) }),
      times: (before?.times ?? 0) + 1,
      ...(isNarrower ? { mostMs, until } : { mostMs: before.mostMs, until: before.until }),
    })
  }
  return [...made.values()]
}

export const isLongSentence = ({ voice, mostMs }: Sentence): boolean => voice !== undefined && voice.lengthMs > mostMs

/** Recordings whose words the class does not say any more. */
export const unsaidOf = (sentences: readonly Sentence[], voices: readonly Voice[]): readonly Voice[] => {
  const said = new Set(sentences.map(({ text }) => text))
  return voices.filter(({ text }) => !said.has(text))
}
