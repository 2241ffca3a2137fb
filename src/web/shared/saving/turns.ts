import { askBeforeLeaving } from './ask-before-leaving.ts'

/** One change is written after the other: each is based on the version the one before it made. */
export function turns() {
  let writing: Promise<unknown> = Promise.resolve()
  let waiting = 0
  let unsettled = 0
  askBeforeLeaving(() => unsettled > 0)
  return {
    /** Whether others wait for the one that is being written. */
    isWaiting: (): boolean => waiting > 0,
    /** Until all that was changed so far is written, or refused. */
    settled: (): Promise<unknown> => writing.catch(() => undefined),
    act(act: () => Promise<boolean>): Promise<boolean> {
      waiting += 1
      unsettled += 1
      const begun = (): Promise<boolean> => {
        waiting -= 1
        return act()
      }
      const done = writing.then(begun, begun).finally(() => {
        unsettled -= 1
      })
      writing = done
      return done
    },
  }
}
