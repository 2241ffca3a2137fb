import { build } from 'subsrt-ts/dist/format/vtt.js'
import type { LedClass } from '#model/led-class'
import { visitsOf } from '#core/journal'
import { otherNames } from '#words/kinds-of-time'

/** What the text of a caption may not have as it is (WebVTT 4.2.2), and no line of its own for a name with one in it. */
const asText = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll(/\s+/g, ' ')

/**
 * What was done in a class as WebVTT: a caption for each stretch that was led, from Start, with its block, its side and
 * what it was. A sound or a film of the class tells with it what is done at each moment.
 */
export function ledClassVtt(led: LedClass): string {
  const segments = new Map(led.plan.segments.map((segment) => [segment.index, segment]))
  const captions = visitsOf(led)
    .filter(({ startMs, endMs }) => endMs > startMs)
    .map(({ segment: index, blockId, startMs, endMs, again }) => {
      const segment = index === null ? undefined : segments.get(index)
      const kind = segment ? segment.doing.kind : 'natural breath put in'
      const side = segment?.side === 'left' || segment?.side === 'right' ? `, ${segment.side}` : ''
      const what = kind === 'hold' ? 'Hold' : (otherNames[kind] ?? kind)
      const text = `${led.blocks[blockId]?.name ?? blockId}${side} · ${what}${again ? ', begun again' : ''}`
      return { type: 'caption' as const, start: startMs, end: endMs, text: asText(text) }
    })
  // Seconds and their thousandths are whole in a record already.
  return build(
    captions.map((caption, index) => ({
      ...caption,
      index,
      duration: caption.end - caption.start,
      content: caption.text,
    })),
    { format: 'vtt', eol: '\n' },
  )
}
