import { useDebounceFn, useTimeoutFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { locksLead } from '#core/checks'
import type { Noticed } from '#core/checks'
import { countGrades, settingAside, takingBack, withSetAside } from '#core/finding'
import type { Judged } from '#core/finding'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { showFits } from '../dialogs.ts'
import { usePlan } from '../use-plan.ts'
import type { FindingWords } from '#words/findings'
import { countWords } from '#words/grades'

/** Checked when the hands rest for a moment: typing never waits for it. */
const restsAfterMs = 200
/** The first look at a plan does not wait for the rules either. */
const firstAfterMs = 600

/** The findings of the session in this window; the same for the foot line and the panel. */
const findings = shallowRef<readonly Noticed[]>()
const shown = ref(false)

/** The rules; with the server away, before they were ever fetched, there are none: the next change asks again. */
const fetchWork = () => import('#web/shared/findings/check-work.ts').catch(() => undefined)
const work = shallowRef<Awaited<ReturnType<typeof fetchWork>>>()

/** What keeps a class from being led is not set aside, whatever a document says. */
const neverAside = (judged: Judged<Noticed>): Judged<Noticed> =>
  judged.aside && locksLead(judged.finding) ? { ...judged, aside: undefined } : judged

/** Watches the session and finds what needs a look. To be called once, by the view. */
export function watchFindings(): void {
  const { document, timeline } = usePlan()
  const own = useOwnStore()
  async function check(): Promise<void> {
    work.value ??= await fetchWork()
    findings.value =
      work.value && document.value && timeline.value
        ? work.value.findingsOf(document.value, timeline.value, own.catalog)
        : undefined
  }
  const later = useDebounceFn(check, restsAfterMs)
  watch([document, timeline], () => (findings.value === undefined ? undefined : later()))
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
  const { store, document, timeline, tell, choose } = usePlan()
  const own = useOwnStore()
  const judged = computed<readonly Judged<Noticed>[]>(() =>
    document.value && findings.value ? withSetAside(findings.value, document.value).map(neverAside) : [],
  )
  /** Before the first check there is nothing to say, not even that nothing was found. */
  const isChecked = computed(() => findings.value !== undefined)
  const open = computed(() => judged.value.filter(({ aside }) => aside === undefined))
  const aside = computed(() => judged.value.filter((one) => one.aside !== undefined))
  /** Only what must be mended and what wants a look is counted [decisions]. */
  const counts = computed(() => countGrades(open.value.map(({ finding }) => finding)))
  const toMend = computed(() => countWords(counts.value))
  const wordsOf = (finding: Noticed): FindingWords =>
    work.value?.findingWords(finding, own.catalog) ?? { title: '', reason: '' }

  /** The finding as the session stands this moment: its mend must not bring back what was changed since it was found. */
  function fresh({ code, place }: Noticed): Noticed | undefined {
    const now =
      document.value && timeline.value ? work.value?.findingsOf(document.value, timeline.value, own.catalog) : undefined
    return now?.find((one) => one.code === code && one.place.blockId === place.blockId)
  }
  function mend(finding: Noticed): void {
    const now = fresh(finding)
    if (now?.mend?.by === 'edits') {
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
  function setAside(finding: Noticed, reason: string): void {
    if (!document.value) return
    store.edit(
      {
        type: 'details',
        details: { setAside: settingAside(document.value, finding, reason, new Date().toISOString()) },
      },
      'set a finding aside',
    )
    tell('Set aside; it comes back when its numbers change')
  }
  function takeBack(finding: Noticed): void {
    if (!document.value) return
    store.edit({ type: 'details', details: { setAside: takingBack(document.value, finding) } }, 'take a finding back')
  }
  function goTo(finding: Noticed): void {
    if (finding.place.blockId !== undefined) choose(finding.place.blockId)
  }
  return { shown, isChecked, judged, open, aside, counts, toMend, wordsOf, mend, setAside, takeBack, goTo }
}
