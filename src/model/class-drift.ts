import { z } from 'zod'
import { idSchema, instantSchema, nameSchema, sideSchema } from './common.ts'

/** What the time of a class is told apart by when plan and class are laid beside each other. */
export const driftParts = [
  'talk',
  'change',
  'setUp',
  'hold',
  'comingOut',
  'breath',
  'movement',
  'rest',
  'closing',
] as const
export type DriftPart = (typeof driftParts)[number]

const secondsSchema = z.int().min(0)

/** One class, planned beside real, as short as it can be said: what drifts is found over many of them. Whole seconds. */
export const classDriftSchema = z.strictObject({
  id: idSchema,
  sessionId: idSchema,
  name: nameSchema,
  startedAt: instantSchema,
  ledS: secondsSchema,
  /** The poses, movements and techniques that were led. */
  things: z.array(idSchema),
  /** What was led of each block, part by part in the order of the plan; what was left out is not in it. */
  of: z.array(
    z.strictObject({
      blockId: idSchema,
      name: nameSchema,
      part: z.enum(driftParts),
      /** Of a hold. */
      poseId: idSchema.optional(),
      side: sideSchema.or(z.literal('both')).optional(),
      plannedS: secondsSchema,
      tookS: secondsSchema,
    }),
  ),
  /** How late each block began, ahead below 0, with the second of the plan it was to begin at. */
  late: z.array(z.strictObject({ blockId: idSchema, name: nameSchema, plannedAtS: secondsSchema, lateS: z.int() })),
  /** How long nobody spoke, by the words of the plan; absent where the record does not have them. */
  quietS: secondsSchema.optional(),
})
export type ClassDrift = z.infer<typeof classDriftSchema>
