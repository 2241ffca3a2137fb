import { createGlobalState, useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { ports } from '#web/shared/ports.ts'

/**
 * A device on which somebody has their own page and nothing else, until their teacher's code closes it. It is kept in the
 * browser, so that neither a reload nor another window of it shows more; the code keeps out who holds it for a minute, and
 * is no secret.
 */
interface Handed {
  readonly personId: string
  readonly code: string
  /** Wrong codes in a row, and from when on another may be tried. */
  readonly wrong: number
  readonly notBeforeMs: number
}

/** A code is so many digits; after so many wrong ones in a row no other is taken for so long. */
export const codeDigits = 4
const mostWrong = 5
const waitMs = 60_000

/** What typing a code comes to. */
export type Tried = 'closed' | 'wrong' | 'wait'

/** The next state of a device that was handed over, once a code was typed; nothing left once it is closed. */
export function tryCode(handed: Handed, code: string, nowMs: number): readonly [Handed | undefined, Tried] {
  if (nowMs < handed.notBeforeMs) return [handed, 'wait']
  if (code === handed.code) return [undefined, 'closed']
  const wrong = handed.wrong + 1
  return wrong < mostWrong
    ? [{ ...handed, wrong }, 'wrong']
    : [{ ...handed, wrong: 0, notBeforeMs: nowMs + waitMs }, 'wait']
}

export const useHandedOver = createGlobalState(() => {
  const kept = useLocalStorage<Handed | null>('zovrin.handed', null, {
    serializer: { read: (text) => JSON.parse(text) as Handed | null, write: (handed) => JSON.stringify(handed) },
  })
  return {
    /** Whose page it is; undefined where the device is the teacher's. */
    personId: computed(() => kept.value?.personId),
    handOver(personId: string, code: string): void {
      kept.value = { personId, code, wrong: 0, notBeforeMs: 0 }
    },
    close(code: string): Tried {
      if (!kept.value) return 'closed'
      const [next, tried] = tryCode(kept.value, code, ports().epochMs())
      kept.value = next ?? null
      return tried
    },
  }
})
