import { z } from 'zod'
import { someAnswersSchema } from './answers.ts'
import { paceSchema, patternSchema, roundsSchema } from './breath.ts'
import {
  basePositionSchema,
  betweenSecondsSchema,
  blockSecondsSchema,
  holdSecondsSchema,
  idSchema,
  lineSchema,
  nameSchema,
  sideSchema,
  textSchema,
} from './common.ts'
import { breathLimits, mostItems } from './limits.ts'
import { cueSchema, momentSchema } from './cue.ts'
import { leastHoldS, phasesSchema } from './phase.ts'
import { scriptSchema } from './script.ts'
import { sectionsSchema } from './section.ts'
import { setUpItemSchema } from './set-up.ts'
import { someTimesSchema } from './times.ts'
import { told } from './refusal.ts'

const shared = {
  id: idSchema,
  /** What a fit may do with the block; absent means the usual for its kind. */
  priority: z.enum(['must', 'rather', 'may']).optional(),
  note: textSchema.optional(),
}
const aroundIt = {
  times: someTimesSchema.optional(),
  answers: someAnswersSchema.optional(),
  /** The teacher's own words for the change before this block, as in "fetch chairs". */
  changeText: lineSchema.optional(),
}

const itemsSchema = z.array(setUpItemSchema).max(mostItems)
/** How the props lie: the block's own items, else the set-up it names, else the usual one; and the words for arranging them. */
const arranged = {
  setUpId: idSchema.optional(),
  setUpItems: itemsSchema.optional(),
  setUpWords: z.array(lineSchema.min(1)).max(12).optional(),
}

/** A step of the set-up in mid-hold: when, and what lies from then on; mirrored like cues [settled A24]. */
export const setUpStepSchema = z.strictObject({
  id: idSchema,
  at: momentSchema,
  items: itemsSchema,
  text: lineSchema.optional(),
})
export type SetUpStep = z.infer<typeof setUpStepSchema>

/** One time for the hold (each side of it), or the two sides apart and why. */
export const holdTimeSchema = z.union([
  z.strictObject({ holdS: holdSecondsSchema }),
  z.strictObject({
    leftS: holdSecondsSchema,
    rightS: holdSecondsSchema,
    why: lineSchema.optional(),
  }),
])
export type HoldTime = z.infer<typeof holdTimeSchema>

export const breathOverSchema = z.strictObject({
  techniqueId: idSchema,
  pattern: patternSchema.optional(),
  pace: paceSchema.optional(),
  /** Whole rounds; absent means as many as the hold takes. */
  rounds: roundsSchema.optional(),
  countedRounds: z.int().min(0).max(breathLimits.rounds).optional(),
})
export type BreathOver = z.infer<typeof breathOverSchema>

export const talkBlockSchema = z.strictObject({
  ...shared,
  kind: z.literal('talk'),
  title: nameSchema,
  text: textSchema.optional(),
  s: blockSecondsSchema,
  script: scriptSchema.optional(),
})

export const holdBlockSchema = z
  .strictObject({
    ...shared,
    ...aroundIt,
    kind: z.literal('hold'),
    poseId: idSchema,
    variantId: idSchema.optional(),
    hold: holdTimeSchema.optional(),
    firstSide: sideSchema.optional(),
    phases: phasesSchema.optional(),
    cues: z.array(cueSchema).max(40).optional(),
    breathOver: breathOverSchema.optional(),
    ...arranged,
    steps: z.array(setUpStepSchema).max(3).optional(),
    script: scriptSchema.optional(),
  })
  .superRefine((block, context) => {
    if (!block.hold || !block.phases) return
    const least = leastHoldS(block.phases)
    for (const [name, seconds] of Object.entries(block.hold)) {
      if (typeof seconds === 'number' && seconds < least) {
        context.addIssue({ code: 'custom', path: ['hold', name], ...told('HOLD_UNDER_PHASES', { leastS: least }) })
      }
    }
  })

export const movementBlockSchema = z.strictObject({
  ...shared,
  ...aroundIt,
  kind: z.literal('movement'),
  movementId: idSchema,
  rounds: roundsSchema.optional(),
  pace: paceSchema.optional(),
  firstSide: sideSchema.optional(),
  restS: betweenSecondsSchema.optional(),
})

/** Breath work: one section after another. */
export const breathBlockSchema = z.strictObject({
  ...shared,
  ...aroundIt,
  ...arranged,
  kind: z.literal('breath'),
  /** Where it is practised; absent: as its first section's seat, else its technique, has it. */
  basePosition: basePositionSchema.optional(),
  sections: sectionsSchema,
})

/** The steps that end lying still: coming out, the roll, sitting up. */
const endingSteps = {
  comingOutS: betweenSecondsSchema.optional(),
  rollS: betweenSecondsSchema.optional(),
  sittingUpS: betweenSecondsSchema.optional(),
}

export const restBlockSchema = z.strictObject({
  ...shared,
  ...aroundIt,
  ...arranged,
  kind: z.literal('rest'),
  s: blockSecondsSchema,
  basePosition: basePositionSchema.optional(),
  text: lineSchema.optional(),
  /** Where it ends as a closing does, though the session goes on. */
  ending: z.strictObject(endingSteps).optional(),
  script: scriptSchema.optional(),
})

export const closingBlockSchema = z.strictObject({
  ...shared,
  ...aroundIt,
  ...arranged,
  kind: z.literal('closing'),
  finalRestS: blockSecondsSchema.optional(),
  ...endingSteps,
  text: textSchema.optional(),
  script: scriptSchema.optional(),
})

export const blockSchema = z.discriminatedUnion('kind', [
  talkBlockSchema,
  holdBlockSchema,
  movementBlockSchema,
  breathBlockSchema,
  restBlockSchema,
  closingBlockSchema,
])
export type Block = z.infer<typeof blockSchema>
export type BlockKind = Block['kind']
export type TalkBlock = z.infer<typeof talkBlockSchema>
export type HoldBlock = z.infer<typeof holdBlockSchema>
export type MovementBlock = z.infer<typeof movementBlockSchema>
export type BreathBlock = z.infer<typeof breathBlockSchema>
export type RestBlock = z.infer<typeof restBlockSchema>
export type ClosingBlock = z.infer<typeof closingBlockSchema>
