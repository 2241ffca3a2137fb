import { z } from 'zod'
import { voicedEnvelopeSchema, writtenEnvelopeSchema } from './envelope.ts'

/** The JSON Schema of the open session document, made from the model. */
export const sessionJsonSchema = (): object => ({
  ...z.toJSONSchema(z.union([writtenEnvelopeSchema, voicedEnvelopeSchema]), { io: 'input', reused: 'ref' }),
  title: 'Zovrin session',
  description:
    'Sessions (or copied blocks) with every own pose, variant and school they use, and from version 3 on their sentences in the voice of their teacher. Times are whole seconds, counts half-counts, lengths integer millimetres. The rules that a schema cannot say are checked when the document is read.',
})
