<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed } from 'vue'
import type { TalkBlock } from '#model/block'
import { stopWords, wordingOf } from '#core/session'
import type { FieldsOf, ResolvedTalk } from '#core/session'
import { blockLimits } from '#model/limits'
import { formatDuration, paceLimits, speakingSeconds, wordCount } from '#core/units'
import DurationField from '#web/shared/ui/DurationField.vue'
import { counted } from '#words/text'
import { useSpeakingPace } from '../speaking-pace.ts'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import NumberField from '#web/shared/ui/NumberField.vue'
import NameField from '#web/shared/ui/NameField.vue'

const props = defineProps<{ resolved: ResolvedTalk }>()
const { document, setFields } = usePlan()
const pace = useSpeakingPace()

const words = computed(() => wordCount(props.resolved.block.text ?? ''))
const estimateS = computed(() => speakingSeconds(props.resolved.block.text ?? '', pace.value))

const stops = computed(() => stopWords[wordingOf(document.value?.wording).stop])
const saysStops = computed(() => (props.resolved.block.text ?? '').includes(stops.value))
function addStops(): void {
  const said = props.resolved.block.text?.trim() ?? ''
  const end = said === '' || /[.!?]$/.test(said) ? said : `${said}.`
  set({ text: `${end} ${stops.value}`.trim() })
}

const set = (fields: FieldsOf<TalkBlock>) => {
  setFields(props.resolved.block, fields, `change ${props.resolved.block.title}`)
}
</script>

<template>
  <h1>{{ resolved.block.title }}</h1>
  <Part title="Talk">
    <NameField label="Name" :name="resolved.block.title" @change="set({ title: $event })" />
    <label for="talk-text">What to say</label>
    <Textarea
      id="talk-text"
      fluid
      rows="6"
      maxlength="20000"
      auto-resize
      :model-value="resolved.block.text ?? ''"
      @change="set({ text: textOf($event) })"
    />
    <Button
      v-if="!saysStops"
      size="small"
      text
      severity="secondary"
      label="Add the stop signs"
      title="In the wording chosen for the session"
      @click="addStops"
    />
    <DurationField label="Time" :seconds="resolved.block.s" :limits="blockLimits" @change="set({ s: $event })" />
  </Part>
  <Part v-if="words > 0 && !resolved.script" title="Speaking time" note="an estimate">
    <p data-testid="speaking">
      {{ counted(words, 'word takes', 'words take') }} about {{ formatDuration(estimateS)
      }}<template v-if="estimateS > resolved.block.s"
        >: {{ formatDuration(estimateS - resolved.block.s) }} more than planned</template
      >.
    </p>
    <div class="pace">
      <NumberField
        label="Words a minute"
        :value="pace"
        :least="paceLimits.least"
        :most="paceLimits.most"
        @change="pace = $event"
      />
      <Button
        v-if="estimateS >= 5 && estimateS !== resolved.block.s"
        size="small"
        severity="secondary"
        outlined
        :label="`Make it ${formatDuration(estimateS)}`"
        @click="set({ s: estimateS })"
      />
    </div>
  </Part>
</template>

<style scoped>
label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
  margin-top: 8px;
}
.pace {
  display: grid;
  grid-template-columns: 124px auto;
  gap: 0 10px;
  align-items: center;
}
.pace label {
  grid-column: 1 / -1;
}
</style>
