import { computed, onScopeDispose, readonly, ref, shallowRef } from 'vue'
import { useWakeLock } from '@vueuse/core'
import type { LedClass } from '#model/classes'
import { beginLead, bellsBetween, fold, look, soundsDue, step } from '#core/lead'
import type { LeadEffect, LeadEvent, LeadEventType, LeadPlan, LeadState } from '#core/lead'
import { writeLedClass } from '#web/shared/api/led-classes.ts'
import { makeBellSchedule } from '#web/shared/lead/bell-schedule.ts'
import { dropRunning, keepRunning } from '#web/shared/lead/running-class.ts'
import type { RunningClass } from '#web/shared/lead/running-class.ts'
import { ports } from '#web/shared/ports.ts'

/** Kept in the browser at least this often; the audio clock is compared each second time. */
const keepEveryMs = 5000
/** Wall time and the page's own time apart by more than this: the machine slept [decisions]. */
const jumpMs = 2000

/**
 * Runs a class: gives the machine its time and the teacher's presses, and does what it asks (sounds,
 * saving, the screen kept awake). Returns readonly refs; ends with its scope.
 */
export function useLead(onStopCard: () => void) {
  const { epochMs, steadyMs, audio: openAudio } = ports()
  const audio = openAudio()
  const bells = makeBellSchedule(audio)
  const wake = useWakeLock()

  const led = shallowRef<LedClass>()
  const state = shallowRef<LeadState>()
  const isHeard = ref(audio.isRunning())
  const missed = ref(0)
  const saveState = ref<'saved' | 'saving' | 'retrying'>('saved')
  const plan = computed(() => led.value?.plan as unknown as LeadPlan | undefined)
  const seen = computed(() => (plan.value && state.value ? look(plan.value, state.value) : undefined))

  let startedAtMs = 0
  /** Wall time at which the page's own time was zero, taken anew after a sleep. */
  let pageZeroMs = epochMs() - steadyMs()
  let keptAtMs = 0
  let worker: Worker | undefined

  const exactRunMs = (): number => Math.max(0, pageZeroMs + steadyMs() - startedAtMs)
  const runMs = (): number => Math.round(exactRunMs())

  function begin(next: LedClass): void {
    led.value = next
    startedAtMs = Date.parse(next.startedAt)
    state.value = beginLead(next.plan as unknown as LeadPlan)
    go()
    keep()
    schedule()
    void send()
  }

  /** Takes a class up again after a reload or a closed window, at the right second. */
  function takeUp(running: RunningClass): void {
    led.value = running.led
    startedAtMs = Date.parse(running.led.startedAt)
    const log = running.led.log as LeadEvent[]
    state.value = fold(running.led.plan as unknown as LeadPlan, log, running.keptRunMs)
    go()
    if (state.value.phase === 'running') tell('gap')
  }

  function go(): void {
    void wake.request('screen').catch(() => undefined)
    worker = new Worker(new URL('../../shared/lead/tick-worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = tick
  }

  function tick(): void {
    if (!plan.value || !state.value || state.value.phase === 'ended') return
    const jumped = Math.abs(epochMs() - (pageZeroMs + steadyMs())) > jumpMs
    if (jumped) {
      pageZeroMs = epochMs() - steadyMs()
      tell('gap')
      return
    }
    const now = runMs()
    const before = state.value
    const [next, effects] = step(plan.value, before, { type: 'tick', atMs: now })
    state.value = next
    run(effects)
    isHeard.value = audio.isRunning()
    if (!isHeard.value) noteMissed(bellsBetween(plan.value, before, next))
    if (now - keptAtMs >= keepEveryMs) {
      keptAtMs = now
      keep()
      void send()
      bells.compare(exactRunMs())
    }
  }

  /** Bells that came due while sound is held back are told and recorded, and never played late. */
  function noteMissed(count: number): void {
    missed.value += count
    for (let bell = 0; bell < count; bell += 1) tell('missed')
  }

  function tell(type: LeadEventType): void {
    if (!plan.value || !state.value || !led.value) return
    const event: LeadEvent = { type, atMs: runMs() }
    const [next, effects] = step(plan.value, state.value, event)
    state.value = next
    led.value = { ...led.value, log: [...led.value.log, event] }
    run(effects)
  }

  function run(effects: readonly LeadEffect[]): void {
    for (const effect of effects) {
      if (effect.type === 'schedule') schedule()
      if (effect.type === 'sound' && audio.isRunning()) audio.schedule(effect.sound, audio.now() + 0.02)
      if (effect.type === 'showStopCard') onStopCard()
      if (effect.type === 'ended') finishSounds()
      if (effect.type === 'save') {
        keep()
        void send()
      }
    }
  }

  function schedule(): void {
    if (plan.value && state.value) bells.replace(soundsDue(plan.value, state.value), state.value.nowMs, exactRunMs())
  }

  function finishSounds(): void {
    // The last bell may still ring out; nothing after it is scheduled.
    worker?.terminate()
    void wake.release().catch(() => undefined)
  }

  /** The first touch or key after a reload only lets the sound through; bells due meanwhile are missed. */
  async function letSoundThrough(): Promise<void> {
    await audio.resume()
    isHeard.value = audio.isRunning()
    schedule()
  }

  function keep(): void {
    if (!led.value || !state.value) return
    led.value = { ...led.value, conductedMs: state.value.nowMs }
    const kept = { led: led.value, keptRunMs: state.value.nowMs, keptEpochMs: epochMs() }
    void keepRunning(kept)
  }

  let sending: Promise<void> = Promise.resolve()
  /** Sends the record to the server, one after the other; away, it is tried again until it is there. */
  function send(): Promise<void> {
    window.clearTimeout(retry)
    sending = sending.then(sendNow)
    return sending
  }
  let retry: number | undefined
  async function sendNow(): Promise<void> {
    if (!led.value) return
    if (saveState.value === 'saved') saveState.value = 'saving'
    const reply = await writeLedClass(led.value)
    saveState.value = reply.kind === 'ok' ? 'saved' : 'retrying'
    if (reply.kind !== 'ok') retry = window.setTimeout(() => void send(), 3000)
  }

  /** Ends the record with the teacher's note; true when the server has it. */
  async function save(note: string): Promise<boolean> {
    if (!led.value || !state.value) return false
    const endedAt = new Date(startedAtMs + state.value.nowMs).toISOString()
    led.value = { ...led.value, endedAt, ...(note.trim() === '' ? {} : { note }) }
    keep()
    await send()
    if (saveState.value !== 'saved') return false
    await dropRunning(led.value.id)
    return true
  }

  onScopeDispose(() => {
    worker?.terminate()
    bells.silence()
    void wake.release().catch(() => undefined)
  })

  return {
    led: readonly(led),
    plan,
    state: readonly(state),
    seen,
    isHeard: readonly(isHeard),
    missed: readonly(missed),
    saveState: readonly(saveState),
    staysAwake: wake.isActive,
    canStayAwake: wake.isSupported,
    startedAtMs: () => startedAtMs,
    epochNow: () => pageZeroMs + steadyMs(),
    begin,
    takeUp,
    tell,
    letSoundThrough,
    save,
    soundCheck: async () => {
      await audio.resume()
      audio.schedule({ kind: 'bowl', strokes: 1 }, audio.now() + 0.05)
      isHeard.value = audio.isRunning()
    },
  }
}
