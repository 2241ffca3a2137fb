/** The server's clock as an argument, so that tests and demo data can say what day it is. */
export interface Clock {
  now(): Date
}

export const systemClock: Clock = { now: () => new Date() }

/** A moment as it stands in the name of a file: no sign in it that a file system refuses. */
export const stampOf = (moment: Date): string => moment.toISOString().slice(0, 19).replaceAll(':', '')
