<script setup lang="ts">
import { computed } from 'vue'
import type { Condition } from '#model/person'
import type { FieldsOf } from '#core/session'
import { conditionWords, severityChoices, sideChoices } from '#words/people'
import SelectField from '#web/shared/ui/SelectField.vue'

/** How a condition is and on which side. */
const props = defineProps<{ told: Condition }>()
const emit = defineEmits<{ change: [by: FieldsOf<Condition>] }>()
const severity = computed(() => (props.told.newAche ? 'newAche' : props.told.severe))
/** What is always severe is not asked for it; what was said once is shown. */
const choices = computed(() => {
  const { isAlwaysSevere } = conditionWords(props.told.id)
  return severityChoices.filter(
    ({ value }) => !isAlwaysSevere || value === 'no' || value === 'newAche' || value === severity.value,
  )
})
function setSeverity(value: (typeof severityChoices)[number]['value']): void {
  emit('change', {
    severe: value === 'newAche' ? 'no' : value,
    newAche: value === 'newAche' ? true : undefined,
  })
}
</script>

<template>
  <SelectField label="How it is" :value="severity" :options="choices" @change="setSeverity" />
  <SelectField
    label="Side"
    :value="told.side ?? ''"
    :options="sideChoices"
    @change="emit('change', { side: $event || undefined })"
  />
</template>
