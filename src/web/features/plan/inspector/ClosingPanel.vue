<script setup lang="ts">
import Textarea from 'primevue/textarea'
import { computed } from 'vue'
import type { ClosingBlock } from '#model/block'
import { finalRestFloorS } from '#core/session'
import type { FieldsOf, ResolvedClosing } from '#core/session'
import { blockLimits } from '#model/limits'
import { formatDuration } from '#core/units'
import { useInstead } from '#web/shared/house/use-instead.ts'
import { takesWords } from '#words/props'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import BlockPictures from './BlockPictures.vue'
import ComingUpPart from './ComingUpPart.vue'
import Part from './Part.vue'
import { textOf } from '#web/shared/ui/text-of.ts'

const props = defineProps<{ resolved: ResolvedClosing }>()
const { document, compiled, setFields } = usePlan()
const set = (fields: FieldsOf<ClosingBlock>, words = 'change the closing') => {
  setFields(props.resolved.block, fields, words)
}
const takes = computed(() => takesWords(props.resolved.setUp?.value.items ?? []))
const { insteadIn } = useInstead(compiled)
const floorS = computed(() => (document.value ? finalRestFloorS(document.value.lengthS, props.resolved.ceilingS) : 0))
</script>

<template>
  <h1>Closing</h1>
  <p class="sub">final rest and coming up, always last</p>
  <BlockPictures :resolved="resolved" />
  <slot name="cautions" />
  <Part title="Final rest">
    <DurationField
      label="Final rest"
      large
      :seconds="resolved.finalRestS.value"
      :limits="blockLimits"
      @change="set({ finalRestS: $event })"
    />
    <p class="sub">On the back, or the side people prefer. At least {{ formatDuration(floorS) }} for this length.</p>
  </Part>
  <Part v-if="takes !== ''" title="Props" note="per person">
    <p>{{ takes }}</p>
    <p v-for="line in insteadIn(resolved.block.id)" :key="line"><b>This class:</b> {{ line }}</p>
  </Part>
  <ComingUpPart
    :up="resolved"
    :roll="resolved.answers.roll"
    @time="set($event)"
    @roll="set({ answers: { ...resolved.block.answers, roll: $event } }, 'change the roll')"
  >
    <label for="closing-text">Words for the end</label>
    <Textarea
      id="closing-text"
      fluid
      rows="3"
      maxlength="20000"
      auto-resize
      :model-value="resolved.block.text ?? ''"
      @change="set({ text: textOf($event) })"
    />
  </ComingUpPart>
  <slot />
</template>

<style scoped>
.sub {
  color: var(--ink-soft);
  margin-top: 4px;
}
label {
  display: block;
  margin-top: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
