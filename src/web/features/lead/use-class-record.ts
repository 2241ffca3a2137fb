import { computed, onScopeDispose, readonly, shallowRef } from 'vue'
import type { Ref, ShallowRef } from 'vue'
import { until } from '@vueuse/core'
import type { BreathAnswers, LedEnd } from '#model/led-class'
import { ledEnd } from '#core/lead'
import type { Conducted } from '#core/lead'
import { makeRecordSender } from '#web/shared/lead/record-sender.ts'
import { dropRunning, keepRunning } from '#web/shared/lead/running-class.ts'

/** The record of the class that runs: kept in this browser, told to the server, ended with a note; none of a rehearsal. */
export function useClassRecord(
  conducted: Readonly<ShallowRef<Conducted | undefined>>,
  isRehearsal: Readonly<Ref<boolean>>,
) {
  const end = shallowRef<LedEnd>()
  const sender = makeRecordSender(() => conducted.value && { ...conducted.value, end: end.value })
  onScopeDispose(sender.stop)

  /** Keeps the class in this browser and tells the server of it. */
  function keep(): void {
    if (!conducted.value || isRehearsal.value) return
    const { start, events, state } = conducted.value
    const { id, sessionId } = start
    const over = end.value ? { end: end.value } : {}
    void keepRunning({ id, sessionId, start, events, keptRunMs: state.nowMs, ...over })
    sender.tell({ type: 'told', n: events.at(-1)?.n ?? 0 })
    sender.tell({ type: 'conducted', atMs: state.nowMs })
  }
  /** Ends the record with the teacher's note and answers; true when the server has it. */
  async function save(note: string, breath: BreathAnswers): Promise<boolean> {
    if (!conducted.value) return false
    end.value = ledEnd(conducted.value, note, breath)
    keep()
    sender.tell({ type: 'over' })
    if (!(await isSent(sender))) return false
    await dropRunning(conducted.value.start.id)
    return true
  }
  /** Another class begins, or one that another device led so far: the server has so many events of it. */
  function anew(kept?: number): void {
    end.value = undefined
    sender.anew(kept === undefined ? { type: 'anew' } : { type: 'takenOver', kept })
  }
  return {
    keep,
    save,
    anew,
    elsewhere: readonly(sender.elsewhere),
    saveState: computed(sender.state),
    refusal: readonly(sender.refusal),
  }
}

/** Until the record is wholly sent, or the server does not take it now. */
async function isSent({ outbox }: ReturnType<typeof makeRecordSender>): Promise<boolean> {
  await until(() => outbox.value.ended || outbox.value.trouble !== null).toBe(true)
  return outbox.value.ended
}
