import type { HoldBlock } from '#model/block'
import type { Cue, Moment } from '#model/cue'
import { betweenLimits, textLimits } from '#model/limits'
import { mirrorText, poseIn, storeSideText } from '#core/session'
import type { Catalog } from '#core/session'
import { parseDuration } from '#core/units'
import { momentWords } from '#words/cues'

/** The words of a hold at their moments, as lines under it; a side is said as it is on the left. */
export function cueLines({ cues = [], poseId }: HoldBlock, catalog: Catalog): string[] {
  const side = poseIn(catalog, poseId)?.sides ? 'left' : 'both'
  return cues.flatMap(({ at, text }) => (text === undefined ? [] : [`  ${momentWords(at)}: ${mirrorText(text, side)}`]))
}

const time = String.raw`\d{1,2}:\d{2}`
const moments: readonly { readonly pattern: RegExp; readonly at: (said: string) => Moment | undefined }[] = [
  { pattern: /^at the (?:start|beginning)$/, at: () => ({ fromStartS: 0 }) },
  { pattern: new RegExp(`^at (${time})$`), at: (said) => secondsOf(said, (fromStartS) => ({ fromStartS })) },
  {
    pattern: new RegExp(`^(${time}) before the end$`),
    at: (said) => secondsOf(said, (s) => ({ beforeEndS: Math.max(1, s) })),
  },
  { pattern: /^(?:at )?half[ -]?(?:time|way)$/, at: () => ({ share: 0.5 }) },
  { pattern: /^after (\d{1,2}) %$/, at: (said) => ({ share: Number(said) / 100 }) },
]

const secondsOf = (said: string, of: (s: number) => Moment): Moment | undefined => {
  const read = parseDuration(said, betweenLimits)
  return read.ok ? of(read.value) : undefined
}

const cueShape = /^\s*([^:]*(?::\d{2}[^:]*)?):\s+(\S.*)$/
const momentIn = (when: string): Moment | undefined => {
  const typed = when.trim().toLowerCase()
  const found = moments.find(({ pattern }) => pattern.test(typed))
  return found?.at(found.pattern.exec(typed)?.[1] ?? '')
}

/** It says when something is said in the hold before it. */
export const isCueLine = (line: string): boolean => momentIn(cueShape.exec(line)?.[1] ?? '') !== undefined

/** "half time: turn the head": a cue of the hold it stands under; undefined for any other line. */
export function cueIn(
  line: string,
  { block, catalog, id }: { readonly block: HoldBlock; readonly catalog: Catalog; readonly id: string },
): Cue | undefined {
  const [, when = '', words = ''] = cueShape.exec(line) ?? []
  const at = momentIn(when)
  if (!at || words.length > textLimits.line) return undefined
  const isSided = poseIn(catalog, block.poseId)?.sides !== undefined
  return { id, at, text: isSided ? storeSideText('', words, 'left') : words }
}
