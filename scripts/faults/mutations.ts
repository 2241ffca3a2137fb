import fc from 'fast-check'

const odd = [
  null,
  true,
  -1,
  0,
  0.5,
  1e9,
  1e300,
  '',
  'x',
  '\u0000',
  '__proto__',
  'x'.repeat(500),
  [],
  {},
  [null],
  { a: 1 },
]
/** One field of a document, and what becomes of it. */
export interface Change {
  /** Which of all its fields, as a share of a million. */
  readonly where: number
  readonly how: 'replace' | 'nudge' | 'delete' | 'double'
  readonly by: unknown
}
export const changes: fc.Arbitrary<Change[]> = fc.array(
  fc.record({
    where: fc.nat({ max: 999_999 }),
    how: fc.constantFrom('replace' as const, 'nudge' as const, 'nudge' as const, 'delete' as const, 'double' as const),
    by: fc.constantFrom(...odd),
  }),
  { minLength: 1, maxLength: 3 },
)

interface Spot {
  readonly within: Record<string, unknown>
  readonly key: string
}
function spotsIn(value: unknown): Spot[] {
  if (typeof value !== 'object' || value === null) return []
  const within = value as Record<string, unknown>
  return Object.keys(within).flatMap((key) => [{ within, key }, ...spotsIn(within[key])])
}

/** A little other than it is: what a hand that slips would write. */
function nudged(value: unknown): unknown {
  if (typeof value === 'number') return value * 2 + 1
  if (typeof value === 'string') return `${value}x`
  return value
}

/** A copy with some of its fields otherwise. */
export function mutated(document: object, by: readonly Change[]): object {
  const copy = structuredClone(document)
  for (const { where, how, by: value } of by) {
    const spots = spotsIn(copy)
    const spot = spots[Math.floor((where / 1_000_000) * spots.length)]
    if (!spot) continue
    const { within, key } = spot
    if (how === 'delete') Reflect.deleteProperty(within, key)
    else if (how === 'double' && Array.isArray(within)) within.push(structuredClone(within[Number(key)]))
    else within[key] = how === 'nudge' ? nudged(within[key]) : value
  }
  return copy
}
