import { computed, ref, shallowRef } from 'vue'
import type { KeptTeacher } from '#model/teacher'
import { whyNot } from '#web/shared/api/client.ts'
import { listTeachers } from '#web/shared/api/teachers.ts'
import { useWhoStore } from './who-store.ts'

/** Choosing a colleague: asked for when one is to be chosen. */
export function useColleagues() {
  const who = useWhoStore()
  const colleagues = shallowRef<readonly KeptTeacher[]>()
  const to = ref('')
  /** Why nobody can be chosen. */
  const mend = ref('')
  return {
    ...{ colleagues, to, mend },
    choices: computed(() => (colleagues.value ?? []).map(({ id, name }) => ({ value: id, words: name }))),
    async ask(): Promise<void> {
      const reply = await listTeachers()
      mend.value = reply.kind === 'ok' ? '' : whyNot(reply)
      if (reply.kind !== 'ok') return
      colleagues.value = reply.value.filter(({ id, isClosed }) => !isClosed && id !== who.teacher?.id)
      to.value = colleagues.value[0]?.id ?? ''
    },
    close(): void {
      colleagues.value = undefined
    },
  }
}
