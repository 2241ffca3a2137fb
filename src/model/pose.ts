import { z } from 'zod'
import { answersSchema, someAnswersSchema } from './answers.ts'
import {
  basePositionSchema,
  betweenSecondsSchema,
  holdSecondsSchema,
  idSchema,
  lineSchema,
  nameSchema,
} from './common.ts'
import { cueSchema } from './cue.ts'
import { familySchema } from './family.ts'
import { namesSchema } from './names.ts'
import { propKindSchema } from './prop.ts'

export const targets = [
  'outerHip',
  'innerThigh',
  'frontOfHip',
  'hamstrings',
  'lowBack',
  'upperBack',
  'chest',
  'shoulders',
  'neck',
  'side',
  'belly',
  'legs',
  'feet',
  'wholeBody',
] as const
export const targetSchema = z.enum(targets)
export type Target = z.infer<typeof targetSchema>

export const directionSchema = z.enum([
  'forwardFold',
  'backbend',
  'twist',
  'sideBend',
  'outwardRotation',
  'inwardRotation',
  'legsRaised',
  'neutral',
])
export const placeInSessionSchema = z.enum(['opening', 'warm', 'deep', 'counter', 'closing'])

/** Usual hold in whole seconds: the range, and where a new block starts. */
export const holdRangeSchema = z
  .strictObject({ fromS: holdSecondsSchema, toS: holdSecondsSchema, usualS: holdSecondsSchema })
  .refine((range) => range.fromS <= range.usualS && range.usualS <= range.toS, {
    error: 'the usual time lies between the shortest and the longest',
    params: { code: 'RANGE_ORDER' },
  })
export type HoldRange = z.infer<typeof holdRangeSchema>

const byLevel = <T extends z.ZodType>(schema: T) =>
  z.strictObject({ new: schema, regular: schema, experienced: schema })

export const poseTimesSchema = z.strictObject({
  setUpS: byLevel(betweenSecondsSchema),
  settleS: betweenSecondsSchema,
  comingOutS: betweenSecondsSchema,
  betweenSidesS: betweenSecondsSchema,
  afterRestS: z.strictObject({ restorative: betweenSecondsSchema, yin: betweenSecondsSchema }),
})

export const variantSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  grade: z.enum(['easier', 'same', 'stronger']),
  change: lineSchema,
})

export const poseSchema = z.strictObject({
  id: idSchema,
  names: namesSchema,
  base: z.strictObject({ enter: basePositionSchema, leave: basePositionSchema }),
  /** How each side is told in the body's terms; absent for a symmetric pose. */
  sides: z.strictObject({ left: lineSchema, right: lineSchema }).optional(),
  holds: z.strictObject({ restorative: byLevel(holdRangeSchema), yin: byLevel(holdRangeSchema) }),
  targets: z.array(targetSchema).min(1),
  directions: z.array(directionSchema).min(1),
  /** Usual felt intensity, 0 to 10. */
  sensation: z.strictObject({ from: z.int().min(0).max(10), to: z.int().min(0).max(10) }),
  families: z.array(familySchema).min(1),
  times: poseTimesSchema,
  turnsHead: z.enum(['never', 'half time']),
  cues: z.array(cueSchema).max(20),
  mistakes: z.array(lineSchema).min(1),
  looksFor: z.array(lineSchema).min(1),
  comingOut: z.array(lineSchema).min(1),
  counterposes: z.array(idSchema),
  places: z.array(placeInSessionSchema).min(1),
  warms: z.array(targetSchema),
  wantsWarm: z.array(targetSchema),
  props: z.array(z.strictObject({ kind: propKindSchema, count: z.int().min(1).max(20) })),
  withoutProps: lineSchema,
  variants: z.array(variantSchema),
  energyLines: z.array(nameSchema),
  /** Answers of the handbook's table that cannot apply to this pose. */
  cannot: z.array(answersSchema.keyof()).optional(),
})
export type Pose = z.infer<typeof poseSchema>

/** A pose the teacher made or edited: may answer the handbook's questions for itself. */
export const ownPoseSchema = poseSchema.extend({
  answers: someAnswersSchema.optional(),
  copiedFrom: idSchema.optional(),
})
export type OwnPose = z.infer<typeof ownPoseSchema>
