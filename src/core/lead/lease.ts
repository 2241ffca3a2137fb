import type { Milliseconds } from '#core/units'

/** Which device leads a class, and until when it counts as doing so without being heard of. */
export interface Lease {
  readonly by: string
  /** On the server's clock, epoch ms. */
  readonly untilMs: Milliseconds
}

/** A device that was not heard of for this long counts as out of touch [decisions, Other devices]. */
export const leaseMs = 30_000

/** The lease of a device that takes a class, or takes it over. */
export const leasedTo = (by: string, nowMs: Milliseconds): Lease => ({ by, untilMs: nowMs + leaseMs })

/**
 * The lease after a device that leads was heard of; undefined where another leads. One that was out of touch has it
 * still: only a device that took over ends it [settled B21].
 */
export const renewed = (lease: Lease | undefined, by: string, nowMs: Milliseconds): Lease | undefined =>
  lease === undefined || lease.by === by ? leasedTo(by, nowMs) : undefined

/** Whether the device that leads was heard of lately. */
export const isInTouch = (lease: Lease, nowMs: Milliseconds): boolean => nowMs < lease.untilMs
