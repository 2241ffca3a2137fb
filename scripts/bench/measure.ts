const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b)
export const quantile = (values: readonly number[], share: number) =>
  sorted(values)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? NaN
export const ms = (value: number) => `${value.toFixed(value < 10 ? 3 : 1)} ms`

export function report(what: string, figure: string, budget: string): void {
  console.log(`${what.padEnd(66)} ${figure.padEnd(30)} budget ${budget}`)
}

/** Milliseconds of each of many runs, after a warm-up. */
export function times(runs: number, work: () => unknown): number[] {
  for (let warm = 0; warm < runs / 4; warm += 1) work()
  return Array.from({ length: runs }, () => {
    const startMs = performance.now()
    work()
    return performance.now() - startMs
  })
}

/** The same numbers for the same seed [linear congruential generator of Numerical Recipes]. */
export function seeded(seed: number): (below: number) => number {
  let state = seed
  return (below) => {
    state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32
    return Math.floor((state / 2 ** 32) * below)
  }
}
