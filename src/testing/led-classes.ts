import { ledStartSchema } from '#model/led-class'
import type { LedClass } from '#model/led-class'
import type { Session } from '#model/session'
import { fold, ledStart } from '#core/lead'
import type { LeadEvent } from '#core/lead'
import { orThrow } from '#core/result'
import type { Catalog } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { blockName } from '#words/blocks'
import { sectionName } from '#words/sections'

interface Led {
  readonly catalog?: Catalog
  readonly people?: number
  readonly left?: boolean
  readonly startedAt?: string
}

/** The record of a session led to its end, with what the teacher told on the way. */
export function aLedClass(
  session: Session,
  log: readonly LeadEvent[] = [],
  { catalog = shippedCatalog, people = 4, left = false, startedAt = '2026-03-01T18:00:00.000Z' }: Led = {},
): LedClass & { readonly format: 2 } {
  const startedAtMs = Date.parse(startedAt)
  const start = ledStart(session, orThrow(compileTimeline(session, catalog)), {
    ...{ id: `led ${startedAt}`, people, startedAtMs, promisedEndMs: startedAtMs + 3_600_000 },
    ...{ nameOf: blockName, sectionNameOf: sectionName },
  })
  const { visits } = fold(start.plan, log, 36_000_000)
  const conductedMs = visits.at(-1)?.endMs ?? 0
  return {
    ...start,
    ...{
      format: 2,
      visits,
      left,
      note: null,
      breath: null,
      ledBy: null,
      version: 1,
      asides: [],
      marks: [],
      conductedMs,
    },
    endedAt: new Date(startedAtMs + conductedMs).toISOString(),
    events: log.map((event, at) => ({ n: at + 1, by: 'a', event })),
  }
}

/** The same as a device sends it: as it begins, what is told of it, and how it ended. */
export function aClassToSend(...of: Parameters<typeof aLedClass>) {
  const record = aLedClass(...of)
  const { events, visits, endedAt, left, conductedMs } = record
  const start = Object.fromEntries(Object.entries(record).filter(([name]) => name in ledStartSchema.shape))
  return { start, told: { events, conductedMs }, end: { endedAt, left, visits } }
}
