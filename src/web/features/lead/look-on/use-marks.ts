import { useIntervalFn } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { onMounted, ref, shallowRef } from 'vue'
import { forgetOtherMarks, keepMark, marksOf, sendMarks } from '#web/shared/lead/marks.ts'
import type { Mark } from '#web/shared/lead/marks.ts'

/** What is not sent is tried again after this. */
const retryMs = 3000

/** The marks of somebody who looks on: each kept here at once, and sent when the server answers. */
export function useMarks(classId: string) {
  const marks = shallowRef<readonly Mark[]>([])
  const isSent = ref(true)
  async function send(): Promise<void> {
    isSent.value = await sendMarks()
    marks.value = await marksOf(classId)
  }
  useIntervalFn(() => {
    if (!isSent.value) void send()
  }, retryMs)
  async function keep(mark: Mark): Promise<void> {
    await keepMark({ ...mark, isSent: false })
    marks.value = await marksOf(classId)
    void send()
  }
  onMounted(async () => {
    await forgetOtherMarks(classId)
    await send()
  })
  return {
    ...{ marks, isSent },
    /** Marks the moment; done when it is kept here. */
    mark: (atMs: number) =>
      keep({ id: nanoid(), classId, atMs: Math.round(atMs), text: '', isGone: false, isSent: false }),
    write: (mark: Mark, text: string) => keep({ ...mark, text }),
    takeAway: (mark: Mark) => keep({ ...mark, isGone: true }),
  }
}
