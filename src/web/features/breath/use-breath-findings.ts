import { createSharedComposable, watchDebounced } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { locksLead } from '#core/checks'
import type { Noticed } from '#core/checks'
import { countGrades, withSetAside } from '#core/finding'
import { countWords } from '#words/grades'
import type { FindingWords } from '#words/findings'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useBreath } from './use-breath.ts'

/** Checked when the hands rest for a moment: typing never waits for it. */
const restMs = 200
const fetchWork = () => import('#web/shared/findings/check-work.ts').catch(() => undefined)

/** What the session's breath work wants looked at: for the foot line and the pane. */
export const useBreathFindings = createSharedComposable(() => {
  const { store, spans, chooseBlock, told } = useBreath()
  const own = useOwnStore()
  const work = shallowRef<Awaited<ReturnType<typeof fetchWork>>>()
  const found = shallowRef<readonly Noticed[]>([])
  watchDebounced(
    () => [store.document, store.timeline] as const,
    async ([document, timeline]) => {
      work.value ??= await fetchWork()
      found.value = work.value && document && timeline ? work.value.findingsOf(document, timeline, own.catalog) : []
    },
    { debounce: restMs, immediate: true },
  )
  const ids = computed(() => new Set(spans.value.map(({ block }) => block.block.id)))
  const findings = computed(() =>
    store.document
      ? withSetAside(found.value, store.document)
          .filter(
            ({ finding, aside }) =>
              (aside === undefined || locksLead(finding)) && ids.value.has(finding.place.blockId ?? ''),
          )
          .map(({ finding }) => finding)
      : [],
  )
  const wordsOf = (finding: Noticed): FindingWords =>
    work.value?.wordsOf(finding, own.catalog, 'cm') ?? { title: '', reason: '' }
  return {
    findings,
    counted: computed(() => countWords(countGrades(findings.value))),
    wordsOf,
    mend(finding: Noticed): void {
      if (finding.mend?.by !== 'edits') return
      const words = wordsOf(finding).mend?.toLowerCase() ?? 'mend'
      if (store.edit({ type: 'several', edits: finding.mend.edits }, words)) told.value = `Done: ${words}`
    },
    goTo(finding: Noticed): void {
      if (finding.place.blockId !== undefined) chooseBlock(finding.place.blockId)
    },
  }
})
