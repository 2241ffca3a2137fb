/** A quantile of figures in ascending order, in proportion between the two it falls between (linear); 0 of none. */
export function quantile(sorted: readonly number[], share: number): number {
  const at = share * (sorted.length - 1)
  const [below, above] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0]
  return below + (above - below) * (at - Math.floor(at))
}

/** The figure in the middle; 0 of none. */
export const median = (figures: readonly number[]): number =>
  quantile(
    figures.toSorted((a, b) => a - b),
    0.5,
  )
