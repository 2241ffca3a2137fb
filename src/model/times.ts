import { z } from 'zod'
import { betweenSecondsSchema } from './common.ts'

/** The times around a hold, in whole seconds, in the order in which they come. */
export const timesSchema = z.strictObject({
  changeS: betweenSecondsSchema,
  setUpS: betweenSecondsSchema,
  settleS: betweenSecondsSchema,
  comingOutS: betweenSecondsSchema,
  betweenSidesS: betweenSecondsSchema,
  secondSetUpS: betweenSecondsSchema,
  afterRestS: betweenSecondsSchema,
})
export type Times = z.infer<typeof timesSchema>
export type TimeName = keyof Times

export const someTimesSchema = timesSchema.partial()
export type SomeTimes = z.infer<typeof someTimesSchema>
