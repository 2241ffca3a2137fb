import { parse as parseSubRip } from 'subsrt-ts/dist/format/srt.js'
import { parse as parseWebVtt } from 'subsrt-ts/dist/format/vtt.js'
import type { Caption } from '#core/captions'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'

/** An hour of captions is a tenth of a megabyte; what is much more is another kind of file. */
export const mostCaptionBytes = 5_000_000
/** Automatic captions of an hour are some fifteen hundred. */
export const mostCaptions = 10_000

export interface CaptionFile {
  readonly captions: readonly Caption[]
  /** So many begin before the one in front of them in the file: they are put where their times say. */
  readonly outOfOrder: number
  /** So many end before they begin, and are left out. */
  readonly backwards: number
}

/**
 * Reads a file of captions: WebVTT, SubRip, or lines that each begin with a time. Refused: TOO_LARGE, TOO_MANY, and
 * NO_CAPTIONS where none of these is in it.
 */
export function readCaptionFile(bytes: Uint8Array): Result<CaptionFile, 'TOO_LARGE' | 'TOO_MANY' | 'NO_CAPTIONS'> {
  if (bytes.byteLength > mostCaptionBytes) return refused('TOO_LARGE', 'file')
  const text = decoded(bytes).replaceAll('\r\n', '\n').replaceAll('\r', '\n')
  const read = text.includes('-->') ? withArrows(text) : timedLines(text)
  if (read.length === 0) return refused('NO_CAPTIONS', 'file')
  const captions = read.filter(({ startMs, endMs }) => endMs > startMs)
  if (captions.length === 0) return refused('NO_CAPTIONS', 'file')
  if (captions.length > mostCaptions) return refused('TOO_MANY', 'file', { most: mostCaptions, count: captions.length })
  return ok({
    captions: captions.toSorted((a, b) => a.startMs - b.startMs),
    outOfOrder: captions.filter(({ startMs }, at) => startMs < (captions[at - 1]?.startMs ?? 0)).length,
    backwards: read.length - captions.length,
  })
}

/** UTF-8 or UTF-16 as the file says of itself, else UTF-8; what is not that is what Windows wrote before. */
function decoded(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

function withArrows(text: string): Caption[] {
  // A file that lost its first line is read by its times all the same.
  const parsed = /^\s*WEBVTT/.test(text) ? parseWebVtt(text, {}) : parseSubRip(text, {})
  const found = parsed.length > 0 ? parsed : parseWebVtt(text, {})
  return found.flatMap((one) =>
    one.type === 'caption' ? [{ startMs: one.start, endMs: one.end, text: one.text.trim() }] : [],
  )
}

const timed = /^\s*[[(]?(?:(\d{1,2}):)?(\d{1,3}):(\d{2})(?:[.,](\d{1,3}))?[\])]?\s*(?:[-–—]\s*)?(.*)$/
/** As long as the last line of a file may stand, since nothing comes after it, ms. */
const lastMs = 5000

/** Lines of "12:30 and now the other side"; what is on lines without a time belongs to the one before. */
function timedLines(text: string): Caption[] {
  const lines: { startMs: number; text: string }[] = []
  for (const line of text.split('\n')) {
    const match = timed.exec(line)
    const last = lines.at(-1)
    if (match) {
      const [, h = '0', m = '0', s = '0', fraction = '', said = ''] = match
      const startMs = (Number(h) * 3600 + Number(m) * 60 + Number(s)) * 1000 + Number(fraction.padEnd(3, '0'))
      lines.push({ startMs, text: said.trim() })
    } else if (last) last.text = `${last.text} ${line.trim()}`.trim()
  }
  const starts = lines.map(({ startMs }) => startMs).toSorted((a, b) => a - b)
  return lines.map((line) => ({
    ...line,
    endMs: starts.find((startMs) => startMs > line.startMs) ?? line.startMs + lastMs,
  }))
}
