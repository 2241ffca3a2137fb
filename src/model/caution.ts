import { z } from 'zod'
import { familySchema } from './family.ts'
import { propKindSchema } from './prop.ts'

/** How grave a caution is, worst first: do not offer; only in the changed form; with attention. */
export const cautionGrades = ['avoid', 'modify', 'care'] as const
export const cautionGradeSchema = z.enum(cautionGrades)
export type CautionGrade = z.infer<typeof cautionGradeSchema>

/**
 * What a person who has a condition may do before their clinician has spoken: nothing stands in the way;
 * "check first" is shown; only quiet rests until clearance is noted; no practice today.
 */
export const gateSchema = z.enum(['none', 'ask', 'clear', 'stop'])
export type Gate = z.infer<typeof gateSchema>

const conditionIdSchema = z.string().regex(/^[a-z][a-z0-9_]*$/)
const words = z.string().min(1).max(400)

/** A condition of the cautions reference; texts may name others as `{id}`. */
export const cautionConditionSchema = z.strictObject({
  id: conditionIdSchema,
  name: z.string().min(1).max(100),
  asks: words,
  notes: words.optional(),
  /** What makes it the severe form. */
  severe: words.optional(),
  alwaysSevere: z.boolean(),
  /** Being unsure of it is not knowing a reading: its plain rows hold, and it is asked about. */
  unsureIsPlain: z.literal(true).optional(),
  gate: gateSchema,
  severeGate: gateSchema,
})
export type CautionCondition = z.infer<typeof cautionConditionSchema>

/** Prop cautions of the reference: weight on the eyes, on the body, straps, heat and scent. */
export const cautionPropSchema = z.enum(['prop_eye', 'prop_weight', 'prop_strap', 'prop_heat_scent'])
export type CautionProp = z.infer<typeof cautionPropSchema>

/** What a rule speaks of: a family, every family (`*`), a technique or group of them, or a prop. */
export const cautionSubjectSchema = z.union([
  familySchema,
  z.literal('*'),
  z.string().regex(/^(br_[a-z_]+|@strong)$/),
  cautionPropSchema,
])
export type CautionSubject = z.infer<typeof cautionSubjectSchema>

/** One row of the reference. A condition with `!` holds only in its severe form; `@` names a group. */
export const cautionRuleSchema = z.strictObject({
  id: z.string().min(1).max(60),
  of: z.array(cautionSubjectSchema).min(1),
  grade: cautionGradeSchema,
  conditions: z.array(z.string().regex(/^@?[a-z][a-z0-9_]*!?$/)).min(1),
  why: words,
  instead: words,
  /** A: clear physiology or reasonable data; B: consensus; C: custom or weak evidence. */
  evidence: z.enum(['A', 'B', 'C']),
  /** Mainstream sources differ. */
  differs: z.boolean(),
  /** Only with the person's clinician's consent, even when modified. */
  needsConsent: z.boolean(),
  /** The longest a side in the form it gives, where it gives one: seconds. A time in its words is only said. */
  capS: z.int().min(5).max(3600).optional(),
  /** What the form it gives is made with, any of them; empty where it asks for nothing. */
  wants: z.array(propKindSchema),
})
export type CautionRule = z.infer<typeof cautionRuleSchema>

/** A point on which schools differ, and what ships as the default. */
export const differenceSchema = z.strictObject({
  topic: z.string().min(1).max(80),
  oneSide: words,
  otherSide: words,
  shipped: words,
  why: words,
})
export type Difference = z.infer<typeof differenceSchema>

/** A stage of the breath's progression. */
export const stageSchema = z.strictObject({
  stage: z.int().min(1).max(6),
  ratio: words,
  counts: words,
  earliest: words,
  movesOnWhen: words,
})
export type Stage = z.infer<typeof stageSchema>

/** Something of the day that ends practice for it; no condition, and lifted by nothing but the next day. */
export const notTodaySchema = z.strictObject({ id: conditionIdSchema, name: words, instead: words })
export type NotToday = z.infer<typeof notTodaySchema>

/** All of the cautions reference that the computation needs, handed in as one argument. */
export interface CautionBook {
  readonly conditions: ReadonlyMap<string, CautionCondition>
  readonly groups: Readonly<Record<string, readonly string[]>>
  /** Families whose rules a family takes over. */
  readonly inherits: Readonly<Partial<Record<string, string>>>
  readonly rules: readonly CautionRule[]
  /** Forms of the shelf that are what a row asks for, by the row's id: a pose, or `pose/form`. */
  readonly given?: Readonly<Record<string, readonly string[]>>
}
