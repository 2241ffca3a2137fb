<script setup lang="ts">
import { computed } from 'vue'
import type { LessonSection, NaturalSection } from '#model/section'
import DurationField from '#web/shared/ui/DurationField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'

/** How long, as a time or as a number of breaths. */
const props = defineProps<{ section: NaturalSection | LessonSection }>()
const emit = defineEmits<{
  change: [fields: { s?: number | undefined; breaths?: number | undefined; breathS?: number | undefined }]
}>()
const usualBreathS = 6
const ways = [
  { value: 's', words: 'a time' },
  { value: 'breaths', words: 'a number of breaths' },
]
const way = computed(() => (props.section.s === undefined ? 'breaths' : 's'))
function setWay(other: string): void {
  const { s = 60, breaths = 10, breathS = usualBreathS } = props.section
  if (other === 'breaths') emit('change', { s: undefined, breaths: Math.max(1, Math.round(s / usualBreathS)) })
  else emit('change', { s: breaths * breathS, breaths: undefined, breathS: undefined })
}
</script>

<template>
  <div class="lasting">
    <SelectField hide-label label="Given as" :value="way" :options="ways" @change="setWay" />
    <DurationField
      v-if="section.s !== undefined"
      label="Time"
      :seconds="section.s"
      :limits="{ leastS: 1, mostS: 7200 }"
      @change="emit('change', { s: $event })"
    />
    <template v-else>
      <NumberField
        label="Breaths"
        :value="section.breaths ?? 1"
        :least="1"
        :most="500"
        @change="emit('change', { breaths: $event })"
      />
      <NumberField
        label="Seconds each"
        :value="section.breathS ?? usualBreathS"
        :least="2"
        :most="60"
        @change="emit('change', { breathS: $event })"
      />
    </template>
  </div>
</template>

<style scoped>
.lasting {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
  align-items: end;
}
</style>
