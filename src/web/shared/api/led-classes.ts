import type { ClassDrift } from '#model/class-drift'
import type { LastTaught } from '#core/journal'
import type { Incident, KeptIncident } from '#model/incident'
import type { JournalChoices, JournalWish, LedClassLine } from '#model/journal'
import type { BreathAnswers, EventsSent, LedClass, LedEnd, LedStart } from '#model/led-class'
import type { ObservedMarkSent } from '#model/observed-mark'
import type { SeenTime } from '#model/seen-time'
import { ask } from './client.ts'

/** A page of the journal, newest first, of what is wished for: the one after a line, or the first; so many lines, or the usual. */
export const listLedClasses = (wish: JournalWish, after?: LedClassLine, most?: number) => {
  const query = new URLSearchParams(Object.entries(wish))
  if (most !== undefined) query.set('most', String(most))
  if (after) {
    query.set('startedAt', after.startedAt)
    query.set('id', after.id)
  }
  return ask<readonly LedClassLine[]>(`/led-classes${query.size === 0 ? '' : `?${query.toString()}`}`)
}
/** What the classes of the journal can be found by. */
export const readJournalChoices = () => ask<JournalChoices>('/led-classes/choices')
/** Deletes the record of a class, or brings it back. */
export const setLedClassDeleted = (id: string, deleted: boolean) =>
  ask<undefined>(`/led-classes/${id}/deleted`, { method: 'PUT', body: { deleted } })
/** What the classes that ended teach of how long things take. */
export const readSeenTimes = () => ask<readonly SeenTime[]>('/led-classes/times')
/** How plan and class drift apart in those that are wished for, newest first. */
export const readDrifts = (wish: JournalWish) =>
  ask<readonly ClassDrift[]>(`/led-classes/drifts?${new URLSearchParams(Object.entries(wish)).toString()}`)
/** When each pose, movement and technique was led last. */
export const readLastTaught = () => ask<readonly LastTaught[]>('/led-classes/last-taught')
export const readLedClass = (id: string) => ask<LedClass>(`/led-classes/${id}`)
/** Begins a record, which the device that begins it leads. */
export const beginLedClass = (led: LedStart, by: string) =>
  ask<undefined>(`/led-classes/${led.id}?by=${encodeURIComponent(by)}`, { method: 'PUT', body: led })
/** From here on this device leads the class; says how far it was heard of. */
export const takeOverLedClass = (id: string, by: string) =>
  ask<{ readonly conductedMs: number }>(`/led-classes/${id}/leads`, { method: 'PUT', body: { by } })
/** Keeps what somebody marked who looks on; sent again it changes nothing. */
export const keepObservedMark = (id: string, markId: string, mark: ObservedMarkSent) =>
  ask<undefined>(`/led-classes/${id}/marks/${markId}`, { method: 'PUT', body: mark })
export const dropObservedMark = (id: string, markId: string) =>
  ask<undefined>(`/led-classes/${id}/marks/${markId}`, { method: 'DELETE' })
/** Appends events after the first `after`; the reply says how many are kept then. */
export const appendEvents = (id: string, after: number, sent: EventsSent) =>
  ask<{ readonly kept: number }>(`/led-classes/${id}/events?after=${String(after)}`, { method: 'POST', body: sent })
export const endLedClass = (id: string, end: LedEnd) =>
  ask<undefined>(`/led-classes/${id}/end`, { method: 'PUT', body: end })
/** Writes the note over the version it was based on. */
export const writeLedNote = (id: string, note: string, based: number) =>
  ask<{ readonly version: number }>(`/led-classes/${id}/note`, { method: 'PUT', body: { note }, based })
/** What happened in a class, kept beside its record; and writes it down over what was read. */
export const readIncident = (id: string) => ask<KeptIncident>(`/led-classes/${id}/incident`)
export const writeIncident = (id: string, incident: Incident | null, based: number) =>
  ask<{ readonly version: number }>(`/led-classes/${id}/incident`, { method: 'PUT', body: { incident }, based })
/** Writes how the breath was, as it does the note. */
export const writeLedBreath = (id: string, breath: BreathAnswers, based: number) =>
  ask<{ readonly version: number }>(`/led-classes/${id}/breath`, { method: 'PUT', body: breath, based })
/** A record of the first edition that this browser still kept. */
export const sendFormerClass = (record: unknown) =>
  ask<undefined>('/led-classes/former', { method: 'POST', body: record })
