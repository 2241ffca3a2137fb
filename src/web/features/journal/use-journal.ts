import { refDebounced } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import { ledClassPage } from '#model/limits'
import type { JournalChoices, JournalWish, LedClassLine } from '#model/journal'
import { listLedClasses, readJournalChoices, setLedClassDeleted } from '#web/shared/api/led-classes.ts'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { download } from '#web/shared/ui/download.ts'
import { practiceChoices } from '#words/practices'
import { justDeleted } from './just-deleted.ts'

/** How long the hands rest before what was typed is looked for. */
const restMs = 250

/** The instant a day begins at here, moved by whole days; nothing where no day is typed. */
function dayInstant(day: string, days = 0): string | undefined {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day)) return undefined
  const at = new Date(`${day}T00:00`)
  at.setDate(at.getDate() + days)
  return Number.isNaN(at.getTime()) ? undefined : at.toISOString()
}

/** The journal page by page, as it is searched and narrowed. */
export function useJournal() {
  const typed = ref({ find: '', sessionId: '', seriesId: '', practice: '', placeId: '', from: '', to: '' })
  const find = refDebounced(
    computed(() => typed.value.find),
    restMs,
  )
  const lines = shallowRef<readonly LedClassLine[]>([])
  const state = ref<'opening' | 'ready' | 'away'>('opening')
  /** Whether there are earlier ones than those that are shown. */
  const hasEarlier = ref(false)
  const isAsking = ref(false)
  const wish = computed((): JournalWish => {
    const { sessionId, seriesId, practice, placeId, from, to } = typed.value
    const named = {
      ...{ find: find.value.trim(), sessionId, seriesId, practice, placeId },
      ...{ from: dayInstant(from) ?? '', to: dayInstant(to, 1) ?? '' },
    }
    return Object.fromEntries(Object.entries(named).filter(([, value]) => value !== ''))
  })
  let asked = 0
  /** The next page; the first where none is shown yet. */
  async function goOn(): Promise<void> {
    asked += 1
    const mine = asked
    isAsking.value = true
    const reply = await listLedClasses(wish.value, lines.value.at(-1))
    // What was wished for since then is on its way.
    if (mine !== asked) return
    isAsking.value = false
    state.value = reply.kind === 'ok' ? 'ready' : 'away'
    if (reply.kind !== 'ok') return
    lines.value = [...lines.value, ...reply.value]
    hasEarlier.value = reply.value.length === ledClassPage.usual
  }
  function anew(): void {
    lines.value = []
    hasEarlier.value = false
    void goOn()
  }
  watch(() => JSON.stringify(wish.value), anew)
  onMounted(goOn)
  return {
    ...{ wish, typed, lines, state, hasEarlier, isAsking, goOn, justDeleted },
    isNarrowed: computed(() => Object.keys(wish.value).length > 0),
    ...useChoices(),
    showAll(): void {
      typed.value = { find: '', sessionId: '', seriesId: '', practice: '', placeId: '', from: '', to: '' }
    },
    ...useFile(wish),
    /** Brings back what was deleted last. */
    async bringBack(): Promise<void> {
      const id = justDeleted.value?.id
      if (id === undefined || (await setLedClassDeleted(id, false)).kind !== 'ok') return
      justDeleted.value = undefined
      anew()
    },
  }
}

/** All that is wished for as a file, however many pages that are. */
function useFile(wish: Readonly<Ref<JournalWish>>) {
  const isExporting = ref(false)
  const notExported = ref('')
  async function allLines(): Promise<readonly LedClassLine[] | undefined> {
    const all: LedClassLine[] = []
    for (;;) {
      const reply = await listLedClasses(wish.value, all.at(-1), ledClassPage.most)
      if (reply.kind !== 'ok') return undefined
      all.push(...reply.value)
      if (reply.value.length < ledClassPage.most) return all
    }
  }
  return {
    ...{ isExporting, notExported },
    async exportCsv(): Promise<void> {
      isExporting.value = true
      const all = await allLines()
      isExporting.value = false
      notExported.value = all ? '' : 'Zovrin’s server does not answer: nothing was exported.'
      if (!all) return
      const { journalCsv } = await import('#formats/journal-csv')
      download(journalCsv(all), 'journal.csv', 'text/csv;charset=utf-8')
    },
  }
}

/** What the journal can be narrowed to: of what there is in it. */
function useChoices() {
  const places = usePlacesStore()
  const choices = shallowRef<JournalChoices>({ sessions: [], series: [], practices: [], placeIds: [] })
  onMounted(async () => {
    void places.load()
    const reply = await readJournalChoices()
    if (reply.kind === 'ok') choices.value = reply.value
  })
  return {
    sessions: computed(() => choices.value.sessions.map(({ id, name }) => ({ value: id, words: name }))),
    series: computed(() => choices.value.series.map(({ id, name }) => ({ value: id, words: name }))),
    practices: computed(() => practiceChoices.filter(({ value }) => choices.value.practices.includes(value))),
    places: computed(() =>
      choices.value.placeIds.map((id) => ({
        value: id,
        words: places.places.find((place) => place.id === id)?.name ?? 'a place that is gone',
      })),
    ),
  }
}
