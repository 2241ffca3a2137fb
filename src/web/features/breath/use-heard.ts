import { useIntervalFn } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import type { LedStart } from '#model/led-class'
import { blockHeard, ledStart, soundsDue, stageOf, step } from '#core/lead'
import type { HeardBlock, Stage } from '#core/lead'
import { blockName } from '#words/blocks'
import { sectionName } from '#words/sections'
import { useBells } from '#web/shared/lead/use-bells.ts'
import { ports } from '#web/shared/ports.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { endWith, useBreath } from './use-breath.ts'

/** The line is drawn anew this often; sounds stand on the audio clock and do not wait for it. */
const drawEveryMs = 50
const compareEveryMs = 5000

interface Heard extends HeardBlock {
  readonly led: LedStart
}

/** The block played from the section that is looked at, at its true pace: what is heard now, `hear` and `stop`. */
export function useHeard() {
  const { store, span, at, sounding } = useBreath()
  const settings = useSettingsStore()
  const bells = useBells()
  const heard = shallowRef<Heard>()
  let zeroMs = 0
  let comparedMs = 0
  const runMs = (): number => ports().steadyMs() - zeroMs

  function schedule(): void {
    if (!heard.value) return
    const { plan, state } = heard.value
    bells.replace(soundsDue(plan, state, settings.breathSounds), state.nowMs, runMs)
  }
  async function hear(): Promise<void> {
    const { document, timeline } = store
    if (!document || !timeline || !span.value) return
    const led = ledStart(document, timeline, { ...nobody, nameOf: blockName, sectionNameOf: sectionName })
    sounding.value = 'heard'
    await bells.letThrough()
    zeroMs = ports().steadyMs()
    comparedMs = 0
    const block = blockHeard(led.plan, span.value.block.block.id, at.value)
    heard.value = { ...block, led: { ...led, plan: block.plan } }
    schedule()
    ticking.resume()
  }
  function stop(): void {
    ticking.pause()
    bells.silence()
    heard.value = undefined
  }
  function look(): void {
    if (!heard.value) return
    const { plan, state } = heard.value
    const atMs = Math.round(runMs())
    const [next] = step(plan, state, { type: 'tick', atMs })
    if (next.phase === 'ended') {
      stop()
      return
    }
    heard.value = { ...heard.value, state: next }
    if (atMs - comparedMs < compareEveryMs) return
    comparedMs = atMs
    bells.compare(runMs)
  }
  const ticking = useIntervalFn(look, drawEveryMs, { immediate: false })
  watch(() => settings.breathSounds, schedule)
  endWith('tapped', stop)
  // What is heard is what stands there: a change ends it.
  watch(() => store.document, stop)

  const stage = computed((): Stage | undefined => heard.value && stageOf(heard.value.plan, heard.value.state))
  return { heard, stage, hear, stop }
}

/** Nobody is led: it is only heard. */
const nobody = { id: 'heard', people: 0, startedAtMs: 0, promisedEndMs: 0 } as const
