import { z } from 'zod'
import { idSchema, nameSchema, textSchema } from './common.ts'

/**
 * The questions on which schools differ, each with its possible answers.
 * A school is a named, complete set; a session, an own pose or a block may answer any of them anew.
 */
export const answerSchemas = {
  movementInHold: z.enum(['none', 'announced']),
  muscles: z.enum(['released', 'lightly']),
  sensationCeiling: z.union([z.literal(2), z.literal(5), z.literal(6), z.literal(7)]),
  afterHold: z.enum(['stillness', 'movement']),
  betweenSides: z.enum(['nothing', 'stillness', 'movement']),
  firstSide: z.enum(['left', 'right', 'alternate']),
  roll: z.enum(['right', 'left', 'either']),
  throatSound: z.enum(['onlyYou', 'teacherToo']),
  throatStrength: z.enum(['softer', 'stronger']),
  wallDistance: z.enum(['computed', 'handsWidth', 'overBolster']),
  comingOutOfFolds: z.enum(['handsHelp', 'rollUp']),
  headBelowHeart: z.enum(['allowed', 'avoided']),
  energyLines: z.enum(['off', 'on']),
  lockOrder: z.enum(['chinFirst', 'rootFirst']),
  threePartBreath: z.enum(['secondStep', 'afterFifthStep', 'outside']),
  holdBegins: z.enum(['byClock', 'whenISay']),
} as const

export const answersSchema = z.strictObject(answerSchemas)
export type Answers = z.infer<typeof answersSchema>
export type Question = keyof Answers

export const someAnswersSchema = answersSchema.partial()
export type SomeAnswers = z.infer<typeof someAnswersSchema>

/** What a school answers that was written before a question was asked: as Zovrin did then. */
export const answersBefore = { lockOrder: 'chinFirst', threePartBreath: 'secondStep', holdBegins: 'byClock' } as const

export const schoolSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  about: textSchema.optional(),
  answers: answersSchema.extend({
    lockOrder: answerSchemas.lockOrder.default(answersBefore.lockOrder),
    threePartBreath: answerSchemas.threePartBreath.default(answersBefore.threePartBreath),
    holdBegins: answerSchemas.holdBegins.default(answersBefore.holdBegins),
  }),
})
export type School = z.infer<typeof schoolSchema>
