import { createSharedComposable, useEventListener } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Remark, Remarks } from '#model/remark'
import { whyNot } from '#web/shared/api/client.ts'
import type { Reply } from '#web/shared/api/client.ts'
import { dropRemark, keepRemark, readRemarks, showSession } from '#web/shared/api/remarks.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import { usePlan } from '../use-plan.ts'

const nothing: Remarks = { on: [], shownTo: [], of: null }

/** What colleagues say of the open session, and what one says of the one it is a copy of. */
export const useRemarks = createSharedComposable(() => {
  const { document } = usePlan()
  const who = useWhoStore()
  const remarks = shallowRef(nothing)
  /** Why the last thing did not come about. */
  const mend = ref('')
  const sessionId = computed(() => (who.kind === 'alone' ? undefined : document.value?.id))

  let newest = 0
  async function load(): Promise<void> {
    newest += 1
    const turn = newest
    const asked = sessionId.value
    const reply = asked === undefined ? undefined : await readRemarks(asked)
    // It was asked for anew since, of this session or another; and with the server away what was said stays said.
    if (turn !== newest || reply?.kind === 'away') return
    remarks.value = reply?.kind === 'ok' ? reply.value : nothing
  }
  watch(
    sessionId,
    () => {
      remarks.value = nothing
      mend.value = ''
      void load()
    },
    { immediate: true },
  )
  // A colleague may have said something meanwhile.
  useEventListener(window, 'focus', () => void load())

  async function done(act: (sessionId: string) => Promise<Reply<unknown>>): Promise<boolean> {
    if (sessionId.value === undefined) return false
    const reply = await act(sessionId.value)
    mend.value = reply.kind === 'ok' ? '' : whyNot(reply)
    await load()
    return reply.kind === 'ok'
  }
  return {
    ...{ remarks, mend, sessionId },
    show: (to: string) => done((id) => showSession(id, to)),
    say: (blockId: string, text: string) => done((id) => keepRemark(id, nanoid(), { blockId, text })),
    drop: (remark: Remark) => done((id) => dropRemark(id, remark.id)),
  }
})
