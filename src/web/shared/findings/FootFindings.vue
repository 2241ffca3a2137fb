<script setup lang="ts">
import type { Finding } from '#model/finding'
import FindingMark from './FindingMark.vue'

/** What needs a look, in the foot line: how many, and the worst of them in words. */
defineProps<{ grade: Finding['grade'] | undefined; counted: string; first: string; none: string }>()
defineEmits<{ press: [] }>()
</script>

<template>
  <button type="button" class="findings" @click="$emit('press')">
    <template v-if="grade">
      <FindingMark :grade="grade" /><b>{{ `${counted} ` }}</b
      ><span class="first" data-testid="first-finding" :title="first">{{ first }}</span>
    </template>
    <template v-else>{{ none }}</template>
  </button>
</template>

<style scoped>
.findings {
  display: flex;
  align-items: center;
  gap: 8px;
  /* Before the advice beside it is cut short, this is: it stands in full in the strip it opens. */
  flex-shrink: 10000;
  min-width: 180px;
  padding: 2px 6px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  white-space: nowrap;
  cursor: pointer;
}
.findings:hover {
  text-decoration: underline;
}
.first {
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
