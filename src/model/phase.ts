import { z } from 'zod'
import { holdSecondsSchema, idSchema, nameSchema } from './common.ts'
import { told } from './refusal.ts'

/** Seconds a breath takes in a phase measured in breaths, unless the phase says otherwise. */
export const usualBreathS = 6
/** Least time left to the phase that is "the rest of it". */
export const leastRestOfHoldS = 30

export const phaseLengthSchema = z.union([
  z.strictObject({ s: holdSecondsSchema }),
  z.strictObject({ breaths: z.int().min(1).max(200), breathS: z.int().min(2).max(30).optional() }),
  z.strictObject({ rest: z.literal(true) }),
])

export const phaseSchema = z.strictObject({ id: idSchema, name: nameSchema, length: phaseLengthSchema })
export type Phase = z.infer<typeof phaseSchema>

/** Seconds of a phase with a length of its own; 0 for "the rest of it". */
export function fixedPhaseS(phase: Phase): number {
  const length = phase.length
  if ('s' in length) return length.s
  if ('breaths' in length) return length.breaths * (length.breathS ?? usualBreathS)
  return 0
}

/** Least seconds a hold with these phases can last: its fixed phases and 30 s for the rest of it. */
export function leastHoldS(phases: readonly Phase[]): number {
  if (phases.length === 0) return 5
  return phases.reduce((sum, phase) => sum + fixedPhaseS(phase), 0) + leastRestOfHoldS
}

export const phasesSchema = z
  .array(phaseSchema)
  .min(1)
  .max(12)
  .refine((phases) => phases.filter((phase) => 'rest' in phase.length).length === 1, told('PHASE_REST', {}))
