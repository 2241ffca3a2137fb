import { formatMs } from '#core/units'
import { counted } from './text.ts'

const untilWords = {
  next: 'what is said next',
  held: 'a breath that is held',
  end: 'the end of the class',
} as const

interface Room {
  readonly mostMs: number
  readonly until: keyof typeof untilWords
}

const seconds = (ms: number): string => `${(ms / 1000).toFixed(1)} s`

/** How long words may be where they are said. */
export const roomToSay = ({ mostMs, until }: Room): string =>
  mostMs <= 0
    ? `There is no room for it before ${untilWords[until]}: give it more time in the plan.`
    : `Room for ${mostMs < 60_000 ? seconds(Math.floor(mostMs / 100) * 100) : formatMs(mostMs)}, until ${untilWords[until]}.`

/** How long what is recorded is, and by how much that is too long. */
export function recordedWords(lengthMs: number, { mostMs, until }: Room): string {
  if (lengthMs <= mostMs) return `Recorded, ${seconds(lengthMs)}.`
  const over = seconds(Math.ceil((lengthMs - mostMs) / 100) * 100)
  return `Recorded, ${seconds(lengthMs)}: ${over} too long. It runs into ${untilWords[until]}: say it shorter, or give it more time in the plan.`
}

/** How much is recorded of a class, and what it takes. */
export function recordedOf(
  done: number,
  all: number,
  { ms, bytes, mostBytes }: { readonly ms: number; readonly bytes: number; readonly mostBytes: number },
): string {
  const mb = (count: number): string => (count / 1024 ** 2).toFixed(count < 1024 ** 2 && count > 0 ? 2 : 0)
  const size = bytes === 0 ? '' : ` · ${formatMs(ms)}, ${mb(bytes)} of ${mb(mostBytes)} MB`
  return `${String(done)} of ${counted(all, 'sentence')} recorded${size}`
}

/** Why the microphone could not be had, by the name of the browser's error. */
export function microphoneWords(name: string): string {
  if (name === 'NotAllowedError')
    return 'The browser does not let Zovrin use the microphone: allow it for this page, then press Record again.'
  if (name === 'NotFoundError') return 'No microphone was found: connect one, then press Record again.'
  return 'The microphone could not be used: is another program using it? Press Record again.'
}

export const nothingHeard = 'Nothing was heard: is it the right microphone, and is it on? Nothing was kept.'
export const notRecorded = 'This browser could not record it: nothing was kept. Try another browser.'
