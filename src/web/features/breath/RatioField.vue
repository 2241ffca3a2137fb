<script setup lang="ts">
import type { Pattern } from '#model/breath'
import { patternFromRatio, patternText } from '#core/breath'
import TypedField from '#web/shared/ui/TypedField.vue'
import type { Typed } from '#web/shared/ui/TypedField.vue'
import { ratioMend } from '#words/ratios'

/** The round typed as one line: in and out, or all four parts; `of` and a number makes the first part that long. */
defineProps<{ pattern: Pattern }>()
const emit = defineEmits<{ change: [pattern: Pattern] }>()

function read(text: string): Typed<Pattern> {
  const [, ratio = '', base] = /^(.*?)(?:\s+of\s+([\d.,]+))?$/i.exec(text.trim()) ?? []
  const baseCounts = base === undefined ? {} : { baseCounts: Number(base.replace(',', '.')) }
  const made = patternFromRatio({ text: ratio, ...baseCounts })
  return made.ok ? { value: made.value, shown: patternText(made.value) } : { mend: ratioMend(made) }
}
</script>

<template>
  <TypedField
    label="As a ratio, like 1:4:2 of 4"
    :shown="patternText(pattern)"
    :read="read"
    inputmode="text"
    @change="emit('change', $event)"
  />
</template>
