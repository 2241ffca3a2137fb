import { z } from 'zod'
import { answersSchema, someAnswersSchema } from './answers.ts'
import {
  basePositionSchema,
  betweenSecondsSchema,
  holdSecondsSchema,
  idSchema,
  levelSchema,
  lineSchema,
  nameSchema,
} from './common.ts'
import { cueSchema } from './cue.ts'
import { familySchema } from './family.ts'
import { figureSchema } from './figure.ts'
import { namesSchema } from './names.ts'
import { propKindSchema } from './prop.ts'
import { told } from './refusal.ts'

export const targets = [
  'outerHip',
  'innerThigh',
  'frontOfHip',
  'hamstrings',
  'lowBack',
  'upperBack',
  'chest',
  'shoulders',
  'wrists',
  'neck',
  'side',
  'belly',
  'legs',
  'feet',
  'wholeBody',
] as const
export const targetSchema = z.enum(targets)
export type Target = z.infer<typeof targetSchema>

export const directions = [
  'forwardFold',
  'backbend',
  'twist',
  'sideBend',
  'outwardRotation',
  'inwardRotation',
  'legsRaised',
  'neutral',
] as const
export const directionSchema = z.enum(directions)
export type Direction = z.infer<typeof directionSchema>

export const placesInSession = ['opening', 'warm', 'deep', 'counter', 'closing'] as const
export const placeInSessionSchema = z.enum(placesInSession)

/** Usual hold in whole seconds: the range, and where a new block starts. */
export const holdRangeSchema = z
  .strictObject({ fromS: holdSecondsSchema, toS: holdSecondsSchema, usualS: holdSecondsSchema })
  .refine((range) => range.fromS <= range.usualS && range.usualS <= range.toS, told('HOLD_RANGE_ORDER', {}))
export type HoldRange = z.infer<typeof holdRangeSchema>

const byLevel = <T extends z.ZodType>(schema: T) =>
  z.strictObject({ new: schema, regular: schema, experienced: schema })

export const poseTimesSchema = z.strictObject({
  /** The change into the pose takes at least this, for what has to be fetched; absent means nothing. */
  changeS: betweenSecondsSchema.optional(),
  setUpS: byLevel(betweenSecondsSchema),
  settleS: betweenSecondsSchema,
  comingOutS: betweenSecondsSchema,
  betweenSidesS: betweenSecondsSchema,
  afterRestS: z.strictObject({ restorative: betweenSecondsSchema, yin: betweenSecondsSchema }),
})

const sensationSchema = z
  .strictObject({ from: z.int().min(0).max(10), to: z.int().min(0).max(10) })
  .refine((felt) => felt.from <= felt.to, told('SENSATION_ORDER', {}))

const posePropsSchema = z.array(z.strictObject({ kind: propKindSchema, count: z.int().min(1).max(20) })).max(12)

const fewLines = z.array(lineSchema.min(1)).min(1).max(8)
/** What is said while people arrange themselves, before the hold counts. */
const setUpWordsSchema = z.array(lineSchema.min(1)).max(6)
/** Whether the head is turned (and then turned the other way at half time), and where it rests. */
const headSchema = z.strictObject({ turned: z.enum(['never', 'half time']), rests: lineSchema.min(1) })
const baseSchema = z.strictObject({ enter: basePositionSchema, leave: basePositionSchema })

export const grades = ['easier', 'same', 'stronger'] as const

/**
 * A graded form of a pose; what it does not say is as in the pose itself. A form that is another position says where
 * one is in it, and has its words, cues and steps out itself.
 */
export const variantSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  grade: z.enum(grades),
  change: lineSchema.min(1),
  families: z.array(familySchema).min(1).max(6).optional(),
  sensation: sensationSchema.optional(),
  props: posePropsSchema.optional(),
  hinged: z.boolean().optional(),
  base: baseSchema.optional(),
  setUpWords: setUpWordsSchema.optional(),
  head: headSchema.optional(),
  cues: z.array(cueSchema).max(20).optional(),
  looksFor: fewLines.optional(),
  mistakes: fewLines.optional(),
  comingOut: fewLines.optional(),
  figure: figureSchema.optional(),
})
export type Variant = z.infer<typeof variantSchema>

const ownFormSchema = variantSchema.omit({ props: true })

/** A variant the teacher added to a pose, shipped or own. */
export const ownVariantSchema = ownFormSchema.extend({ poseId: idSchema })
export type OwnVariant = z.infer<typeof ownVariantSchema>

/** What an answer to the handbook's table means in one pose: other words, other steps, other families. */
export const meaningSchema = z.strictObject({
  question: answersSchema.keyof(),
  answer: z.union([z.string().min(1).max(40), z.int()]),
  setUp: lineSchema.optional(),
  comingOut: z.array(lineSchema).min(1).max(8).optional(),
  families: z.array(familySchema).min(1).optional(),
})
export type Meaning = z.infer<typeof meaningSchema>

