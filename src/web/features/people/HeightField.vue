<script setup lang="ts">
import type { Person } from '#model/person'
import NumberField from '#web/shared/ui/NumberField.vue'

/** How tall somebody is, in centimetres; it may be left unsaid. */
defineProps<{ label: string; mm: Person['statureMm'] }>()
const emit = defineEmits<{ change: [mm: Person['statureMm']] }>()
</script>

<template>
  <NumberField
    :label="label"
    :value="mm === undefined ? undefined : mm / 10"
    :least="120"
    :most="220"
    :grain="0.5"
    can-be-empty
    hint="not said"
    @change="emit('change', Math.round($event * 10))"
    @empty="emit('change', undefined)"
  />
</template>
