<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { Block } from '#model/block'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'

/** What a fit may do with the block when time is short. */
const props = defineProps<{ block: Block }>()
const { setFields, nameOf } = usePlan()

type Priority = NonNullable<Block['priority']>
const words: Readonly<Record<Priority, string>> = { must: 'must stay', rather: 'rather stay', may: 'may go' }
const usual = computed<Priority>(() => (props.block.kind === 'talk' ? 'must' : 'rather'))
const choices = (['must', 'rather', 'may'] as const).map((value) => ({ value, words: words[value] }))

function set(priority: Priority): void {
  setFields(
    props.block,
    { priority: priority === usual.value ? undefined : priority },
    `change what may be dropped: ${nameOf(props.block.id)} ${words[priority]}`,
  )
}
</script>

<template>
  <Part title="When time is short">
    <Select
      :aria-label="`When time is short, ${nameOf(block.id)}`"
      fluid
      :model-value="block.priority ?? usual"
      :options="choices"
      option-label="words"
      option-value="value"
      @update:model-value="set"
    />
  </Part>
</template>
