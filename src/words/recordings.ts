import type { Refused } from '#core/result'
import type { Span, SpanKind } from '#core/captions'
import { formatMs } from '#core/units'

/** What a stretch of a recorded class is called. */
export const spanNames: Readonly<Record<SpanKind, string>> = {
  talk: 'Talk',
  setUp: 'Set-up',
  hold: 'Hold',
  comingOut: 'Coming out',
  rest: 'Rest',
  breath: 'Breath work',
  movement: 'Movement',
  unknown: 'Not understood',
}

/** Why a file was not read, and what to do. */
export const captionRefusal = ({ code }: Refused<'TOO_LARGE' | 'TOO_MANY' | 'NO_CAPTIONS'>): string =>
  captionRefusals[code]

const captionRefusals = {
  TOO_LARGE:
    'This file is larger than 5 MB, which no captions are: choose the file of captions, not the recording itself.',
  TOO_MANY: 'This file has more than 10,000 captions, which is the talk of a day: choose the captions of one class.',
  NO_CAPTIONS:
    'No captions were found in this file. It should be WebVTT (.vtt), SubRip (.srt), or lines that begin with a time, as in “12:30 and now the other side”.',
} as const

const times = (count: number): string => (count === 1 ? '1 caption' : `${String(count)} captions`)

/** What was put right on reading; empty where nothing was. */
export const captionNotes = (outOfOrder: number, backwards: number): readonly string[] => [
  ...(outOfOrder > 0 ? [`${times(outOfOrder)} went back in time: now in the order of their times.`] : []),
  ...(backwards > 0 ? [`${times(backwards)} ended before beginning, and left out.`] : []),
]

/** A side in a row after a name; nothing where there is none. */
export const sideWords = ({ side }: Pick<Span, 'side'>): string => (side === undefined ? '' : `, ${side}`)

/** What a stretch is, in a line; a hold by its name. */
export const spanWords = (span: Span, name: string): string =>
  span.kind === 'hold' ? `${spanNames.hold}: ${name}${sideWords(span)}` : spanNames[span.kind]

/** Sides that are less apart are alike, as far as a recording tells, ms. */
const alikeMs = 5000
/** How the second side of a shape was held beside the first. */
export const apartWords = (ms: number): string =>
  Math.abs(ms) < alikeMs ? 'alike' : `the second ${formatMs(Math.abs(ms))} ${ms > 0 ? 'longer' : 'shorter'}`
