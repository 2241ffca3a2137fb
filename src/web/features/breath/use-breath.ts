import { nanoid } from 'nanoid'
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { BreathBlock } from '#model/block'
import type { Section } from '#model/section'
import { insertionIndex, withFields, withSection } from '#core/session'
import type { FieldsOf } from '#core/session'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { told, useTurns } from '#web/shared/session/use-turns.ts'

/** Which section of the block is looked at; the same for every part of the view. */
const sectionAt = ref(0)

/** What plays now: the page has one audio device, so that of a block that is heard and a count that is tapped one ends. */
const sounding = ref<Sounding>()
type Sounding = 'heard' | 'tapped'

/** Ends what plays as soon as the other is begun, before that sounds. */
export function endWith(other: Sounding, end: () => void): void {
  watch(
    sounding,
    (now) => {
      if (now === other) end()
    },
    { flush: 'sync' },
  )
}

/** The breath work of the open session: the block and the section that are looked at, and every change of them. */
export function useBreath() {
  const seen = useSeen()
  const acts = sectionActs(seen)
  const { store } = seen
  return {
    ...seen,
    ...acts,
    ...useTurns(),
    sounding,
    chooseBlock: (id: string): void => {
      store.chosenId = id
      sectionAt.value = 0
    },
    chooseSection: (index: number): void => {
      sectionAt.value = index
    },
    addBlock: (made: readonly Section[], name: string): void => {
      addBlock(store, made, name)
    },
  }
}

/** What is looked at. */
function useSeen() {
  const store = useSessionStore()
  const { document, timeline, chosenId } = storeToRefs(store)
  const spans = computed(() =>
    (timeline.value?.blocks ?? []).flatMap((span) =>
      span.block.kind === 'breath' ? [{ ...span, block: span.block }] : [],
    ),
  )
  const span = computed(() => spans.value.find(({ block }) => block.block.id === chosenId.value) ?? spans.value[0])
  const resolved = computed(() => span.value?.block)
  const block = computed(() => resolved.value?.block)
  const at = computed(() => Math.min(sectionAt.value, (block.value?.sections.length ?? 1) - 1))
  const section = computed(() => block.value?.sections[at.value])
  const resolvedSection = computed(() => resolved.value?.sections[at.value])
  return { store, document, spans, span, resolved, block, at, section, resolvedSection }
}

/** Every change of the block's sections, each a step that can be undone. */
function sectionActs({ store, block, at }: ReturnType<typeof useSeen>) {
  const sectionsNow = (): readonly Section[] => block.value?.sections ?? []
  const replace = (next: BreathBlock, words: string): boolean => store.edit({ type: 'replace', block: next }, words)
  const setSections = (sections: readonly Section[], words: string): boolean =>
    block.value !== undefined && replace({ ...block.value, sections: [...sections] }, words)
  const put = (next: Section): void => {
    if (block.value) replace(withSection(block.value, at.value, next), 'change a section')
  }
  function moveTo(from: number, to: number): void {
    const moved = sectionsNow()[from]
    if (!moved || from === to || to < 0 || to >= sectionsNow().length) return
    if (setSections(sectionsNow().toSpliced(from, 1).toSpliced(to, 0, moved), 'move a section')) sectionAt.value = to
  }
  return {
    put,
    /** Sets fields of the section that is looked at, or with `undefined` unsets them. */
    set: <S extends Section>(of: S, fields: FieldsOf<S>): void => {
      put(withFields(of, fields))
    },
    /** Puts sections after the one that is looked at; into a new block where there is none. */
    add: (made: readonly Section[], name: string): void => {
      if (!block.value) addBlock(store, made, name)
      else if (setSections(sectionsNow().toSpliced(at.value + 1, 0, ...made), `add ${name}`)) {
        sectionAt.value = at.value + 1
        told.value = `${name} added`
      }
    },
    remove: (): void => {
      if (sectionsNow().length < 2) told.value = 'A block has at least one section: take the block out in Plan.'
      else if (setSections(sectionsNow().toSpliced(at.value, 1), 'remove a section')) told.value = 'Section removed'
    },
    moveBy: (by: 1 | -1): void => {
      moveTo(at.value, at.value + by)
    },
    moveTo,
  }
}

/** A block of breath work of its own, after the chosen one. */
function addBlock(store: ReturnType<typeof useSessionStore>, made: readonly Section[], name: string): void {
  if (!store.document) return
  const index = insertionIndex(store.document, 'breath', store.chosenId)
  const block: BreathBlock = { kind: 'breath', id: nanoid(), sections: [...made] }
  if (index === undefined || !store.edit({ type: 'insert', at: index, block }, `add ${name}`)) return
  store.chosenId = block.id
  sectionAt.value = 0
  told.value = `${name} added`
}
