import { createGlobalState, useEventListener, useIntervalFn } from '@vueuse/core'
import { ref } from 'vue'
import type { Person } from '#model/person'
import { calledName } from '#words/people'
import { isTyping } from '#web/shared/session/use-undo-keys.ts'
import { ports } from '#web/shared/ports.ts'

/** Without a key or a press for so long, names cover themselves [decisions, People and classes]. */
export const coversAfterMs = 60_000

/**
 * Whether names are covered in this window: `H` covers them and shows them again, and they cover themselves after a
 * minute in which nobody touched anything.
 */
export const useNames = createGlobalState(() => {
  const covered = ref(false)
  let touchedMs = ports().steadyMs()
  const touch = (): void => {
    touchedMs = ports().steadyMs()
  }
  const cover = (isCovered: boolean): void => {
    touch()
    covered.value = isCovered
  }
  useEventListener(window, 'pointerdown', touch)
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    touch()
    if (event.key.toLowerCase() !== 'h' || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target))
      return
    event.preventDefault()
    cover(!covered.value)
  })
  useIntervalFn(() => {
    if (ports().steadyMs() - touchedMs >= coversAfterMs) covered.value = true
  }, 1000)
  return {
    covered,
    cover,
    /** How somebody is called here; covered, by their number in the list. */
    called: (person: Pick<Person, 'name' | 'calledAs'>, at: number): string =>
      covered.value ? `Person ${String(at + 1)}` : calledName(person),
  }
})
