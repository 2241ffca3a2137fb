import { computed } from 'vue'
import { checkClass } from '#core/class'
import type { ClassNoticed } from '#core/class'
import { settingAside, takingBack, withSetAside } from '#core/finding'
import type { Judged } from '#core/finding'
import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { propNames } from '#words/props'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useBeside } from './use-beside.ts'
import { useClass } from './use-class.ts'

/** What is found of the planned class a session is opened for, with what was set aside in it [settled A13]. */
export function useClassFindings(of: () => { readonly document: Session; readonly timeline: Timeline } | undefined) {
  const { planned, groups, place, room, classes, forms, atHome } = useClass(of)
  const own = useOwnStore()
  const beside = useBeside(() => {
    const now = of()
    return now && planned.value && { planned: planned.value, totalMs: now.timeline.totalMs }
  })
  const judged = computed((): readonly Judged<ClassNoticed>[] => {
    const now = of()
    if (!now || !planned.value || !place.value) return []
    const found = checkClass({
      ...{ planned: planned.value, timeline: now.timeline, groups: groups.value },
      ...{ through: forms.value.through, forms: forms.value.laid },
      ...{ place: place.value, room: room.value, beside: beside.value },
      ...{ changes: own.catalog.changes, atHome: atHome.value },
      isHere: (now.document.setting ?? 'room') === 'room',
      called: (kind) => [propNames[kind].one, propNames[kind].many],
    })
    return withSetAside(found, planned.value)
  })
  return {
    ...{ judged, beside },
    setAside(finding: ClassNoticed, reason: string): void {
      if (!planned.value) return
      const setAside = settingAside(planned.value, finding, reason, new Date().toISOString())
      void classes.put({ ...planned.value, setAside })
    },
    takeBack(finding: ClassNoticed): void {
      if (planned.value) void classes.put({ ...planned.value, setAside: takingBack(planned.value, finding) })
    },
  }
}
