<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import { handedWords } from '#words/teachers'
import { capital } from '#words/text'
import ReadFile from '#web/shared/ui/ReadFile.vue'

/** A class that somebody else leads, or that one leads in somebody's place. */
const props = defineProps<{ planned: PlannedClass; disabled: boolean }>()
const emit = defineEmits<{ again: []; takeBack: []; record: [text: string] }>()
const told = computed(() => props.planned.handedTo?.words ?? props.planned.handedFrom?.words)
const isByFile = computed(() => props.planned.handedTo !== undefined && props.planned.handedTo.teacherId === undefined)
/** Nothing came back yet. */
const isAway = computed(() => props.planned.handedTo !== undefined && !props.planned.handedTo.record)
</script>

<template>
  <section class="handed" aria-label="Handed over">
    <p>
      <b>{{ capital(handedWords(planned)) }}.</b>
      <RouterLink
        v-if="planned.handedTo?.record"
        :to="{ name: 'led-class', params: { id: planned.handedTo.record.id } }"
      >
        The record
      </RouterLink>
    </p>
    <p v-if="told" class="told">“{{ told }}”</p>
    <p v-if="isAway" class="soft">
      They have plan, sheet, set-ups, forms and words as they were then.
      {{ isByFile ? 'The record comes back as a file, which you bring in here.' : 'The record comes back here.' }}
    </p>
    <ReadFile
      v-if="isByFile"
      text
      :label="isAway ? 'Bring the record in' : 'Bring the record in again'"
      what="Record of the class"
      accept=".json,application/json"
      :most-kb="20_000"
      @read="(text) => emit('record', text)"
    />
    <Button
      v-if="isByFile && isAway"
      size="small"
      text
      severity="secondary"
      icon="pi pi-download"
      label="Save the file again"
      :disabled="disabled"
      @click="emit('again')"
    />
    <Button
      v-if="isAway"
      size="small"
      text
      severity="secondary"
      icon="pi pi-undo"
      label="Take it back"
      :disabled="disabled"
      @click="emit('takeBack')"
    />
  </section>
</template>

<style scoped>
.handed {
  display: grid;
  gap: 8px;
  justify-items: start;
  width: 100%;
}
.handed > * {
  max-width: 100%;
}
.handed > :not(button) {
  width: 100%;
}
.told {
  white-space: pre-line;
  overflow-wrap: anywhere;
}
.soft {
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
