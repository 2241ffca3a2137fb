import type { Milliseconds } from '#core/units'
import type { Caption } from './captions.ts'

/** A piece of a recording in the order of time: something said without a stop, or nothing said. */
export interface Piece {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  /** In small letters without marks; empty: nothing is said. */
  readonly text: string
}

/** How fast teachers of quiet classes speak at their slowest, words a second, and what a breath before a word takes [estimates]. */
const wordsPerS = 1.7
const breathMs = 900
/** Said again after a longer stop, it was said twice: a count, as a rule. */
const rollsMs = 1500
/** A shorter stop is one between sentences. */
const quietMs = 2500

/** Small letters, no accents, one kind of apostrophe; what stands in brackets is not said, nor who says it. */
export const plainText = (text: string): string =>
  text
    .replaceAll(/\[[^\]]*\]|\([^)]*\)|<[^>]*>|♪+|^\s*>+/gm, ' ')
    .replaceAll(/^\s*[\p{Lu} ]{2,20}:/gmu, ' ')
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll(/[’‘`]/g, "'")
    // As automatic programs hear it; nobody writes in a quiet class.
    .replaceAll(/\b(?:write|rite)\b/g, 'right')
    .replaceAll(/\s+/g, ' ')
    .trim()

const wordsIn = (text: string): string[] => text.split(' ').filter((word) => word !== '')

/** Captions of automatic programs roll: each says the end of the one before again, which has not ended long ago. */
function withoutRepeats(captions: readonly Caption[]): string[] {
  const said: string[] = []
  return captions.map((caption, index) => {
    const text = plainText(caption.text)
    const words = wordsIn(text)
    const isApart = caption.startMs - (captions[index - 1]?.endMs ?? 0) > rollsMs
    const before = isApart ? [] : said.slice(-60)
    const most = Math.min(words.length, before.length)
    let same = 0
    for (let length = most; length >= 3 && same === 0; length -= 1)
      if (words[0] === before.at(-length) && words.slice(0, length).join(' ') === before.slice(-length).join(' '))
        same = length
    // A sentence of one or two words said twice running is a repeat only as a whole caption.
    if (same === 0 && words.length > 0 && words.length < 3 && before.slice(-words.length).join(' ') === text)
      same = words.length
    const rest = words.slice(same)
    said.push(...rest)
    return rest.join(' ')
  })
}

/** Sentences, and parts of long ones: what a teacher says at one time is seldom one thing. */
function clausesOf(text: string): string[] {
  const sentences = text.split(/(?<=[.!?;])\s+/)
  return sentences.flatMap((sentence) => {
    const words = wordsIn(sentence)
    if (words.length <= 16) return words.length === 0 ? [] : [sentence]
    // Captions without stops: cut where a teacher goes on, else every dozen words.
    const parts: string[][] = [[]]
    for (const word of words) {
      const last = parts.at(-1) ?? []
      const goesOn = /^(and|then|so|now|okay|ok|alright|from|when)$/.test(word) && last.length >= 6
      if (goesOn || last.length >= 14) parts.push([word])
      else last.push(word)
    }
    return parts.map((part) => part.join(' '))
  })
}

/**
 * What is said and what is quiet, piece by piece, from the first caption to the end of the last. A caption that stands on
 * long after it can be said is quiet then; where captions overlap the later one begins when it does.
 */
export function piecesOf(captions: readonly Caption[]): readonly Piece[] {
  const ordered = captions
    .filter(({ startMs, endMs }) => endMs > startMs)
    .toSorted((a, b) => a.startMs - b.startMs || a.endMs - b.endMs)
  const texts = withoutRepeats(ordered)
  const endMs = ordered.reduce((latest, caption) => Math.max(latest, caption.endMs), 0)
  const pieces: Piece[] = []
  let atMs = ordered[0]?.startMs ?? 0
  ordered.forEach((caption, index) => {
    const clauses = clausesOf(texts[index] ?? '')
    const words = wordsIn(texts[index] ?? '').length
    if (words === 0) return
    const nextMs = ordered[index + 1]?.startMs ?? Infinity
    const saidMs = breathMs + (words / wordsPerS) * 1000
    const startMs = Math.max(atMs, caption.startMs)
    const untilMs = Math.round(Math.min(caption.endMs, Math.max(nextMs, caption.startMs + 1), startMs + saidMs))
    if (untilMs <= startMs) return
    if (startMs - atMs >= quietMs) pieces.push({ startMs: atMs, endMs: startMs, text: '' })
    // A short stop is part of what was said before it.
    const last = pieces.at(-1)
    if (last && last.endMs < startMs) pieces[pieces.length - 1] = { ...last, endMs: startMs }
    pieces.push(...shared(clauses, last ? startMs : atMs, untilMs, words))
    atMs = untilMs
  })
  const last = pieces.at(-1)
  if (!last) return endMs > atMs ? [{ startMs: atMs, endMs, text: '' }] : []
  if (endMs - last.endMs >= quietMs) pieces.push({ startMs: last.endMs, endMs, text: '' })
  else pieces[pieces.length - 1] = { ...last, endMs }
  return pieces
}

/** Clauses over the time of their caption, each by its words. */
function shared(clauses: readonly string[], startMs: Milliseconds, endMs: Milliseconds, words: number): Piece[] {
  let before = 0
  return clauses.flatMap((text) => {
    const from = startMs + Math.round(((endMs - startMs) * before) / words)
    before += wordsIn(text).length
    const to = startMs + Math.round(((endMs - startMs) * before) / words)
    return to > from ? [{ startMs: from, endMs: to, text }] : []
  })
}
