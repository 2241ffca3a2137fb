<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, useTemplateRef } from 'vue'
import FindingRow from './FindingRow.vue'
import { useFindings } from './use-findings.ts'
import { counted } from '#words/text'

/** Everything that needs a look, worst first, in a strip between the plan and the foot line. */
const emit = defineEmits<{ close: []; balance: [] }>()
const { open, aside, counts, toMend } = useFindings()

const title = computed(() => {
  const { tip } = counts.value
  return [toMend.value, tip > 0 ? counted(tip, 'tip') : ''].filter((part) => part !== '').join(', ')
})
const keyOf = ({ finding }: (typeof open.value)[number]) =>
  `${finding.code} ${finding.place.blockId ?? ''} ${String(finding.place.atMs ?? '')} ${JSON.stringify(finding.facts)}`

const panel = useTemplateRef('panel')
onMounted(() => panel.value?.focus())
</script>

<template>
  <section
    ref="panel"
    class="panel findings-strip scrolls"
    tabindex="-1"
    aria-label="Findings"
    @keydown.esc="emit('close')"
  >
    <header>
      <h2>What needs a look</h2>
      <span class="counts">{{ title }}</span>
      <span class="grow" />
      <Button size="small" text severity="secondary" label="Balance" @click="emit('balance')" />
      <Button
        size="small"
        text
        severity="secondary"
        icon="pi pi-times"
        aria-label="Close the findings"
        @click="emit('close')"
      />
    </header>
    <ul v-if="open.length > 0">
      <FindingRow v-for="judged in open" :key="keyOf(judged)" :judged="judged" />
    </ul>
    <p v-else class="none">
      Nothing needs a look in what can be checked here. Cautions, and who comes, are another matter.
    </p>
    <details v-if="aside.length > 0">
      <summary>{{ aside.length }} set aside</summary>
      <ul>
        <FindingRow v-for="judged in aside" :key="keyOf(judged)" :judged="judged" />
      </ul>
    </details>
  </section>
</template>

<style scoped>
.panel {
  max-height: 42vh;
  padding: 8px 18px 12px;
  background: var(--sheet);
  border-top: 2px solid var(--ink);
}
.panel:focus-visible {
  outline-offset: -3px;
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
}
.grow {
  flex: 1;
}
.none,
.counts {
  color: var(--ink-soft);
}
.none {
  padding: 8px 0;
}
summary {
  padding: 8px 0;
  cursor: pointer;
}
</style>
