<script setup lang="ts">
import type { Taking } from '#core/class'
import { takingLine } from '#words/forms'
import CautionMark from '#web/shared/cautions/CautionMark.vue'
import { useWhoView } from './use-who-view.ts'

/** Takings in a line each, to be looked at: under the name of a person or of a block. */
defineProps<{ lines: readonly { readonly name: string; readonly taking: Taking }[] }>()
const { look } = useWhoView()
</script>

<template>
  <ul>
    <li v-for="{ name, taking } in lines" :key="`${taking.personId} ${taking.blockId}`">
      <button type="button" @click="look(taking.personId, taking.blockId)">
        <b>{{ name }}</b><span>
          <CautionMark v-if="taking.planned.verdict.grade" :grade="taking.planned.verdict.grade" />
          {{ takingLine(taking) }}</span
        >
      </button>
    </li>
  </ul>
</template>

<style scoped>
ul {
  margin-top: 8px;
}
li {
  border-top: 1px solid var(--line-soft);
}
button {
  display: grid;
  width: 100%;
  padding: 5px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
button:hover {
  background: var(--line-soft);
}
</style>
