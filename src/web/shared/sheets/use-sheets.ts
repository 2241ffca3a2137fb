import { ref } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { classWhen } from '#words/class-days'
import { formatDuration, formatMs, minutesOfDay } from '#core/units'
import { counted } from '#words/text'
import { useClass } from '#web/shared/house/use-class.ts'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import { formsSettled } from '#web/shared/house/use-forms.ts'
import { useHouse } from '#web/shared/house/use-house.ts'
import { useLookTo } from '#web/shared/house/use-look-to.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import { makeSheet, pagesOf, sheetEndings } from './make-sheet.ts'
import type { SheetKind, SheetQuestion } from './sheet-work.ts'
import { usePaper } from './use-paper.ts'

interface Of {
  readonly document: Session
  readonly timeline: Timeline
}

export interface SheetOptions {
  readonly statures?: readonly number[]
  readonly madeFor?: string
  readonly byClock?: boolean
}

/** Sheets of a session on paper, for the class it is looked at for: numbers, never who. */
export function useSheets(of: () => Of | undefined) {
  const own = useOwnStore()
  const house = useHouse()
  const { planned, people, room } = useClass(of)
  const { lookToIn } = useLookTo(of)
  const { ofEach, ofAll } = useFetching(of)
  const paper = usePaper()
  const making = ref<SheetKind>()
  /** What came of each sheet that was asked for. */
  const told = ref<Partial<Record<SheetKind, string>>>({})

  function questionOf(
    { document, timeline }: Of,
    kind: SheetKind,
    { statures, madeFor, byClock = true }: SheetOptions,
  ): SheetQuestion {
    const of = { session: document, own: own.things, paper: paper.value, kinds: house.kinds.value }
    const { learned, wordsAMinute } = own.catalog
    if (kind === 'home') return { ...of, kind, learned, wordsAMinute, madeFor }
    const begins = planned.value?.startsAt
    const facts = factsOf(planned.value, house.place.value?.name, people.value)
    return {
      ...{ ...of, kind, timeline, people: people.value, unit: house.unit.value },
      ...{ who: house.who.value, statures: statures ?? [house.statureCm.value], room: room.value },
      about: [[...facts, lengthWords(document, timeline)].join(' · ')],
      startsAtMin: byClock && begins !== undefined ? minutesOfDay(begins) : undefined,
      ...{ fetch: ofEach.value, fetchAll: ofAll.value ? [...ofAll.value.lines, ...ofAll.value.short] : [] },
      lookTo: timeline.blocks.map(({ block: { block } }) => [block.id, lookToIn(block.id)]),
    }
  }
  async function save(kind: SheetKind, options: SheetOptions = {}): Promise<void> {
    if (making.value) return
    making.value = kind
    told.value = { ...told.value, [kind]: undefined }
    // However early it is asked for, it has what everybody takes.
    await formsSettled()
    const now = of()
    if (!now) {
      making.value = undefined
      return
    }
    const { bytes } = await makeSheet(questionOf(now, kind, options))
    making.value = undefined
    told.value = { ...told.value, [kind]: bytes ? savedWords(bytes) : notMade }
    if (bytes)
      download(new Blob([bytes]), fileName(`${now.document.name} ${sheetEndings[kind]}`, 'pdf'), 'application/pdf')
  }
  return { paper, making, told, save, planned, people, room, house }
}

export const notMade = 'It could not be made. Reload the page and try again; the session stays as it is.'
const savedWords = (bytes: Uint8Array): string => `Saved: ${counted(pagesOf(bytes), 'page')}`
const lengthWords = ({ lengthS }: Session, { totalMs }: Timeline): string =>
  `${formatMs(totalMs)} of ${formatDuration(lengthS)}`

/** When and where a class is, and for how many. */
const factsOf = (
  planned: PlannedClass | undefined,
  placeName: string | undefined,
  people: number | undefined,
): string[] => [
  ...(planned ? [classWhen(planned)] : []),
  ...(planned && placeName !== undefined ? [placeName] : []),
  ...(people ? [counted(people, 'person', 'people')] : []),
]
