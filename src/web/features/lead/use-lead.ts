import { computed, onScopeDispose, readonly, ref, shallowReadonly, shallowRef } from 'vue'
import { until, useEventListener, useWakeLock } from '@vueuse/core'
import type { LedEnd, LedStart } from '#model/led-class'
import {
  beginClass,
  exactRunMs,
  ledEnd,
  lookAtClass,
  missBells,
  soundsDue,
  stageOf,
  takeUpClass,
  tellClass,
} from '#core/lead'
import type { Command, Conducted, LeadEffect, Reading } from '#core/lead'
import { useBells } from './use-bells.ts'
import { makeRecordSender } from '#web/shared/lead/record-sender.ts'
import { dropRunning, keepRunning } from '#web/shared/lead/running-class.ts'
import type { RunningClass } from '#web/shared/lead/running-class.ts'
import { ports } from '#web/shared/ports.ts'
import { windowId } from '#web/shared/session/window-id.ts'

/** Kept in the browser at least this often; the audio clock is compared each time. */
const keepEveryMs = 5000

/**
 * Runs a class: gives it its time and the teacher's commands, and does what it asks (sounds, saving, the screen kept
 * awake). Returns readonly refs; ends with its scope.
 */
export function useLead(onStopCard: () => void) {
  const conducted = shallowRef<Conducted>()
  const end = shallowRef<LedEnd>()
  const record = makeRecordSender(() => conducted.value && { ...conducted.value, end: end.value })
  const bells = useBells()
  const readings = useReadings(look)
  const missed = ref(0)
  let keptAtMs = 0

  const doEffects = effectsRunner({ schedule, keep, onStopCard, ring: bells.ring, ended: readings.stop })

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
  function put([next, effects]: readonly [Conducted, readonly LeadEffect[]]): void {
    conducted.value = next
    doEffects(effects)
  }

  function look(): void {
    const before = conducted.value
    if (!before) return
    put(lookAtClass(before, readings.read()))
    noteMissed(before)
    const nowMs = conducted.value?.state.nowMs ?? 0
    if (nowMs - keptAtMs < keepEveryMs) return
    keptAtMs = nowMs
    keep()
    if (conducted.value) bells.compare(exactRunMs(conducted.value, ports().steadyMs()))
  }
  /** Bells that came due while sound is held back are told and recorded, and never played late. */
  function noteMissed(before: Conducted): void {
    if (bells.isRunning() || !conducted.value) return
    const [next, count] = missBells(before, conducted.value)
    conducted.value = next
    missed.value += count
  }

  function schedule(): void {
    if (!conducted.value) return
    const { start, state } = conducted.value
    bells.replace(soundsDue(start.plan, state), state.nowMs, exactRunMs(conducted.value, ports().steadyMs()))
  }
  /** Keeps the class in this browser and tells the server of it. */
  function keep(): void {
    if (!conducted.value) return
    const { start, events, state } = conducted.value
    const { id, sessionId } = start
    const over = end.value ? { end: end.value } : {}
    void keepRunning({ id, sessionId, start, events, keptRunMs: state.nowMs, ...over })
    record.tell({ type: 'told', n: events.at(-1)?.n ?? 0 })
    record.tell({ type: 'conducted', atMs: state.nowMs })
  }
  /** The first touch or key after a reload only lets the sound through. */
  async function letSoundThrough(): Promise<void> {
    await bells.letThrough()
    schedule()
  }

  /** Ends the record with the teacher's note; true when the server has it. */
  async function save(note: string): Promise<boolean> {
    if (!conducted.value) return false
    end.value = ledEnd(conducted.value, note)
    keep()
    record.tell({ type: 'over' })
    if (!(await isSent(record))) return false
    await dropRunning(conducted.value.start.id)
    return true
  }

  onScopeDispose(record.stop)
  return {
    conducted: shallowReadonly(conducted),
    stage: computed(() => conducted.value && stageOf(conducted.value.start.plan, conducted.value.state)),
    isHeard: bells.isHeard,
    missed: readonly(missed),
    saveState: computed(record.state),
    refusal: readonly(record.refusal),
    staysAwake: readings.staysAwake,
    begin,
    takeUp,
    tell,
    letSoundThrough,
    save,
    soundCheck: bells.check,
  }
}

interface Doers {
  readonly schedule: () => void
  readonly keep: () => void
  readonly onStopCard: () => void
  readonly ring: ReturnType<typeof useBells>['ring']
  readonly ended: () => void
}

const effectsRunner = (doers: Doers) => (effects: readonly LeadEffect[]) => {
  for (const effect of effects) {
    if (effect.type === 'schedule') doers.schedule()
    if (effect.type === 'sound') doers.ring(effect.sound)
    if (effect.type === 'showStopCard') doers.onStopCard()
    if (effect.type === 'ended') doers.ended()
    if (effect.type === 'save') doers.keep()
  }
}

/** Until the record is wholly sent, or the server does not take it now. */
async function isSent({ outbox }: ReturnType<typeof makeRecordSender>): Promise<boolean> {
  await until(() => outbox.value.ended || outbox.value.trouble !== null).toBe(true)
  return outbox.value.ended
}

/** The page's two clocks, read ten times a second by a worker, with the screen kept awake meanwhile. */
function useReadings(look: () => void) {
  const { epochMs, steadyMs } = ports()
  const wake = useWakeLock()
  let worker: Worker | undefined
  let wasAway = false
  useEventListener(document, 'visibilitychange', () => (wasAway ||= document.visibilityState === 'hidden'))

  const stop = () => {
    worker?.terminate()
    worker = undefined
    void wake.release().catch(() => undefined)
  }
  onScopeDispose(stop)
  return {
    staysAwake: wake.isActive,
    read(): Reading {
      const reading = { epochMs: epochMs(), steadyMs: steadyMs(), wasAway }
      wasAway = false
      return reading
    },
    go(): void {
      if (worker) return
      void wake.request('screen').catch(() => undefined)
      worker = new Worker(new URL('../../shared/lead/tick-worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = look
    },
    stop,
  }
}
