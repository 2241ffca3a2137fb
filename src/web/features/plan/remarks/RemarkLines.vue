<script setup lang="ts">
import Button from 'primevue/button'
import type { Remark } from '#model/remark'

/** Remarks, each with what can be done with it. */
defineProps<{
  remarks: readonly Remark[]
  act: string
  /** How each block is called, where they are of several. */
  nameOf?: (blockId: string) => string
}>()
defineEmits<{ act: [remark: Remark]; choose: [blockId: string] }>()
</script>

<template>
  <ul>
    <li v-for="remark in remarks" :key="remark.id">
      <button v-if="nameOf" type="button" class="block" @click="$emit('choose', remark.blockId)">
        {{ nameOf(remark.blockId) }}
      </button>
      <p>
        <b>{{ remark.by }}:</b> {{ remark.text }}
      </p>
      <Button
        size="small"
        text
        severity="secondary"
        icon="pi pi-check"
        :label="act"
        :aria-label="`${act}: ${remark.text}`"
        @click="$emit('act', remark)"
      />
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 6px 10px;
  background: var(--rest-wash);
  border-left: 5px solid var(--rest);
}
p {
  margin: 0;
  white-space: pre-line;
  overflow-wrap: anywhere;
}
.block {
  padding: 0;
  border: none;
  background: none;
  color: var(--ink);
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
</style>
