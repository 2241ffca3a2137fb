import { useEventListener, useMutationObserver } from '@vueuse/core'

/** Where the focus was: the element, what it stood in from near to far, and its place among what can have the focus there. */
interface Was {
  readonly element: HTMLElement
  readonly within: readonly { readonly container: HTMLElement; readonly place: number }[]
}

const focusable = 'a[href], button:not(:disabled), input:not(:disabled), select, textarea, summary, [tabindex="0"]'
/** As far back as one looks for something that still stands. */
const mostKept = 12

const inside = (container: HTMLElement): HTMLElement[] =>
  [...container.querySelectorAll<HTMLElement>(focusable)].filter((one) => one.checkVisibility())
const canHave = (element: HTMLElement): boolean =>
  element.isConnected && element.checkVisibility() && !element.matches(':disabled')

/** What the focus stood in, up to the view: beyond it nothing is near any more. */
function remembered(element: HTMLElement): Was {
  const within: { container: HTMLElement; place: number }[] = []
  for (let up = element.parentElement; up && up !== document.body && up.tagName !== 'MAIN'; up = up.parentElement)
    within.push({ container: up, place: inside(up).indexOf(element) })
  return { element, within }
}

/** What stands now where the focus was: the same, or what has come into its place, nearest first. */
function standIn({ element, within }: Was): HTMLElement | undefined {
  if (canHave(element)) return element
  for (const { container, place } of within) {
    if (!container.isConnected) continue
    const there = inside(container)
    const next = there[Math.min(Math.max(0, place), there.length - 1)]
    if (next) return next
  }
  return undefined
}

/**
 * Keeps the focus where one works: when what had it is removed, closed or can no longer have it, it goes to what stands
 * in its place, or back to where it came from; never to the page. Only while `isOn` says so.
 */
export function useKeptFocus(isOn: () => boolean): void {
  let was: Was[] = []
  useEventListener(document, 'focusin', ({ target }) => {
    if (!(target instanceof HTMLElement) || target === document.body) return
    was = [remembered(target), ...was.filter(({ element }) => element !== target)].slice(0, mostKept)
  })

  function look(): void {
    const [last] = was
    if (!last || !isOn() || (document.activeElement !== null && document.activeElement !== document.body)) return
    // Who presses beside everything wants the focus nowhere.
    if (canHave(last.element)) return
    for (const one of was) {
      const there = standIn(one)
      if (!there) continue
      there.focus({ preventScroll: true })
      return
    }
    document.querySelector<HTMLElement>('main')?.focus({ preventScroll: true })
  }
  const soon = () => requestAnimationFrame(look)
  useMutationObserver(document.body, soon, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  })
  useEventListener(document, 'focusout', soon)
}
