/** What a key does while the spine has focus. */
export type SpineCommand =
  | 'next'
  | 'previous'
  | 'first'
  | 'last'
  | 'add'
  | 'up'
  | 'down'
  | 'longer'
  | 'shorter'
  | 'longer alone'
  | 'shorter alone'
  | 'duplicate'
  | 'remove'
  | 'scale'
  | 'keys'
  | 'lead'
  | 'fit'
  | 'nothing chosen'
  | 'choose next too'
  | 'choose previous too'
  | 'choose all'

interface Pressed {
  readonly key: string
  readonly altKey: boolean
  readonly shiftKey: boolean
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly code?: string
}

const plain: Readonly<Record<string, SpineCommand>> = {
  ArrowDown: 'next',
  ArrowUp: 'previous',
  Home: 'first',
  End: 'last',
  Enter: 'add',
  '[': 'shorter',
  ',': 'shorter',
  ']': 'longer',
  '.': 'longer',
  d: 'duplicate',
  D: 'duplicate',
  Delete: 'remove',
  Backspace: 'remove',
  f: 'fit',
  F: 'fit',
  l: 'lead',
  L: 'lead',
  z: 'scale',
  Z: 'scale',
  '?': 'keys',
  Escape: 'nothing chosen',
}
const withAlt: Readonly<Record<string, SpineCommand>> = { ArrowUp: 'up', ArrowDown: 'down' }
/** By the key's place, since Shift changes what it writes on many keyboards. */
const withShift: Readonly<Record<string, SpineCommand>> = {
  BracketLeft: 'shorter alone',
  Comma: 'shorter alone',
  BracketRight: 'longer alone',
  Period: 'longer alone',
}

/** The command of a key press on the spine; none for keys that belong to the browser. */
export function spineCommand({
  key,
  altKey,
  shiftKey,
  ctrlKey,
  metaKey,
  code = '',
}: Pressed): SpineCommand | undefined {
  if (ctrlKey || metaKey) return key.toLowerCase() === 'a' ? 'choose all' : undefined
  if (altKey) return withAlt[key]
  if (shiftKey && key === 'ArrowDown') return 'choose next too'
  if (shiftKey && key === 'ArrowUp') return 'choose previous too'
  return (shiftKey ? withShift[code] : undefined) ?? plain[key]
}

/** The list of keys as it is shown. */
export const keyList: readonly (readonly [keys: string, does: string])[] = [
  ['/', 'find on the shelf'],
  ['↑ ↓', 'choose the block before or after'],
  ['Shift + ↑ ↓', 'choose one more; Ctrl + A all'],
  ['Ctrl + C, X, V', 'copy, cut, paste, also between sessions'],
  ['Enter', 'add after the chosen block'],
  ['Alt + ↑ ↓', 'move the chosen block'],
  ['[ ] or , .', 'shorter, longer by one step'],
  ['Shift + [ ]', 'this side only; unlinks the sides'],
  ['D', 'duplicate'],
  ['Delete', 'remove'],
  ['Ctrl + Z', 'undo; with Shift redo'],
  ['F', 'make it fit'],
  ['L', 'lead'],
  ['Z', 'next scale'],
  ['Esc', 'choose nothing: the session itself'],
  ['?', 'this list'],
]
