import type { Reply } from '#web/shared/api/client.ts'
import { appendEvents, beginLedClass, endLedClass, sendFormerClass } from '#web/shared/api/led-classes.ts'
import { deviceId } from './device-id.ts'
import { sendMarks } from './marks.ts'
import { dropRunning, formerClasses, unsentClasses } from './running-class.ts'
import type { RunningClass } from './running-class.ts'

/**
 * Sends what this browser still keeps of classes that are over: after a server was away to the end, or from the first
 * edition. What the server refuses stays here, so that nothing recorded is lost.
 */
export async function sendUnsent(): Promise<void> {
  for (const over of await unsentClasses()) if (await sent(over)) await dropRunning(over.id)
  for (const { led, forget } of await formerClasses()) {
    if ((await sendFormerClass(led)).kind === 'ok') await forget()
  }
  await sendMarks()
}

async function sent({ start, events, end, keptRunMs }: RunningClass): Promise<boolean> {
  const by = deviceId()
  if (!end || (await beginLedClass(start, by)).kind !== 'ok') return false
  const kept = await appendEvents(start.id, 0, { events: [...events], conductedMs: keptRunMs, by })
  if (isElsewhere(kept)) return true
  return kept.kind === 'ok' && isTaken(await endLedClass(start.id, { ...end, by }))
}

/** Another device led it on: what was told here is kept beside its record. */
const isElsewhere = (reply: Reply<unknown>): boolean =>
  reply.kind === 'problem' && reply.problem.code === 'LED_ELSEWHERE'
const isTaken = (reply: Reply<unknown>): boolean => reply.kind === 'ok' || isElsewhere(reply)

/**
 * Hands over what this browser keeps of a class that another device leads now: it is kept beside its record. False
 * where the server does not answer; what was to be handed over stays here then.
 */
export async function putBeside({ id, events, keptRunMs }: RunningClass): Promise<boolean> {
  const reply = await appendEvents(id, 0, { events: [...events], conductedMs: keptRunMs, by: deviceId() })
  if (isElsewhere(reply)) await dropRunning(id)
  return reply.kind !== 'away'
}
