<script setup lang="ts">
import { nanoid } from 'nanoid'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { BreathBlock } from '#model/block'
import type { Technique } from '#model/technique'
import { firstStageOf, patternText, resolveSection } from '#core/breath'
import { protocolIn } from '#core/session'
import { formatMs } from '#core/units'
import { blockName } from '#words/blocks'
import { counted } from '#words/text'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { techniqueSection } from '#web/shared/session/technique-section.ts'
import { plainKinds, plainNames, plainSection } from './new-section.ts'
import type { PlainKind } from './new-section.ts'
import { useBreath } from './use-breath.ts'

/** The session's breath blocks, and the techniques that can be put into the one that is looked at. */
const { store, spans, span, chooseBlock, add, addBlock } = useBreath()
const own = useOwnStore()

const wanted = ref('')
const all = computed(() => [...own.catalog.techniques.values()])
const namesOf = ({ names }: Technique) => [names.english, names.sanskrit ?? '', ...names.others].join(' ').toLowerCase()
const found = computed(() => {
  const text = wanted.value.trim().toLowerCase()
  return text === '' ? all.value : all.value.filter((technique) => namesOf(technique).includes(text))
})
const plain = computed(() => {
  const text = wanted.value.trim().toLowerCase()
  return plainKinds.filter((kind) => plainNames[kind].toLowerCase().includes(text))
})
const setting = computed(() => store.document?.setting ?? 'room')
const stage = computed(() => store.document?.stage ?? 2)
/** What keeps a technique from a class of this stage, where it is held; nothing where it may be done. */
function keptBy(technique: Technique): string | undefined {
  if (technique.inPerson && setting.value !== 'room')
    return setting.value === 'online' ? 'in person, not online' : 'in person, not at home'
  const section = resolveSection(techniqueSection(technique), own.catalog.techniques)
  const from = section.ok ? firstStageOf(section.value) : undefined
  return from !== undefined && from > stage.value ? `from stage ${String(from)}` : undefined
}
const lines = computed(() =>
  found.value.map((technique) => {
    const { pattern, inPerson, strong, counted: isCounted } = technique
    const kept = keptBy(technique)
    const how = inPerson || strong ? 'in person' : pattern && isCounted ? patternText(pattern) : 'no counts'
    const under = kept === undefined || kept.startsWith(how) ? (kept ?? how) : `${how} · ${kept}`
    return { technique, under, isKept: kept !== undefined }
  }),
)
const protocols = computed(() => {
  const text = wanted.value.trim().toLowerCase()
  return own.pieces.flatMap((piece) => {
    const block = protocolIn(piece)
    return block && piece.name.toLowerCase().includes(text) ? [{ id: piece.id, name: piece.name, block }] : []
  })
})
const takePlain = (kind: PlainKind): void => {
  add([plainSection(kind)], plainNames[kind])
}
const take = (technique: Technique): void => {
  add([techniqueSection(technique)], technique.names.english)
}
/** Put in, its sections are sections as any other. */
const takeProtocol = (name: string, { sections }: BreathBlock): void => {
  add(
    sections.map((section) => ({ ...structuredClone(section), id: nanoid() })),
    name,
  )
}
</script>

<template>
  <nav class="left scrolls" aria-label="Breath work and techniques">
    <h2>In this session</h2>
    <ul>
      <li v-for="{ block, startMs, endMs } in spans" :key="block.block.id">
        <button
          type="button"
          :class="{ chosen: block.block.id === span?.block.block.id }"
          :aria-pressed="block.block.id === span?.block.block.id"
          @click="chooseBlock(block.block.id)"
        >
          {{ blockName(block) }}<small>{{ formatMs(endMs - startMs) }}</small>
        </button>
      </li>
    </ul>
    <p v-if="spans.length === 0" class="none">None yet.</p>
    <h2>Put in</h2>
    <div class="find">
      <InputText v-model="wanted" fluid placeholder="Find a technique" aria-label="Find a technique" />
    </div>
    <ul>
      <li v-for="{ id, name, block } in protocols" :key="id">
        <button type="button" @click="takeProtocol(name, block)">
          {{ name }}<small>your own, {{ counted(block.sections.length, 'section') }}</small>
        </button>
      </li>
      <li v-for="kind in plain" :key="kind">
        <button type="button" @click="takePlain(kind)">{{ plainNames[kind] }}</button>
      </li>
      <li v-for="{ technique, under, isKept } in lines" :key="technique.id">
        <button type="button" :class="{ kept: isKept }" @click="take(technique)">
          {{ technique.names.english }}<small>{{ under }}</small>
        </button>
      </li>
    </ul>
    <p v-if="found.length === 0 && plain.length === 0 && protocols.length === 0" class="none">
      Nothing is called that.
    </p>
    <button
      v-if="spans.length > 0"
      type="button"
      class="more"
      @click="addBlock([plainSection('natural')], 'a block of breath work')"
    >
      A block of its own
    </button>
  </nav>
</template>

<style scoped>
.left {
  min-height: 0;
  background: var(--sheet);
  border-right: 1px solid var(--line);
}
h2 {
  padding: 12px 16px 6px;
  font-size: 16px;
}
li button,
.more {
  display: block;
  width: 100%;
  min-height: 40px;
  padding: 7px 16px;
  border: 0;
  border-top: 1px solid var(--line-soft);
  background: none;
  font: inherit;
  text-align: left;
  color: var(--ink);
  cursor: pointer;
  overflow-wrap: anywhere;
}
li button:hover,
.more:hover {
  background: var(--ground);
}
.chosen {
  background: var(--chosen-wash) !important;
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.kept {
  color: var(--ink-soft) !important;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
.find {
  padding: 0 12px 8px;
}
.none {
  padding: 4px 16px 8px;
  color: var(--ink-soft);
}
.more {
  border-bottom: 1px solid var(--line-soft);
  color: var(--ink-soft);
}
</style>
