import { z } from 'zod'
import { idSchema, lineSchema } from './common.ts'
import { ledLimits } from './limits.ts'

/** A moment marked by somebody who looks on while another device leads, as it is sent. */
export const observedMarkSchema = z.strictObject({
  /** The device that marked it, by the id it gives itself. */
  by: idSchema,
  /** Class time in whole milliseconds since Start. */
  atMs: z.int().min(0).max(ledLimits.runMs),
  /** What was seen; empty where nothing was written. */
  text: lineSchema,
})
export type ObservedMarkSent = z.infer<typeof observedMarkSchema>

/** As it is kept beside the record. */
export interface ObservedMark extends ObservedMarkSent {
  readonly id: string
  /** How the device is called. */
  readonly name: string
}
