import type { Command } from '#core/lead'

const keys: Readonly<Record<string, Command>> = {
  '+': 'stay',
  '=': 'stay',
  ArrowUp: 'stay',
  ArrowRight: 'end',
  PageDown: 'end',
  ArrowLeft: 'back',
  PageUp: 'back',
  Enter: 'match',
  o: 'freely',
  O: 'freely',
  x: 'stopCard',
  X: 'stopCard',
  m: 'mark',
  M: 'mark',
  b: 'bell',
  B: 'bell',
  n: 'cameLate',
  N: 'cameLate',
  c: 'countAgain',
  C: 'countAgain',
}

/** What a key tells the class; while paused, Space goes on and → is *they come out*; while people arrange themselves, Enter says they are settled. */
export function leadKey(key: string, isPaused: boolean, isArranging = false): Command | undefined {
  if (key === 'Enter' && isArranging && !isPaused) return 'settled'
  if (key === ' ') return isPaused ? 'resume' : 'pause'
  if (isPaused && (key === 'ArrowRight' || key === 'PageDown')) return 'theyComeOut'
  return keys[key]
}
