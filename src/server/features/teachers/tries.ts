/** How often somebody tried in vain, and until when nobody is let try. */
export interface Tries {
  readonly wrong: number
  /** When they tried last. */
  readonly atMs: number
  readonly closedUntilMs: number
}

export const noTries: Tries = { wrong: 0, atMs: 0, closedUntilMs: 0 }

/** So many wrong ones close for so long; what was wrong longer ago does not count [as pairing, decisions, Other devices]. */
export interface Limit {
  readonly most: number
  readonly closedMs: number
}
const minuteMs = 60_000
/** For one name, and for one address, behind which a whole studio may be. */
export const nameLimit: Limit = { most: 5, closedMs: 5 * minuteMs }
export const addressLimit: Limit = { most: 50, closedMs: 15 * minuteMs }

export const isClosed = ({ closedUntilMs }: Tries, nowMs: number): boolean => nowMs < closedUntilMs

/** One more that was wrong. */
export function tried(before: Tries, nowMs: number, { most, closedMs }: Limit): Tries {
  const wrong = (nowMs - before.atMs > closedMs ? 0 : before.wrong) + 1
  return wrong < most
    ? { wrong, atMs: nowMs, closedUntilMs: 0 }
    : { wrong: 0, atMs: nowMs, closedUntilMs: nowMs + closedMs }
}
