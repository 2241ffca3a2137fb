<script setup lang="ts">
import { computed } from 'vue'
import type { Pace } from '#model/breath'
import NumberField from './NumberField.vue'

/** How long one count lasts, in seconds. */
const props = defineProps<{ pace: Pace }>()
const emit = defineEmits<{ change: [pace: Pace] }>()
const seconds = computed(() => props.pace.num / props.pace.den / 1000)
</script>

<template>
  <NumberField
    label="One count, s"
    :value="seconds"
    :least="0.25"
    :most="10"
    :grain="0.01"
    :step="0.1"
    @change="emit('change', { num: Math.round($event * 1000), den: 1 })"
  />
</template>
