<script setup lang="ts">
import NumberField from './NumberField.vue'

/** Counts of a breath, to a half: the document holds half-counts. */
defineProps<{ label: string; half: number; least: number; most: number }>()
const emit = defineEmits<{ change: [half: number] }>()
</script>

<template>
  <NumberField
    :label="label"
    :value="half / 2"
    :least="least"
    :most="most"
    :grain="0.5"
    @change="emit('change', $event * 2)"
  />
</template>
