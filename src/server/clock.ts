/** The server's clock as an argument, so that tests and demo data can say what day it is. */
export interface Clock {
  now(): Date
}

export const systemClock: Clock = { now: () => new Date() }
