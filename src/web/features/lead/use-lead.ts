import { computed, shallowReadonly, shallowRef } from 'vue'
import type { ShallowRef } from 'vue'
import type { LedStart } from '#model/led-class'
import {
  beginClass,
  lookAtClass,
  promiseEnd,
  refitClass,
  stageOf,
  takeOverClass,
  takeUpClass,
  tellClass,
} from '#core/lead'
import type { Command, Conducted, FromElsewhere, LeadEffect, Reading, Way } from '#core/lead'
import type { RunningClass } from '#web/shared/lead/running-class.ts'
import { deviceId } from '#web/shared/lead/device-id.ts'
import { useLedClock } from './led-clock.ts'
import { useClassRecord } from './use-class-record.ts'
import { useClassSound } from './use-class-sound.ts'
import { useReadings } from './use-readings.ts'

/** Kept in the browser at least this often; the audio clock is compared each time. */
const keepEveryMs = 5000

type Done = readonly [Conducted, readonly LeadEffect[]]

type Act = (does: (now: Conducted, reading: Reading) => Done) => void

/** What the teacher tells a class; an End that is taken back lets it go on. */
const commands = (act: Act, goOn: () => void) => ({
  tell(command: Command): void {
    act((now, reading) => tellClass(now, command, reading))
    goOn()
  },
  /** Takes what was worked out for the rest of the class. */
  refit(way: Way): void {
    act((now, reading) => refitClass(now, way, reading))
  },
  /** Says when a class that started late is promised to end. */
  promise(endMs: number): void {
    act((now, reading) => promiseEnd(now, endMs, reading))
  },
})

interface Beginning {
  readonly put: (done: Done) => void
  readonly readings: ReturnType<typeof useReadings>
  readonly record: ReturnType<typeof useClassRecord>
  readonly clock: ReturnType<typeof useLedClock>
}

/** The ways in which a class comes to run here. */
const beginnings = ({ put, readings, record, clock }: Beginning) => ({
  /** Begins a class; so many times as fast it is a rehearsal. */
  begin(start: LedStart, speed = 1): void {
    clock.runAt(speed)
    record.anew()
    put([beginClass(start, readings.read(), deviceId()), [{ type: 'save' }, { type: 'schedule' }]])
    readings.go()
  },
  /** Takes a class up again after a reload or a closed window, at the right second. */
  takeUp({ start, events, keptRunMs }: RunningClass): void {
    record.anew()
    put(takeUpClass(start, events, keptRunMs, readings.read(), deviceId()))
    readings.go()
  },
  /** Leads on what another device led, from the instant at which it is. */
  takeOver(from: FromElsewhere): void {
    record.anew(from.events.length)
    put(takeOverClass(from, readings.read(), deviceId()))
    readings.go()
  },
})

interface Looked {
  readonly conducted: Readonly<ShallowRef<Conducted | undefined>>
  readonly act: Act
  readonly record: ReturnType<typeof useClassRecord>
  readonly sound: ReturnType<typeof useClassSound>
}

/** A look at the clocks; what was missed is told, and now and then the class is kept and the audio clock compared. */
function looking({ conducted, act, record, sound }: Looked): () => void {
  let keptAtMs = 0
  return () => {
    const before = conducted.value
    if (!before) return
    act(lookAtClass)
    sound.noteMissed(before)
    const nowMs = conducted.value.state.nowMs
    if (nowMs - keptAtMs < keepEveryMs) return
    keptAtMs = nowMs
    record.keep()
    sound.compare()
  }
}

/**
 * Runs a class: gives it its time and the teacher's commands, and does what it asks (sounds, saving, the screen kept
 * awake). In a rehearsal its clock runs faster and nothing is kept. Returns readonly refs; ends with its scope.
 */
export function useLead(onStopCard: () => void) {
  const conducted = shallowRef<Conducted>()
  const clock = useLedClock()
  const record = useClassRecord(conducted, clock.isRehearsal)
  const sound = useClassSound(conducted, clock.now)
  const readings = useReadings(
    looking({ conducted, act: (does) => act(does), record, sound }),
    () => clock.now().clocks,
  )

  function put([next, effects]: Done): void {
    conducted.value = next
    effects.forEach(doEffect)
  }
  function doEffect(effect: LeadEffect): void {
    if (effect.type === 'schedule') sound.schedule()
    if (effect.type === 'sound') sound.ring(effect.sound)
    if (effect.type === 'showStopCard') onStopCard()
    if (effect.type === 'ended') {
      readings.stop()
      sound.stopMusic()
    }
    if (effect.type === 'save') record.keep()
  }
  const act: Act = (does) => {
    if (conducted.value) put(does(conducted.value, readings.read()))
  }
  const { isHeard, missed, letThrough: letSoundThrough, check: soundCheck } = sound
  return {
    conducted: shallowReadonly(conducted),
    stage: computed(() => conducted.value && stageOf(conducted.value.start.plan, conducted.value.state)),
    staysAwake: readings.staysAwake,
    ...{ isHeard, missed, letSoundThrough, soundCheck },
    ...{ save: record.save, saveState: record.saveState, refusal: record.refusal },
    ...{ speed: clock.speed, isRehearsal: clock.isRehearsal },
    ...beginnings({ put, readings, record, clock }),
    /** The device that leads, where another took over. */
    elsewhere: record.elsewhere,
    /** Back to before the class. */
    putAway(): void {
      readings.stop()
      sound.silence()
      conducted.value = undefined
      clock.runAt(1)
    },
    ...commands(act, () => {
      if (conducted.value?.state.phase === 'running') readings.go()
    }),
  }
}
