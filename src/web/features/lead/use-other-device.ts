import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Conducted } from '#core/lead'
import type { ClassNow } from '#model/device'
import { readClassNow, serverAheadMs } from '#web/shared/api/now.ts'
import { deviceId } from '#web/shared/lead/device-id.ts'
import { runningOf } from '#web/shared/lead/running-class.ts'
import type { RunningClass } from '#web/shared/lead/running-class.ts'
import { putBeside } from '#web/shared/lead/send-unsent.ts'
import { takeOver } from './take-over.ts'
import { useClassNow } from './use-class-now.ts'
import type { useLead } from './use-lead.ts'

/** A server that does not answer is asked again after this. */
const retryMs = 3000

const isLedByOther = (now: ClassNow | null | undefined, conducted: Conducted | undefined): boolean =>
  now !== null && now !== undefined && now.id === conducted?.start.id && now.leads?.by !== deviceId()

/** What this browser kept of a class and the server has not is put beside its record, now or when the server answers. */
function useHandingOver() {
  const again = useTimeoutFn((kept: RunningClass) => void handOver(kept), retryMs, { immediate: false })
  async function handOver(kept: RunningClass | undefined): Promise<void> {
    if (kept && !(await putBeside(kept))) again.start(kept)
  }
  return handOver
}

/**
 * Other devices and the class of a session: whether one of them leads it, taking it over from it, and giving it up to
 * it. `onLost` is told when this device no longer leads.
 */
export function useOtherDevice(lead: ReturnType<typeof useLead>, sessionId: string, onLost: () => void) {
  const { now, follow, stop } = useClassNow()
  const aheadMs = ref(0)
  const mend = ref('')
  const there = computed(() => (now.value?.sessionId === sessionId ? now.value : undefined))

  const handOver = useHandingOver()
  async function lookOn(): Promise<void> {
    follow()
    aheadMs.value = (await serverAheadMs()) ?? 0
  }
  let isLosing = false
  async function lose(): Promise<void> {
    if (isLosing) return
    isLosing = true
    const kept = await runningOf(sessionId)
    lead.putAway()
    isLosing = false
    onLost()
    await Promise.all([handOver(kept), lookOn()])
  }
  // While this device leads, its stream says that it is there, and hears at once of another that takes over.
  watch(
    () => lead.conducted.value !== undefined && !lead.isRehearsal.value,
    (leads) => {
      if (leads) follow(deviceId())
    },
  )
  watch([now, lead.elsewhere], ([at, elsewhere]) => {
    const isTaken = elsewhere !== undefined || isLedByOther(at, lead.conducted.value)
    if (isTaken && lead.conducted.value && !lead.isRehearsal.value) void lose()
  })

  return {
    there,
    /** The server says that nobody leads it any more. */
    isOver: computed(() => now.value !== undefined && there.value === undefined),
    aheadMs,
    mend,
    stop,
    /** Whether another device has the class of this session that this browser kept, or any that runs. */
    async isElsewhere(kept: RunningClass | undefined): Promise<boolean> {
      const reply = await readClassNow()
      const at = reply.kind === 'ok' && reply.value?.sessionId === sessionId ? reply.value : undefined
      if (!at || (kept && (kept.id !== at.id || at.leads === null || at.leads.by === deviceId()))) return false
      await Promise.all([handOver(kept), lookOn()])
      return true
    },
    /** Leads on from here; what stands in the way is said. */
    async take(): Promise<boolean> {
      const at = there.value
      const taken = at && (await takeOver(at))
      if (taken === undefined) return false
      mend.value = typeof taken === 'string' ? taken : ''
      if (typeof taken === 'string') return false
      lead.takeOver(taken)
      return true
    },
  }
}
