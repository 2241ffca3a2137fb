import { useDebounceFn, useTimeoutFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { isOfPeople } from '#core/class'
import { namesOf } from '#core/session'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { useRouter } from 'vue-router'
import { locksLead } from '#core/checks'
import type { AnyNoticed } from '#core/checks'
import type { ClassNoticed } from '#core/class'
import { countGrades, withSetAside, worstFirst } from '#core/finding'
import type { Judged } from '#core/finding'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { readBesideAnew } from '#web/shared/house/use-beside.ts'
import { useClassFindings } from '#web/shared/house/use-class-findings.ts'
import { useSetAside } from '#web/shared/findings/use-set-aside.ts'
import { useHouse } from '#web/shared/house/use-house.ts'
import { showFits } from '../dialogs.ts'
import { usePlan } from '../use-plan.ts'
import type { FindingWords } from '#words/findings'
import { countWords } from '#words/grades'

/** Checked when the hands rest for a moment: typing never waits for it. */
const restsAfterMs = 200
/** The first look at a plan does not wait for the rules either. */
const firstAfterMs = 600

/** A finding of the session, of one of its set-ups, or of the class it is opened for. */
export type Looked = AnyNoticed | ClassNoticed

/** The findings of the session in this window; the same for the foot line and the panel. */
const findings = shallowRef<readonly AnyNoticed[]>()
const shown = ref(false)

/** The rules; with the server away, before they were ever fetched, there are none: the next change asks again. */
const fetchWork = () => import('#web/shared/findings/check-work.ts').catch(() => undefined)
const work = shallowRef<Awaited<ReturnType<typeof fetchWork>>>()

/** What keeps a class from being led is not set aside, whatever a document says. */
const neverAside = (judged: Judged<AnyNoticed>): Judged<AnyNoticed> =>
  judged.aside && locksLead(judged.finding) ? { ...judged, aside: undefined } : judged

/** Watches the session and finds what needs a look. To be called once, by the view. */
export function watchFindings(): void {
  readBesideAnew()
  const { document, timeline } = usePlan()
  const own = useOwnStore()
  const { lyingOn, loadPlaces } = useHouse()
  const people = usePeopleStore()
  const names = computed(() => namesOf(people.people))
  void loadPlaces()
  void people.load()
  async function check(): Promise<void> {
    work.value ??= await fetchWork()
    findings.value =
      work.value && document.value && timeline.value
        ? work.value.allFindingsOf(document.value, timeline.value, own.catalog, lyingOn.value, names.value)
        : undefined
  }
  const later = useDebounceFn(check, restsAfterMs)
  watch([document, timeline, lyingOn, names], () => (findings.value === undefined ? undefined : later()))
  // Another session is not spoken of by the findings of the one before.
  const { start: first } = useTimeoutFn(check, firstAfterMs, { immediate: false })
  watch(
    () => document.value?.id,
    () => {
      findings.value = undefined
      first()
    },
    { immediate: true },
  )
}

/** The findings with what the teacher set aside, and everything done with one. */
export function useFindings() {
  const { document, timeline } = usePlan()
  const own = useOwnStore()
  const { unit } = useHouse()
  const ofClass = useClassFindings(() =>
    document.value && timeline.value ? { document: document.value, timeline: timeline.value } : undefined,
  )
  const judged = computed<readonly Judged<Looked>[]>(() => {
    if (!document.value || !findings.value) return []
    const ofSession = withSetAside(findings.value, document.value).map(neverAside)
    const all: readonly Judged<Looked>[] = [...ofSession, ...ofClass.judged.value]
    return [...all].sort((a, b) => worstFirst()(a.finding, b.finding))
  })
  /** Before the first check there is nothing to say, not even that nothing was found. */
  const isChecked = computed(() => findings.value !== undefined)
  const open = computed(() => judged.value.filter(({ aside }) => aside === undefined))
  const aside = computed(() => judged.value.filter((one) => one.aside !== undefined))
  /** Only what must be mended and what wants a look is counted [decisions]. */
  const counts = computed(() => countGrades(open.value.map(({ finding }) => finding)))
  const toMend = computed(() => countWords(counts.value))
  const wordsOf = (finding: Looked): FindingWords =>
    work.value?.wordsOf(finding, own.catalog, unit.value) ?? { title: '', reason: '' }

  return { shown, isChecked, judged, open, aside, counts, toMend, wordsOf, ...useActs(wordsOf, ofClass) }
}

/** Everything done with a finding. */
function useActs(wordsOf: (finding: Looked) => FindingWords, ofClass: ReturnType<typeof useClassFindings>) {
  const { store, document, timeline, tell, choose } = usePlan()
  const own = useOwnStore()
  const { lyingOn } = useHouse()
  const router = useRouter()
  const people = usePeopleStore()
  const names = computed(() => namesOf(people.people))
  const asides = useSetAside()
  /** The finding as the session stands this moment: its mend must not bring back what was changed since it was found. */
  function fresh({ code, place }: AnyNoticed): AnyNoticed | undefined {
    const now =
      document.value && timeline.value
        ? work.value?.allFindingsOf(document.value, timeline.value, own.catalog, lyingOn.value, names.value)
        : undefined
    return now?.find((one) => one.code === code && one.place.blockId === place.blockId)
  }
  function mend(finding: Looked): void {
    if ('ofClass' in finding) {
      lookAtClass(isOfPeople(finding.code) ? 'who' : 'needs')
      return
    }
    const now = fresh(finding)
    if (now && 'setUp' in now) lookAtSetUp(now)
    else if (now?.mend?.by === 'edits') {
      const words = wordsOf(now).mend?.toLowerCase() ?? 'mend'
      if (!store.edit({ type: 'several', edits: now.mend.edits }, words)) return
      // What was put in or changed is what one wants to see now.
      const added = now.mend.edits.find((edit) => edit.type === 'insert')
      choose(added?.block.id ?? now.place.blockId)
      tell(`Done: ${words}`)
    } else if (now?.mend) {
      showFits(now.mend.by === 'order' ? 'order' : 'length')
    } else {
      tell('It is mended already')
    }
  }
  /** A set-up is mended where it is drawn. */
  function lookAtSetUp({ place }: AnyNoticed): void {
    if (document.value)
      void router.push({ name: 'props', params: { id: document.value.id }, hash: `#${place.blockId ?? ''}` })
  }
  /** What a class takes, who gets what of it, and how it lies in its room, stand together; who takes what has its own view. */
  function lookAtClass(name: 'needs' | 'who'): void {
    if (document.value) void router.push({ name, params: { id: document.value.id } })
  }
  function setAside(finding: Looked, reason: string): void {
    if ('ofClass' in finding) ofClass.setAside(finding, reason)
    else asides.setAside(finding, reason)
    tell('Set aside; it comes back when its numbers change')
  }
  function takeBack(finding: Looked): void {
    if ('ofClass' in finding) ofClass.takeBack(finding)
    else asides.takeBack(finding)
  }
  function goTo(finding: Looked): void {
    if (finding.place.blockId !== undefined) choose(finding.place.blockId)
  }
  return { mend, setAside, takeBack, goTo }
}
