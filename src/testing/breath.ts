import type { Pace, Pattern } from '#model/breath'

/** A pattern told in whole counts. */
export const inCounts = (inhale: number, full: number, out: number, empty: number): Pattern => ({
  in: inhale * 2,
  full: full * 2,
  out: out * 2,
  empty: empty * 2,
})

/** Counts of a second. */
export const second: Pace = { num: 1000, den: 1 }
