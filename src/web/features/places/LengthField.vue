<script setup lang="ts">
import { computed } from 'vue'
import { lengthLimitsMm } from '#model/limits'
import type { LengthUnit } from '#words/lengths'
import NumberField from '#web/shared/ui/NumberField.vue'

/** A length kept in millimetres and typed in a unit of the place's; left empty it is the usual one, where there is one. */
const props = defineProps<{
  label: string
  mm: number | undefined
  /** Centimetres as they are, inches, or metres for rooms. */
  unit: LengthUnit | 'm'
  canBeEmpty?: boolean
  hideLabel?: boolean
  hint?: string | undefined
}>()
const emit = defineEmits<{ change: [mm: number]; empty: [] }>()

const mmIn = { cm: 10, in: 25.4, m: 1000 } as const
const grains = { cm: 0.1, in: 0.25, m: 0.01 } as const
const per = computed(() => mmIn[props.unit])
const shown = computed(() => (props.mm === undefined ? undefined : Math.round((props.mm / per.value) * 100) / 100))
const inUnit = (mm: number): number => Math.floor((mm / per.value) * 100) / 100
</script>

<template>
  <NumberField
    :label="`${label}, ${unit}`"
    :value="shown"
    :least="Math.max(grains[unit], inUnit(lengthLimitsMm.least))"
    :most="inUnit(lengthLimitsMm.most)"
    :grain="grains[unit]"
    :can-be-empty="canBeEmpty"
    :hide-label="hideLabel"
    :hint="hint"
    small
    @change="emit('change', Math.round($event * per))"
    @empty="emit('empty')"
  />
</template>
