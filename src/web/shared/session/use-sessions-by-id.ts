import { computed, shallowRef, watch } from 'vue'
import type { Session } from '#model/session'
import { readSession } from '#web/shared/api/sessions.ts'

/** Sessions as the server has them, by id: each is read once; those that are gone are told apart from those not read yet. */
export function useSessionsById(ids: () => readonly string[]) {
  const sessions = shallowRef<ReadonlyMap<string, Session>>(new Map())
  const gone = shallowRef<ReadonlySet<string>>(new Set())
  const isAway = shallowRef(false)
  watch(
    ids,
    async (now) => {
      const missing = [...new Set(now)].filter((id) => !sessions.value.has(id))
      const read = await Promise.all(missing.map(async (id) => [id, await readSession(id)] as const))
      const found = read.flatMap(([id, reply]) => (reply.kind === 'ok' ? [[id, reply.value] as const] : []))
      const lost = read.flatMap(([id, reply]) =>
        reply.kind === 'problem' && reply.problem.code === 'UNKNOWN_SESSION' ? [id] : [],
      )
      isAway.value = read.some(([, reply]) => reply.kind === 'away')
      if (found.length > 0) sessions.value = new Map([...sessions.value, ...found])
      if (lost.length > 0) gone.value = new Set([...gone.value, ...lost])
    },
    { immediate: true },
  )
  /** Every one that is asked for was read, or is gone. */
  const isSettled = computed(() => ids().every((id) => sessions.value.has(id) || gone.value.has(id)))
  return { sessions, gone, isSettled, isAway }
}
