import { z } from 'zod'
import { idSchema, instantSchema } from './common.ts'

export const plannedClassSchema = z.strictObject({
  id: idSchema,
  sessionId: idSchema,
  placeId: idSchema,
  startsAt: instantSchema.optional(),
  peopleIds: z.array(idSchema).max(200),
})
export type PlannedClass = z.infer<typeof plannedClassSchema>
