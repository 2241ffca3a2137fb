import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import { useLookTo } from '#web/shared/house/use-look-to.ts'

/** What a printed plan tells of its class; held while the plan is looked at, since printing waits for nothing. */
export function usePlanSheet(of: () => { readonly document: Session; readonly timeline: Timeline } | undefined) {
  const { lookToIn } = useLookTo(of)
  const { people, ofEach, ofAll } = useFetching(of)
  return { lookToIn, people, ofEach, ofAll }
}
export type SheetOfClass = ReturnType<typeof usePlanSheet>
