import type { Side } from '#model/common'

/** What a key does while the strip of a recording has focus. */
export type StripCommand =
  | { readonly type: 'go'; readonly by: -1 | 1 }
  | { readonly type: 'first' }
  | { readonly type: 'last' }
  | { readonly type: 'end'; readonly byMs: number }
  | { readonly type: 'start'; readonly byMs: number }
  | { readonly type: 'join' }
  | { readonly type: 'split' }
  | { readonly type: 'side'; readonly side: Side | null }
  | { readonly type: 'name' }

/** How far a key moves an edge. */
const stepMs = 1000

const plain: Readonly<Record<string, StripCommand>> = {
  ArrowLeft: { type: 'go', by: -1 },
  ArrowUp: { type: 'go', by: -1 },
  ArrowRight: { type: 'go', by: 1 },
  ArrowDown: { type: 'go', by: 1 },
  Home: { type: 'first' },
  End: { type: 'last' },
  Enter: { type: 'name' },
}
const letters: Readonly<Record<string, StripCommand>> = {
  '[': { type: 'end', byMs: -stepMs },
  ',': { type: 'end', byMs: -stepMs },
  ']': { type: 'end', byMs: stepMs },
  '.': { type: 'end', byMs: stepMs },
  j: { type: 'join' },
  s: { type: 'split' },
  l: { type: 'side', side: 'left' },
  r: { type: 'side', side: 'right' },
  b: { type: 'side', side: null },
}
/** By the key's place, since Shift changes what it writes on many keyboards. */
const withShift: Readonly<Record<string, StripCommand>> = {
  BracketLeft: { type: 'start', byMs: -stepMs },
  Comma: { type: 'start', byMs: -stepMs },
  BracketRight: { type: 'start', byMs: stepMs },
  Period: { type: 'start', byMs: stepMs },
}

type Pressed = Pick<KeyboardEvent, 'key' | 'code' | 'altKey' | 'shiftKey' | 'ctrlKey' | 'metaKey'>

/** The command of a key press on the strip; none for keys that belong to the browser, or letters that are switched off. */
export function stripCommand(pressed: Pressed, hasLetters: boolean): StripCommand | undefined {
  const { key, code, altKey, shiftKey, ctrlKey, metaKey } = pressed
  if (altKey || ctrlKey || metaKey) return undefined
  if (key.length > 1) return plain[key]
  if (!hasLetters) return undefined
  return (shiftKey ? withShift[code] : undefined) ?? letters[key.toLowerCase()]
}

/** The keys and what they do, as they are listed under the strip. */
export const stripKeys: readonly (readonly [keys: string, does: string])[] = [
  ['← →', 'the stretch before, the one after; Home and End the first and the last'],
  ['[ ] or , .', 'it ends a second earlier or later; with Shift it begins so'],
  ['S', 'split it, near its middle, where somebody begins to speak'],
  ['J', 'join it with the next'],
  ['L R B', 'left, right, both sides'],
  ['Enter', 'say what it is'],
]
