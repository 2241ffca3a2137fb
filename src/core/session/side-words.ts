import type { Side } from '#model/common'
import { otherSide } from './mirror.ts'

/** A stretch of a cue's words: plain text, or a word for a side, bound to the side held or plain. */
export type SidePart =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'side'; readonly text: string; readonly bound: boolean }

/** "The right knee", not "a right angle", "if it feels right", "right under the heel": those name no side. */
const right =
  /(?<!\b(?:feels?|seems?|all|just|quite|not|is|are|be) )\bright\b(?! (?:angles?|angled|now|away|here|there)\b)(?:(?<=\b(?:the|your|to|on) right)|(?! (?:at|under|over|behind|before|after|beside|above|below|up|down|into|through|where|in|on|next|across|along)\b))/
/** "The left hip", not "what is left", "two minutes left", "left over". */
const left =
  /(?<!\b(?:is|are|be|have|has|nothing|anything|something|time|much|more|\w+ (?:minutes?|seconds?|breaths?|rounds?|counts?)|(?:minutes|seconds|breaths|rounds|counts)) )\bleft\b(?! (?:over|behind|out|alone)\b)/
const sideWord = new RegExp(`(\\{this\\}|\\{other\\}|${right.source}|${left.source})`, 'gi')

/** A stored text in parts, as it is said on a side; its words for a side are parts of their own. */
export function sideParts(stored: string, side: Side): SidePart[] {
  return stored
    .split(sideWord)
    .filter((part) => part !== '')
    .map((part): SidePart => {
      if (part === '{this}') return { kind: 'side', text: side, bound: true }
      if (part === '{other}') return { kind: 'side', text: otherSide(side), bound: true }
      return /^(left|right)$/i.test(part) ? { kind: 'side', text: part, bound: false } : { kind: 'text', text: part }
    })
}

const storedOf = (part: SidePart, side: Side): string => {
  if (part.kind === 'text' || !part.bound) return part.text
  return part.text.toLowerCase() === side ? '{this}' : '{other}'
}

/**
 * What is typed for one side, as it is stored: words for a side become tokens that change over on the
 * other. What stands before and after the typed change stays as it was: a plain word stays plain there.
 */
export function storeSideText(before: string, written: string, side: Side): string {
  const typed = plainly(written)
  const former = sideParts(before, side)
  const shown = former.map(({ text }) => text).join('')
  const head = sharedStart(shown, typed)
  const tail = sharedEnd(shown, typed, head)
  const plainAt = new Set(
    startsOf(former).flatMap(({ part, start }) => (part.kind === 'side' && !part.bound ? [start] : [])),
  )
  const wasPlain = (start: number, end: number): boolean => {
    if (end <= head) return plainAt.has(start)
    return start >= typed.length - tail && plainAt.has(start - typed.length + shown.length)
  }
  return startsOf(sideParts(typed, side))
    .map(({ part, start }) =>
      part.kind === 'text' ? part.text : storedOf({ ...part, bound: !wasPlain(start, start + part.text.length) }, side),
    )
    .join('')
}

/** What is typed holds no tokens: a word in braces is that word. */
const plainly = (typed: string): string => typed.replace(/\{(this|other|roll)\}/g, '$1')

function startsOf(parts: readonly SidePart[]): { part: SidePart; start: number }[] {
  let next = 0
  return parts.map((part) => {
    const start = next
    next += part.text.length
    return { part, start }
  })
}

function sharedStart(a: string, b: string): number {
  let length = 0
  while (length < Math.min(a.length, b.length) && a[length] === b[length]) length += 1
  return length
}

function sharedEnd(a: string, b: string, but: number): number {
  let length = 0
  while (length < Math.min(a.length, b.length) - but && a.at(-1 - length) === b.at(-1 - length)) length += 1
  return length
}

/** The text with its n-th word for a side turned from token into plain text, or back. */
export function turnSideWord(stored: string, at: number, side: Side): string {
  let seen = -1
  return sideParts(stored, side)
    .map((part) => {
      if (part.kind === 'text') return part.text
      seen += 1
      return storedOf(seen === at ? { ...part, bound: !part.bound } : part, side)
    })
    .join('')
}
