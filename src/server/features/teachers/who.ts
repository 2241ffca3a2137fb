import type { Response } from 'express'

/** Whoever asks: the teacher whose things they are, and whether they keep the house. */
export interface Who {
  readonly id: string
  readonly isKeeper: boolean
  /** Absent: nobody is asked for a name here. */
  readonly name?: string
}

interface Locals {
  teacher?: Who
}

export const setWho = (response: Response, teacher: Who): void => {
  ;(response.locals as Locals).teacher = teacher
}

/** Whoever was let in; undefined for what anybody may ask. */
export const whoAsks = (response: Response): Who | undefined => (response.locals as Locals).teacher
