import { z } from 'zod'
import { idSchema, nameSchema, textSchema } from './common.ts'
import { envelopeSchema } from './envelope.ts'
import { keptEventSchema, ledAsideSchema, ledEndSchema, ledStartSchema } from './led-class.ts'
import { ledLimits } from './limits.ts'
import { observedMarkSchema } from './observed-mark.ts'
import { placeSchema } from './place.ts'
import { told } from './refusal.ts'
import { handOverSchema, plannedClassSchema } from './planned-class.ts'

export const handedClassFormat = 'zovrin.handed-class'
export const handedRecordFormat = 'zovrin.handed-record'
export const handedFileVersion = 1

/** A planned class for its day, as a file for whoever leads it: nobody's name is in it, those who come are counted. */
export const handedClassSchema = z.strictObject({
  format: z.literal(handedClassFormat),
  version: z.literal(handedFileVersion),
  /** Who gives it, and what they say of it. */
  from: nameSchema,
  words: textSchema.optional(),
  /** The session with all it stands on. */
  session: envelopeSchema.refine(({ sessions }) => sessions?.length === 1, told('ONE_SESSION', {})),
  place: placeSchema,
  /** By its own id there: the record comes back to it. What each takes stands in it in words, without reasons. */
  planned: plannedClassSchema
    .pick({ id: true, roomId: true, day: true, startsAt: true, guests: true, needs: true, fetching: true })
    .extend(plannedClassSchema.pick({ substitutes: true, setUps: true }).shape)
    .extend({ forms: handOverSchema.shape.forms }),
})
export type HandedClass = z.infer<typeof handedClassSchema>

/** The record of such a class, as a file for whose class it was; of what happened to somebody it says nothing. */
export const handedRecordSchema = z.strictObject({
  format: z.literal(handedRecordFormat),
  version: z.literal(handedFileVersion),
  /** The planned class, by its id there. */
  classId: idSchema,
  start: ledStartSchema,
  events: z.array(keptEventSchema).max(ledLimits.events),
  asides: z.array(ledAsideSchema).max(50),
  marks: z.array(observedMarkSchema.extend({ name: nameSchema })).max(2000),
  end: ledEndSchema,
  posesLed: z.array(idSchema).max(300),
})
export type HandedRecord = z.infer<typeof handedRecordSchema>
