<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, useTemplateRef } from 'vue'
import { sectionMs } from '#core/breath'
import { formatMs } from '#core/units'
import { sectionName } from '#words/sections'
import { counted } from '#words/text'
import KeepPiece from '#web/shared/own/KeepPiece.vue'
import { scaleParts } from './scale-parts.ts'
import { useBreath } from './use-breath.ts'

/** The block in true seconds, and its sections by name: to choose, and to move with the keys or by drawing. */
const { resolved, block, told, at, chooseSection, moveBy, moveTo, remove } = useBreath()

const sections = computed(() =>
  (resolved.value?.sections ?? []).map((section) => ({
    id: section.section.id,
    name: sectionName(section),
    ms: sectionMs(section),
    parts: scaleParts(section),
    quiet: section.kind === 'natural',
  })),
)
const strip = useTemplateRef('strip')
async function keys(event: KeyboardEvent): Promise<void> {
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : undefined
  if (by === undefined && event.key !== 'Delete') return
  event.preventDefault()
  if (by === undefined) remove()
  else if (event.altKey) moveBy(by)
  else chooseSection(Math.min(sections.value.length - 1, Math.max(0, at.value + by)))
  // The focus goes where the section that is looked at has come to.
  await nextTick()
  strip.value?.querySelector<HTMLElement>('[aria-current=true]')?.focus()
}
let dragged: number | undefined
function drop(index: number): void {
  if (dragged !== undefined) moveTo(dragged, index)
  dragged = undefined
}
</script>

<template>
  <div class="sections">
    <div class="scale" aria-hidden="true">
      <span
        v-for="({ id, ms, parts }, index) in sections"
        :key="id"
        :class="{ chosen: index === at }"
        :style="{ flexGrow: ms }"
        ><i v-for="({ is, lengthMs }, part) in parts" :key="part" :class="is" :style="{ flexGrow: lengthMs }"
      /></span>
    </div>
    <ol ref="strip" class="strip" aria-label="Sections of this block">
      <li v-for="({ id, name, ms, quiet }, index) in sections" :key="id">
        <button
          type="button"
          draggable="true"
          :class="{ chosen: index === at, quiet }"
          :aria-current="index === at"
          :tabindex="index === at ? 0 : -1"
          @click="chooseSection(index)"
          @keydown="keys"
          @dragstart="dragged = index"
          @dragover.prevent
          @drop.prevent="drop(index)"
        >
          <span class="what">{{ name }}</span><span class="time">{{ formatMs(ms) }}</span>
        </button>
      </li>
    </ol>
    <p class="acts">
      <Button size="small" text severity="secondary" label="Earlier" :disabled="at === 0" @click="moveBy(-1)" />
      <Button
        size="small"
        text
        severity="secondary"
        label="Later"
        :disabled="at === sections.length - 1"
        @click="moveBy(1)"
      />
      <Button
        size="small"
        text
        severity="secondary"
        label="Remove this section"
        :disabled="sections.length < 2"
        @click="remove"
      />
      <KeepPiece
        v-if="block"
        :key="block.id"
        :blocks="[block]"
        as="a protocol"
        opener="Keep as a protocol…"
        :label="`Keep ${counted(block.sections.length, 'section')} as a protocol named`"
        @kept="told = $event"
      />
    </p>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
/* The block in true seconds; what is chosen and moved stands under it by name. */
.scale {
  display: flex;
  gap: 2px;
  height: 14px;
  margin-bottom: 6px;
}
.scale span {
  display: flex;
  flex: 0 1 0;
  gap: 1px;
  min-width: 1px;
}
/* A set stands on the line as high as it is counted; what is quiet lies low; a held breath is full of ink. */
.scale i {
  flex: 0 1 0;
  align-self: end;
  height: 100%;
  background: var(--breath);
}
.scale .quiet {
  height: 4px;
  background: var(--edge);
}
.scale .held {
  background: var(--ink);
}
.scale .strokes {
  background: repeating-linear-gradient(90deg, var(--breath) 0 2px, transparent 2px 4px);
}
.scale .chosen {
  outline: 2px solid var(--ink);
  background: var(--chosen);
}
li {
  flex: 1 1 112px;
  max-width: 220px;
}
.strip button {
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  width: 100%;
  height: 100%;
  min-height: 46px;
  padding: 5px 8px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--breath-wash);
  color: var(--ink);
  font: inherit;
  font-size: 14.5px;
  line-height: 1.2;
  text-align: left;
  cursor: pointer;
}
.strip .quiet {
  background: var(--sheet);
}
.strip .chosen {
  background: var(--chosen-wash);
  outline: 2px solid var(--ink);
}
.what {
  overflow-wrap: anywhere;
}
.time {
  font-size: 13.5px;
  color: #4b5854;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  margin-top: 4px;
}
</style>
