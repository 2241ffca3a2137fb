<script setup lang="ts">
import type { Glyph } from './glyphs.ts'

/** A small mark for a base position: how the trunk lies to the floor. */
defineProps<{ glyph: Glyph }>()

const lines: Readonly<Record<Glyph, string>> = {
  standing: 'M12 4v16',
  kneeling: 'M5 9l10 5v5M4 19h13',
  allFours: 'M5 19v-8h14v8',
  prone: 'M4 17l15-6',
  supine: 'M4 15h16',
  sideLying: 'M4 17h16M6 13h12',
  seated: 'M8 5v14M13 10v9',
  onChair: 'M8 4v9h7v7',
  atWall: 'M19 4v16M4 19h9V6',
  breath: 'M3 18L10 6l11 12',
  words: 'M5 9h14M5 15h9',
}
</script>

<template>
  <svg class="glyph" :class="{ breath: glyph === 'breath' }" viewBox="0 0 24 24" aria-hidden="true">
    <path
      :d="lines[glyph]"
      fill="none"
      stroke="currentColor"
      stroke-width="2.4"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
  </svg>
</template>

<style scoped>
.glyph {
  width: 24px;
  height: 24px;
  border-radius: 5px;
  background: var(--line-soft);
  color: var(--ink-soft);
}
.breath {
  background: var(--breath-wash);
  color: var(--breath);
}
</style>
