<script setup lang="ts">
import { computed } from 'vue'
import { sideParts, turnSideWord } from '#core/session'

/** The words for a side in a text, marked: a click turns one into plain text, or back. */
const props = defineProps<{ stored: string }>()
const emit = defineEmits<{ change: [stored: string] }>()

const parts = computed(() => {
  let at = -1
  return sideParts(props.stored, 'left').map((part) => ({ part, at: part.kind === 'side' ? (at += 1) : -1 }))
})
const hasWords = computed(() => parts.value.some(({ part }) => part.kind === 'side'))
</script>

<template>
  <p v-if="hasWords" class="side-text">
    <template v-for="({ part, at }, index) in parts" :key="index">
      <button
        v-if="part.kind === 'side'"
        type="button"
        :class="{ bound: part.bound }"
        :aria-pressed="part.bound"
        :title="
          part.bound
            ? 'Changes over on the other side. Click to keep it as it stands.'
            : 'Stays as it stands. Click to let it change over on the other side.'
        "
        @click="emit('change', turnSideWord(stored, at, 'left'))"
        v-text="part.text"
      />
      <template v-else>{{ part.text }}</template>
    </template>
  </p>
</template>

<style scoped>
.side-text {
  font-size: 14px;
  color: var(--ink-soft);
}
button {
  padding: 0 4px;
  min-height: 24px;
  border: 1px dashed var(--edge);
  border-radius: 4px;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.bound {
  border-style: solid;
  background: var(--chosen-wash);
  color: var(--ink);
}
</style>
