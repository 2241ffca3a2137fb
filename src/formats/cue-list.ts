import { build as buildSubRip } from 'subsrt-ts/dist/format/srt.js'
import { build as buildWebVtt } from 'subsrt-ts/dist/format/vtt.js'
import type { Practice } from '#model/common'
import type { Timeline } from '#core/timeline'
import { secondsToSay } from '#core/units'
import { sheetBlocks } from '#words/class-sheet'
import { capital } from '#words/text'

/** Something said or begun in a class, from when to when it is shown. */
export interface CueLine {
  readonly startMs: number
  readonly endMs: number
  readonly text: string
}
export type CueFormat = 'vtt' | 'srt'

/** What is shown stays at least so long, where nothing else comes. */
const leastMs = 2500

/**
 * All that is said in a class at its instant, with what begins there, in the order of time: each line stands as long as it
 * takes to say, and never into the next one.
 */
export function cueLines(timeline: Timeline, practice: Practice): readonly CueLine[] {
  const said = sheetBlocks(timeline, practice).flatMap(({ name, parts }) =>
    parts.flatMap(({ startMs, title, marks }) => [
      { atMs: startMs, text: `${name} · ${capital(title)}` },
      ...marks.map(({ atMs, text }) => ({ atMs: startMs + atMs, text })),
    ]),
  )
  const byTime = new Map<number, string[]>()
  for (const { atMs, text } of said) byTime.set(atMs, [...(byTime.get(atMs) ?? []), text])
  const instants = [...byTime.keys()].toSorted((a, b) => a - b)
  return instants.map((startMs, at) => {
    const texts = byTime.get(startMs) ?? []
    const longMs = Math.max(leastMs, Math.ceil(secondsToSay(texts.join(' ')) * 1000))
    const nextMs = instants[at + 1] ?? timeline.totalMs
    return { startMs, endMs: Math.max(startMs + 1, Math.min(startMs + longMs, nextMs)), text: texts.join('\n') }
  })
}

/** One line of a text: an empty one would end the caption [WebVTT 4.1; SubRip by custom]. */
const oneLine = (text: string): string => text.replaceAll(/\s+/g, ' ').trim()
/** What the text of a caption may not have as it is (WebVTT 4.2.2). */
const asText = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')

/** A class's cues as a file of captions: WebVTT (W3C) or SubRip. */
export function cueListFile(lines: readonly CueLine[], format: CueFormat): string {
  const build = format === 'vtt' ? buildWebVtt : buildSubRip
  const captions = lines.map(({ startMs, endMs, text }, index) => {
    const plain = text.split('\n').map(oneLine).join('\n')
    const shown = format === 'vtt' ? asText(plain) : plain.replaceAll('-->', '–>')
    return {
      type: 'caption' as const,
      index,
      start: startMs,
      end: endMs,
      duration: endMs - startMs,
      content: shown,
      text: shown,
    }
  })
  return build(captions, { format, eol: '\n' })
}

/** The blocks of a class as chapters (WebVTT), each from its change to its end. */
export const chaptersFile = (timeline: Timeline, practice: Practice): string =>
  cueListFile(
    sheetBlocks(timeline, practice).map(({ name, startMs, endMs }) => ({ startMs, endMs, text: name })),
    'vtt',
  )
