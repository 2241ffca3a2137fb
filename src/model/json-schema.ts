import { z } from 'zod'
import { writtenEnvelopeSchema } from './envelope.ts'

/** The JSON Schema of the open session document, made from the model. */
export const sessionJsonSchema = (): object => ({
  ...z.toJSONSchema(writtenEnvelopeSchema, { io: 'input', reused: 'ref' }),
  title: 'Zovrin session',
  description:
    'Sessions (or copied blocks) with every own pose, variant and school they use. Times are whole seconds, counts half-counts, lengths integer millimetres. The rules that a schema cannot say are checked when the document is read.',
})
