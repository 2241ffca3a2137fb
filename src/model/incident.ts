import { z } from 'zod'
import { lineSchema, textSchema } from './common.ts'

/**
 * What happened in a class that has to be remembered for itself: when, what, and what was done. It stands beside the
 * record, is read by itself, and is in nothing that goes out.
 */
export const incidentSchema = z.strictObject({
  /** As the teacher tells it: a time, or "after the second side". */
  at: lineSchema,
  happened: textSchema,
  done: textSchema,
})
export type Incident = z.infer<typeof incidentSchema>

/** With nothing written there is none. */
export const incidentWriteSchema = z.strictObject({ incident: incidentSchema.nullable() })

export interface KeptIncident {
  readonly incident: Incident | null
  /** Of the record it stands beside: a note and an incident are written over what was read. */
  readonly version: number
}
