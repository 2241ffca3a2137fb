import { appendEvents, beginLedClass, endLedClass, sendFormerClass } from '#web/shared/api/led-classes.ts'
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
}

async function sent({ id, start, events, end, keptRunMs }: RunningClass): Promise<boolean> {
  if (!end || (await beginLedClass(start)).kind !== 'ok') return false
  const kept = await appendEvents(id, 0, { events: [...events], conductedMs: keptRunMs })
  return kept.kind === 'ok' && (await endLedClass(id, end)).kind === 'ok'
}
