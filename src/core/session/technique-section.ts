import type { Section } from '#model/section'
import type { Technique } from '#model/technique'

const second = { num: 1000, den: 1 }

/**
 * A technique as a section: what it leaves open is as the technique has it. Active exhales are strokes; what nobody counts
 * is natural breath for its usual time.
 */
export function techniqueSection({ id: techniqueId, amount, pattern, strokes }: Technique, id: string): Section {
  if (strokes)
    return {
      ...{ kind: 'strokes', id, techniqueId },
      ...(strokes === 'both' ? { both: true } : {}),
      ...{ pace: second, strokes: 10, rounds: 2 },
    }
  if (!pattern && 'naturalS' in amount) return { kind: 'natural', id, techniqueId, s: amount.naturalS }
  return { kind: 'rounds', id, techniqueId }
}
