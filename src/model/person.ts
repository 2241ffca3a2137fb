import { z } from 'zod'
import { daySchema, idSchema, levelSchema, lineSchema, nameSchema, textSchema } from './common.ts'
import { formTakenSchema } from './form-taken.ts'
import { mostItems } from './limits.ts'
import { propKindSchema } from './prop.ts'
import { stageSchema } from './session.ts'
import { setUpItemSchema } from './set-up.ts'

export const severities = ['no', 'yes', 'unsure'] as const
export const conditionSchema = z.strictObject({
  id: idSchema,
  severe: z.enum(severities),
  side: z.enum(['left', 'right', 'both']).optional(),
  /** A new ache that nobody has looked at yet: the severe rows, and quiet forms only [cautions 0]. */
  newAche: z.literal(true).optional(),
  askedOn: daySchema,
  clearance: z.strictObject({ by: nameSchema, on: daySchema, limits: lineSchema.optional() }).optional(),
})

export type Condition = z.infer<typeof conditionSchema>

const measureSchema = z.int().min(50).max(2500)

/** Hands that lay a blanket or guide: yes, asked each time, or no; never assumed. */
export const touches = ['yes', 'ask', 'no'] as const

/** All of it but the name can be left unsaid; nothing lapses by date: an old `askedOn` only asks again. */
export const personSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** What they wish to be called; absent: their name. */
  calledAs: nameSchema.optional(),
  /** Absent: as somebody new. */
  level: levelSchema.optional(),
  /** The stage of the breath ladder; absent: 2. */
  breathStage: stageSchema.optional(),
  /** The day their teacher marked them for the sixth stage, with personal guidance. */
  sixthStageOn: daySchema.optional(),
  statureMm: z.int().min(1200).max(2200).optional(),
  /** Measured lengths in integer millimetres that override those from stature. */
  measures: z
    .strictObject({
      legToHeel: measureSchema.optional(),
      sitting: measureSchema.optional(),
      popliteal: measureSchema.optional(),
      kneeH0: measureSchema.optional(),
    })
    .optional(),
  /** The day they were asked in private last, whatever they told; absent: never, as far as is noted. */
  askedOn: daySchema.optional(),
  conditions: z.array(conditionSchema).max(40),
  /** Practices (families or techniques) their clinician agreed to: what, who, when. */
  consents: z.array(z.strictObject({ for: idSchema, by: nameSchema, on: daySchema })).max(100),
  touch: z.enum(touches).optional(),
  /** Whom to call in an emergency, as it is written on their page. */
  inCase: lineSchema.optional(),
  /** What is written about them, which they may read. */
  note: textSchema.optional(),
  /** What they like to take in place of a pose. */
  likes: z
    .array(z.strictObject({ poseId: idSchema, takes: formTakenSchema }))
    .max(200)
    .optional(),
  /** Set-ups kept for them, by pose and form. */
  setUps: z
    .array(
      z.strictObject({
        poseId: idSchema,
        variantId: idSchema.optional(),
        items: z.array(setUpItemSchema).max(mostItems),
      }),
    )
    .max(200)
    .optional(),
  /** What they have of their own where they practise at home. */
  things: z
    .array(z.strictObject({ kind: propKindSchema, count: z.int().min(1).max(99) }))
    .max(40)
    .optional(),
  /** The day they let their other teachers know what they told. */
  othersMayKnowSince: daySchema.optional(),
})
export type Person = z.infer<typeof personSchema>

/** A person as kept: with the version that guards their writes. */
export interface KeptPerson {
  readonly person: Person
  readonly version: number
}

/** Where a name of somebody stands besides, as a teacher typed it: in a session, or in the note of a led class. */
export type Mention =
  | { readonly kind: 'session'; readonly id: string; readonly name: string }
  | { readonly kind: 'note'; readonly id: string; readonly name: string; readonly startedAt: string }
