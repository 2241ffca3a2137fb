/** Whole seconds, as documents hold them. */
export type Seconds = number
/** Integer milliseconds, as timelines hold them. */
export type Milliseconds = number
/** Centimetres, as the prop computation uses them. */
export type Centimetres = number

export const msFromS = (seconds: Seconds): Milliseconds => seconds * 1000

/** Nearest whole second, for display only. */
export const wholeSeconds = (ms: Milliseconds): Seconds => Math.round(ms / 1000)
