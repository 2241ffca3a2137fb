<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import Slider from 'primevue/slider'
import { useId } from 'vue'

/** One sound of a class: what it is for, what it is heard as, how loud, and how that sounds. */
defineProps<{
  name: string
  why: string
  choice: string
  choices: readonly { readonly kind: string; readonly words: string }[]
  loudness: number
  isSilent: boolean
  /** On its button while it is heard; else it is tried. */
  stops?: boolean
}>()
const emit = defineEmits<{ choose: [kind: string]; louder: [loudness: number]; tried: [] }>()
const id = useId()
</script>

<template>
  <div class="sound">
    <span :id="id" class="name"
      >{{ name }} <small>{{ why }}</small></span
    >
    <Select
      fluid
      :aria-labelledby="id"
      :model-value="choice"
      :options="[...choices]"
      option-label="words"
      option-value="kind"
      @update:model-value="emit('choose', String($event))"
    />
    <Slider
      :aria-label="`${name}, loudness`"
      :model-value="loudness"
      :step="5"
      :disabled="isSilent"
      @update:model-value="emit('louder', Number($event))"
    />
    <Button
      severity="secondary"
      outlined
      :label="stops ? 'Stop' : 'Try'"
      :aria-label="`${stops ? 'Stop' : 'Try'} the ${name.toLowerCase()}`"
      :disabled="isSilent"
      @click="emit('tried')"
    />
  </div>
</template>

<style scoped>
.sound {
  display: grid;
  grid-template-columns: minmax(92px, 1fr) 150px minmax(70px, 1fr) auto;
  align-items: center;
  gap: 6px 18px;
  font-size: 17px;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
.sound :deep(.p-button) {
  min-height: 44px;
}
@media (max-width: 500px) {
  .sound {
    grid-template-columns: minmax(0, 1fr) 150px;
  }
}
</style>
