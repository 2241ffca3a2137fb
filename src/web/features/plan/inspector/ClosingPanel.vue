<script setup lang="ts">
import Textarea from 'primevue/textarea'
import { computed } from 'vue'
import type { ClosingBlock } from '#model/block'
import { finalRestFloorS } from '#core/session'
import type { FieldsOf, ResolvedClosing } from '#core/session'
import { betweenLimits, blockLimits } from '#model/limits'
import { formatDuration, keysOf } from '#core/units'
import { useInstead } from '#web/shared/house/use-instead.ts'
import { answerWords } from '#words/answers'
import { takesWords } from '#words/props'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import BlockPictures from './BlockPictures.vue'
import Part from './Part.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import SelectField from '#web/shared/ui/SelectField.vue'

const props = defineProps<{ resolved: ResolvedClosing }>()
const { document, compiled, setFields } = usePlan()
const set = (fields: FieldsOf<ClosingBlock>, words = 'change the closing') => {
  setFields(props.resolved.block, fields, words)
}
const takes = computed(() => takesWords(props.resolved.setUp?.value.items ?? []))
const { insteadIn } = useInstead(compiled)
const floorS = computed(() => (document.value ? finalRestFloorS(document.value.lengthS, props.resolved.ceilingS) : 0))
const { answers } = answerWords.roll
const rolls = keysOf(answers).map((value) => ({ value, words: answers[value] }))
/** The school's answer is no answer of this closing's own. */
function setRoll(roll: ClosingBlock['answers']): void {
  set({ answers: { ...props.resolved.block.answers, ...roll } }, 'change the roll')
}
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
  <Part title="Coming up">
    <div class="three">
      <DurationField
        label="Coming out"
        :seconds="resolved.comingOutS.value"
        :limits="betweenLimits"
        @change="set({ comingOutS: $event })"
      />
      <DurationField
        label="On the side"
        :seconds="resolved.rollS.value"
        :limits="betweenLimits"
        @change="set({ rollS: $event })"
      />
      <DurationField
        label="Sitting up"
        :seconds="resolved.sittingUpS.value"
        :limits="betweenLimits"
        @change="set({ sittingUpS: $event })"
      />
    </div>
    <SelectField label="Roll to" :value="resolved.answers.roll" :options="rolls" @change="setRoll({ roll: $event })" />
    <p class="sub">Whichever it is, “or the side you prefer” is said with it.</p>
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
  </Part>
  <slot />
</template>

<style scoped>
.select-field {
  margin-top: 8px;
}
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
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}
</style>
