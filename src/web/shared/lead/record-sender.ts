import { factsOf } from '#model/problem'
import { shallowRef } from 'vue'
import type { KeptEvent, LedEnd, LedStart } from '#model/led-class'
import { emptyOutbox, outboxState, stepOutbox } from '#core/lead'
import type { Outbox, OutboxEffect, OutboxEvent } from '#core/lead'
import { appendEvents, beginLedClass, endLedClass } from '#web/shared/api/led-classes.ts'
import type { Reply } from '#web/shared/api/client.ts'

/** The record as it stands now; asked anew for each request, so that nothing sent is old. */
export interface RecordNow {
  readonly start: LedStart
  readonly events: readonly KeptEvent[]
  readonly end: LedEnd | undefined
  /** The device that tells it. */
  readonly by: string
}

/** What an answer of the server is to the outbox, and what it says. */
interface Answer {
  readonly event: OutboxEvent
  readonly refusal?: string
  readonly elsewhere?: string
}

function answerOf(reply: Reply<{ readonly kept: number } | undefined>): Answer {
  if (reply.kind === 'away') return { event: { type: 'away' } }
  if (reply.kind === 'ok') return { event: { type: 'answered', ...(reply.value ? { kept: reply.value.kept } : {}) } }
  const { problem } = reply
  // A server that is in trouble itself is asked again, as one that is away.
  if (problem.status >= 500) return { event: { type: 'away', isDiskFull: problem.code === 'DISK_FULL' } }
  const leads = factsOf(problem, 'LED_ELSEWHERE')
  if (leads) return { event: { type: 'elsewhere' }, elsewhere: leads.name }
  const missing = factsOf(problem, 'EVENTS_MISSING')
  return { event: { type: 'refused', ...(missing ? { kept: missing.kept } : {}) }, refusal: problem.detail }
}

/** Sends a record to the server by the outbox: `tell` what happened, read `state` and what was refused. */
export function makeRecordSender(recordNow: () => RecordNow | undefined) {
  const outbox = shallowRef<Outbox>(emptyOutbox)
  /** What the server said where it refused; said to the teacher as it is. */
  const refusal = shallowRef('')
  /** The device that leads now, where it is another. */
  const elsewhere = shallowRef<string>()
  let timer: number | undefined
  /** Answers to what was sent of a class before are no answers to this one. */
  let which = 0

  function tell(event: OutboxEvent): void {
    const [next, effects] = stepOutbox(outbox.value, event)
    outbox.value = next
    effects.forEach((effect) => void run(effect))
  }

  async function run(effect: OutboxEffect): Promise<void> {
    if (effect.type === 'wake') {
      window.clearTimeout(timer)
      timer = window.setTimeout(() => {
        tell({ type: 'woken' })
      }, effect.afterMs)
      return
    }
    const record = recordNow()
    if (!record) return
    const mine = which
    const reply = await send(effect, record)
    if (mine !== which) return
    const said = answerOf(reply)
    if (said.refusal !== undefined) refusal.value = said.refusal
    elsewhere.value = said.elsewhere ?? elsewhere.value
    tell(said.event)
  }

  /** Another class begins, or one that another device led so far, whose events the server has. */
  function anew(event: Extract<OutboxEvent, { type: 'anew' | 'takenOver' }>): void {
    which += 1
    window.clearTimeout(timer)
    refusal.value = ''
    elsewhere.value = undefined
    tell(event)
  }

  return {
    tell,
    anew,
    outbox,
    refusal,
    elsewhere,
    state: () => outboxState(outbox.value),
    stop: () => {
      window.clearTimeout(timer)
    },
  }
}

function send(
  effect: Exclude<OutboxEffect, { type: 'wake' }>,
  { start, events, end, by }: RecordNow,
): Promise<Reply<{ readonly kept: number } | undefined>> {
  if (effect.type === 'begin') return beginLedClass(start, by)
  if (effect.type === 'end' && end) return endLedClass(start.id, { ...end, by })
  const { after, conductedMs } = effect.type === 'append' ? effect : { after: events.length, conductedMs: 0 }
  return appendEvents(start.id, after, { events: events.filter(({ n }) => n > after), conductedMs, by })
}
