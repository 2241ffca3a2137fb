import { useEventListener } from '@vueuse/core'
import type { Command } from '#core/lead'
import { leadKey } from './lead-keys.ts'

interface Class {
  /** Whether commands count now: a class runs, and no question stands over it. */
  readonly takes: () => boolean
  readonly isPaused: () => boolean
  /** Whether people arrange themselves, before a hold. */
  readonly isArranging: () => boolean
  readonly isHeard: () => boolean
  readonly tell: (command: Command) => void
  /** What stands beside the class takes some keys first; whether it took this one. */
  readonly beside: (event: KeyboardEvent) => boolean
  readonly letSoundThrough: () => void
}

/**
 * Keys and touches as commands. While the browser holds sound back, the first of either only lets it through and counts
 * as no command: a touch is then kept from the button under it.
 */
export function useLeadPresses({ takes, isPaused, isArranging, isHeard, tell, beside, letSoundThrough }: Class) {
  const press = (command: Command): void => {
    if (isHeard()) tell(command)
    else letSoundThrough()
  }

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (!takes() || event.ctrlKey || event.metaKey) return
    // Enter on a button that was reached with Tab presses it.
    if (event.key === 'Enter' && event.target instanceof HTMLButtonElement) return
    if (isHeard() && beside(event)) {
      event.preventDefault()
      return
    }
    if (event.altKey) return
    const command = leadKey(event.key, isPaused(), isArranging())
    if (command) {
      event.preventDefault()
      if (!event.repeat) press(command)
    } else if (!isHeard()) letSoundThrough()
  })

  let wasUnheard = false
  useEventListener(
    window,
    'pointerdown',
    () => {
      wasUnheard = takes() && !isHeard()
      if (wasUnheard) letSoundThrough()
    },
    { capture: true },
  )
  useEventListener(
    window,
    'click',
    (event) => {
      if (!wasUnheard) return
      wasUnheard = false
      event.stopPropagation()
      event.preventDefault()
    },
    { capture: true },
  )
  return press
}