const poseShape = z.strictObject({
  id: idSchema,
  names: namesSchema,
  base: baseSchema,
  /** How each side is told in the body's terms; absent for a symmetric pose. */
  sides: z.strictObject({ left: lineSchema, right: lineSchema }).optional(),
  holds: z.strictObject({ restorative: byLevel(holdRangeSchema), yin: byLevel(holdRangeSchema) }),
  /** The work it is usually taught in, and the least level it is usually offered to. */
  practices: z.array(z.enum(['restorative', 'yin'])).min(1),
  fromLevel: levelSchema,
  targets: z.array(targetSchema).min(1),
  directions: z.array(directionSchema).min(1),
  /** Usual felt intensity, 0 to 10. */
  sensation: sensationSchema,
  /** What its carried form asks in restorative work; absent: the same. */
  restorativeSensation: sensationSchema.optional(),
  families: z.array(familySchema).min(1).max(6),
  /** A fold with a long back, the hips as hinge, the head carried at or above the heart. */
  hinged: z.boolean().optional(),
  /** How it is drawn on its props; a pose without one has heights, but no picture. */
  figure: figureSchema.optional(),
  times: poseTimesSchema,
  head: headSchema,
  /** Poses of the first edition have none. */
  setUpWords: setUpWordsSchema.default([]),
  cues: z.array(cueSchema).max(20),
  /** Said besides in yin. */
  yinCues: z.array(cueSchema).max(4).optional(),
  mistakes: fewLines,
  looksFor: fewLines,
  comingOut: fewLines,
  counterposes: z.array(idSchema).max(12),
  places: z.array(placeInSessionSchema).min(1),
  warms: z.array(targetSchema),
  wantsWarm: z.array(targetSchema),
  withoutProps: lineSchema.min(1),
  variants: z.array(ownFormSchema).max(20),
  energyLines: z.array(nameSchema).max(12),
  /** Answers of the handbook's table that cannot apply to this pose. */
  cannot: z.array(answersSchema.keyof()).optional(),
  meanings: z.array(meaningSchema).max(20).optional(),
})
type Shape = z.infer<typeof poseShape>

/** What a pose must be beyond its fields: two different sides or none, and no words for a side it has not. */
function coherent(pose: Shape, context: z.RefinementCtx): void {
  const refuse = (path: (string | number)[], why: ReturnType<typeof told>) => {
    context.addIssue({ code: 'custom', path, ...why })
  }
  if (pose.sides && pose.sides.left.trim() === pose.sides.right.trim()) {
    refuse(['sides', 'right'], told('SIDES_ALIKE', {}))
  }
  const spoken: [string, readonly string[]][] = [
    ['setUpWords', pose.setUpWords],
    ['cues', pose.cues.map(({ text }) => text ?? '')],
    ['mistakes', pose.mistakes],
    ['looksFor', pose.looksFor],
    ['comingOut', pose.comingOut],
  ]
  for (const [field, lines] of pose.sides ? [] : spoken) {
    lines.forEach((line, index) => {
      if (/\{(this|other)\}/.test(line)) refuse([field, index], told('SIDE_IN_SYMMETRIC', {}))
    })
  }
  const variantIds = pose.variants.map(({ id }) => id)
  variantIds.forEach((id, index) => {
    const first = variantIds.indexOf(id)
    if (first !== index) refuse(['variants', index, 'id'], told('ID_TWICE', { first }))
  })
}

/** What it takes, per person, is counted in its full set-up, and that of a form in the form's [decisions]. */
const counted = { props: posePropsSchema, variants: z.array(variantSchema).max(20) }

export const poseSchema = poseShape.extend(counted).superRefine(coherent)
export type Pose = z.infer<typeof poseSchema>

const ownShape = poseShape.extend({
  answers: someAnswersSchema.optional(),
  copiedFrom: idSchema.optional(),
})

/** A pose the teacher made or edited: may answer the handbook's questions for itself. */
export const ownPoseSchema = ownShape.superRefine(coherent)
export type OwnPose = z.infer<typeof ownPoseSchema>

/** Own poses and forms as they are in files of schema 1 and 2: what they take was typed into them. */
export const formerOwnPoseSchema = ownShape
  .extend({ ...counted, props: posePropsSchema.optional() })
  .superRefine(coherent)
export const formerOwnVariantSchema = variantSchema.extend({ poseId: idSchema })
export type FormerOwnPose = z.infer<typeof formerOwnPoseSchema>
export type FormerOwnVariant = z.infer<typeof formerOwnVariantSchema>
