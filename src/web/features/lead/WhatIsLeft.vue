<script setup lang="ts">
import { computed, ref } from 'vue'
import type { LedStart } from '#model/led-class'
import type { LeftBlock } from '#core/lead'
import { formatMs } from '#core/units'
import { counted } from '#words/text'

/** What has not begun, with its times: left out and put back by one large tap. */
const props = defineProps<{
  led: LedStart
  left: readonly LeftBlock[]
  endsMs: number
  isKnown: boolean
  clock: (runMs: number) => string
}>()
const emit = defineEmits<{ toggle: [blockId: string]; move: [blockId: string, by: 1 | -1]; close: [] }>()
const out = computed(() => props.left.filter(({ isOut }) => isOut).length)
/** What the keys act on: none until they walk. */
const chosen = ref<string>()
const at = computed(() => props.left.findIndex(({ blockId }) => blockId === chosen.value))
function walk(by: 1 | -1): void {
  const to = at.value < 0 ? 0 : Math.min(props.left.length - 1, Math.max(0, at.value + by))
  chosen.value = props.left[to]?.blockId
}
/** ↑ ↓ walk, with Alt they move what is chosen; Delete leaves it out, or puts it back. */
function takes({ key, altKey }: KeyboardEvent): boolean {
  const by = key === 'ArrowUp' ? -1 : key === 'ArrowDown' ? 1 : undefined
  if (by !== undefined && !altKey) walk(by)
  else if (by !== undefined && chosen.value !== undefined) emit('move', chosen.value, by)
  else if ((key === 'Delete' || key === 'Backspace') && chosen.value !== undefined) emit('toggle', chosen.value)
  else return false
  return true
}
defineExpose({ takes })
const nameOf = (blockId: string): string => props.led.blocks[blockId]?.name ?? ''
</script>

<template>
  <section class="left scrolls" aria-label="What is left">
    <header>
      <h2>What is left</h2>
      <span
        >ends {{ clock(endsMs) }}<template v-if="out > 0">, {{ counted(out, 'block') }} left out</template></span
      >
      <button type="button" tabindex="-1" @pointerdown.prevent @click="emit('close')">Close</button>
    </header>
    <p v-if="!isKnown">What could go cannot be worked out here: the shelf is not what it was when the class began.</p>
    <p v-else-if="left.length === 0">Nothing but what runs now.</p>
    <ol>
      <li
        v-for="{ blockId, startsMs, lengthMs, isOut, mayGo, mayMove } in left"
        :key="blockId"
        :aria-current="blockId === chosen"
      >
        <button
          type="button"
          class="what"
          tabindex="-1"
          :disabled="!mayGo"
          :class="{ out: isOut }"
          :aria-pressed="isOut"
          :aria-label="`${nameOf(blockId)}, ${isOut ? 'left out: put it back' : mayGo ? 'leave it out' : 'it stays'}`"
          @pointerdown.prevent
          @click="emit('toggle', blockId)"
        >
          <span class="at">{{ isOut ? '' : clock(startsMs) }}</span>
          <b>{{ nameOf(blockId) }}</b>
          <span class="long">{{ isOut ? 'left out' : formatMs(lengthMs) }}</span>
        </button>
        <button
          v-for="by in [-1, 1] as const"
          :key="by"
          type="button"
          class="mover"
          tabindex="-1"
          :disabled="!(by < 0 ? mayMove.earlier : mayMove.later)"
          :aria-label="`${nameOf(blockId)} ${by < 0 ? 'earlier' : 'later'}`"
          @pointerdown.prevent
          @click="emit('move', blockId, by)"
        >
          {{ by < 0 ? '↑' : '↓' }}
        </button>
      </li>
    </ol>
    <p class="keys">↑ ↓ choose, with Alt they move it, Delete leaves it out</p>
  </section>
</template>

<style scoped>
.left {
  min-height: 0;
  overflow-y: auto;
  padding: 14px 22px;
  background: var(--sheet);
  border-left: 1px solid var(--line);
}
header {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 16px;
  font-size: 20px;
  color: var(--ink-soft);
}
h2 {
  font-size: 24px;
  color: var(--ink);
}
button {
  min-height: 44px;
  padding: 6px 12px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
header button {
  font-size: 17px;
}
ol {
  display: grid;
  gap: 8px;
  margin-top: 10px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 44px 44px;
  gap: 4px;
  border-radius: 8px;
}
li[aria-current='true'] {
  outline: 2px solid var(--chosen);
}
.mover {
  padding: 0;
  border-color: transparent;
  font-size: 22px;
}
.mover:disabled {
  visibility: hidden;
}
.keys {
  margin-top: 10px;
  font-size: 17px;
  color: var(--ink-soft);
}
@media (hover: none) {
  .keys {
    display: none;
  }
}
li .what {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: baseline;
  gap: 10px;
  width: 100%;
  min-height: 60px;
  font-size: 22px;
  text-align: left;
}
li .what:disabled {
  border-color: transparent;
  cursor: default;
}
b {
  font-size: 26px;
  line-height: 1.15;
}
.at,
.long {
  color: var(--ink-soft);
}
.out b {
  color: var(--ink-soft);
  text-decoration: line-through;
}
</style>
