import { computed, shallowReadonly, shallowRef } from 'vue'
import type { LedStart } from '#model/led-class'
import { beginClass, lookAtClass, promiseEnd, refitClass, stageOf, takeUpClass, tellClass } from '#core/lead'
import type { Command, Conducted, LeadEffect, Way } from '#core/lead'
import type { RunningClass } from '#web/shared/lead/running-class.ts'
import { windowId } from '#web/shared/session/window-id.ts'
import { useClassRecord } from './use-class-record.ts'
import { useClassSound } from './use-class-sound.ts'
import { useReadings } from './use-readings.ts'

/** Kept in the browser at least this often; the audio clock is compared each time. */
const keepEveryMs = 5000

/**
 * Runs a class: gives it its time and the teacher's commands, and does what it asks (sounds, saving, the screen kept
 * awake). Returns readonly refs; ends with its scope.
 */
export function useLead(onStopCard: () => void) {
  const conducted = shallowRef<Conducted>()
  const record = useClassRecord(conducted)
  const sound = useClassSound(conducted)
  const readings = useReadings(look)
  let keptAtMs = 0

  async function begin(start: LedStart): Promise<void> {
    put([beginClass(start, readings.read(), await windowId()), [{ type: 'save' }, { type: 'schedule' }]])
    readings.go()
  }
  /** Takes a class up again after a reload or a closed window, at the right second. */
  async function takeUp({ start, events, keptRunMs }: RunningClass): Promise<void> {
    put(takeUpClass(start, events, keptRunMs, readings.read(), await windowId()))
    readings.go()
  }
  function tell(command: Command): void {
    if (conducted.value) put(tellClass(conducted.value, command, readings.read()))
    if (conducted.value?.state.phase === 'running') readings.go()
  }
  /** Takes what was worked out for the rest of the class. */
  function refit(way: Way): void {
    if (conducted.value) put(refitClass(conducted.value, way, readings.read()))
  }
  /** Says when a class that started late is promised to end. */
  function promise(endMs: number): void {
    if (conducted.value) put(promiseEnd(conducted.value, endMs, readings.read()))
  }
  function put([next, effects]: readonly [Conducted, readonly LeadEffect[]]): void {
    conducted.value = next
    effects.forEach(doEffect)
  }
  function doEffect(effect: LeadEffect): void {
    if (effect.type === 'schedule') sound.schedule()
    if (effect.type === 'sound') sound.ring(effect.sound)
    if (effect.type === 'showStopCard') onStopCard()
    if (effect.type === 'ended') readings.stop()
    if (effect.type === 'save') record.keep()
  }
  function look(): void {
    const before = conducted.value
    if (!before) return
    put(lookAtClass(before, readings.read()))
    sound.noteMissed(before)
    const nowMs = conducted.value?.state.nowMs ?? 0
    if (nowMs - keptAtMs < keepEveryMs) return
    keptAtMs = nowMs
    record.keep()
    sound.compare()
  }

  const { isHeard, missed, letThrough: letSoundThrough, check: soundCheck } = sound
  const { save, saveState, refusal } = record
  return {
    conducted: shallowReadonly(conducted),
    stage: computed(() => conducted.value && stageOf(conducted.value.start.plan, conducted.value.state)),
    ...{ isHeard, missed, saveState, refusal, begin, takeUp, tell, refit, promise, letSoundThrough, save, soundCheck },
    staysAwake: readings.staysAwake,
  }
}
