import { z } from 'zod'
import { idSchema, instantSchema, lineSchema, nameSchema, textSchema } from '#model/common'
import type { KeptEvent, LeadEvent, ToldPlan, Visit } from '#model/led-class'
import { plainEventTypes } from '#model/led-class'
import { firstVisits } from './first-machine.ts'

const msSchema = z.number().min(0)

/** A led class as the first edition wrote it: what this edition still reads of it; the rest is kept as it came. */
export const firstRecordSchema = z.object({
  id: idSchema,
  sessionId: idSchema,
  startedAt: instantSchema,
  endedAt: instantSchema.optional(),
  conductedMs: msSchema.optional(),
  promisedEnd: instantSchema,
  people: z.int().min(0),
  document: z.object({ name: nameSchema }),
  resolved: z.record(
    idSchema,
    z.object({ name: nameSchema, sides: z.object({ left: lineSchema, right: lineSchema }).optional() }),
  ),
  plan: z.object({
    segments: z.array(
      z.object({
        index: z.int(),
        blockId: idSchema,
        side: z.enum(['left', 'right', 'both']).nullable(),
        doing: z.object({
          kind: z.string(),
          part: z.string().optional(),
          set: z.number().optional(),
          round: z.number().optional(),
          phase: z.object({ index: z.number() }).optional(),
        }),
        lengthMs: msSchema,
        mirrors: z.int().optional(),
      }),
    ),
    totalMs: msSchema,
    capMs: z.record(z.string(), z.number()).default({}),
    over: z.record(z.string(), z.unknown()).default({}),
  }),
  log: z.array(z.object({ type: z.string(), atMs: msSchema })),
  note: textSchema.optional(),
})
export type FirstRecord = z.infer<typeof firstRecordSchema>

/** What a record of the first edition becomes: its visits, had once from its log by the machine that led it. */
export interface LiftedRecord {
  readonly conductedMs: number
  readonly visits: readonly Visit[]
  readonly left: boolean
  readonly events: readonly KeptEvent[]
  /** It was away in between, and did not say since when: its times are near. */
  readonly isAbout: boolean
  readonly plan: ToldPlan
}

/** Told by nobody in particular: the first edition did not keep which window an event came from. */
const firstDevice = 'first-edition'

export function liftFirstRecord(record: FirstRecord): LiftedRecord {
  const { plan, log, startedAt, endedAt } = record
  const lastMs = Math.max(record.conductedMs ?? 0, log.at(-1)?.atMs ?? 0)
  const conductedMs = endedAt === undefined ? lastMs : Math.max(0, Date.parse(endedAt) - Date.parse(startedAt))
  const { visits, left } = firstVisits(plan, log, conductedMs)
  const events = log.flatMap(({ type, atMs }) => eventOf(type, atMs) ?? [])
  return {
    conductedMs,
    visits,
    left,
    events: events.map((event, index) => ({ n: index + 1, by: firstDevice, event })),
    isAbout: log.some(({ type }) => type === 'gap'),
    plan: {
      totalMs: plan.totalMs,
      segments: plan.segments.map(({ index, blockId, side, doing: { kind }, lengthMs }) => ({
        index,
        blockId,
        side,
        doing: { kind },
        lengthMs,
      })),
    },
  }
}

function eventOf(type: string, atMs: number): LeadEvent | undefined {
  if (type === 'gap') return { type, seenMs: atMs, atMs }
  if (type === 'missed') return { type, bells: 1, atMs }
  const plain = plainEventTypes.find((known) => known === type)
  return plain && { type: plain, atMs }
}
