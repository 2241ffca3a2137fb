/** A part of a round as far as the lungs go: which, and which of its equal steps, from 1. */
interface Filling {
  readonly part: 'in' | 'full' | 'out' | 'empty' | 'pause'
  readonly step?: number | undefined
}

/**
 * How full the lungs are as a part of a round begins and as it ends, from 0 (empty) to 1 (full). A breath in steps fills
 * or empties by as much each time, and stands still in between.
 */
export function lungFill(parts: readonly Filling[], at: number): readonly [from: number, to: number] {
  const part = parts[at]?.part
  if (part === 'full') return [1, 1]
  if (part === 'empty') return [0, 0]
  const moving = part === 'pause' ? at - 1 : at
  const [step, last] = [parts[moving]?.step ?? 1, lastStep(parts, moving)]
  const after = (steps: number) => (parts[moving]?.part === 'out' ? 1 - steps / last : steps / last)
  return part === 'pause' ? [after(step), after(step)] : [after(step - 1), after(step)]
}

/** In how many steps the inhale or exhale at a place is taken. */
function lastStep(parts: readonly Filling[], at: number): number {
  let last = parts[at]?.step ?? 1
  for (const { part, step } of parts.slice(at + 1)) {
    if (part === 'pause') continue
    if (part !== parts[at]?.part || step === undefined) break
    last = step
  }
  return last
}
