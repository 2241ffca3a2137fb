<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed } from 'vue'
import type { BreathOver } from '#model/block'
import { patternText, roundsThatFit, roundSecondsText } from '#core/breath'
import { withFields } from '#core/session'
import type { FieldsOf, ResolvedHold } from '#core/session'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import PatternField from '../PatternField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'
import NumberField from '#web/shared/ui/NumberField.vue'

/** Counted breath over a hold: whole rounds, then natural breath. */
const props = defineProps<{ resolved: ResolvedHold }>()
const { setFields } = usePlan()
const own = useOwnStore()

const over = computed(() => props.resolved.breathOver)
const choices = computed(() =>
  [...own.catalog.techniques.values()]
    .filter(
      ({ id, pattern, counted, inPerson }) => (counted && pattern && !inPerson) || id === over.value?.technique.id,
    )
    .map(({ id, names }) => ({ id, words: names.english })),
)
const most = computed(() => {
  const holdS = Math.min(...props.resolved.sides.map((side) => side.holdS))
  return over.value ? Math.max(1, roundsThatFit(holdS * 1000, over.value.pattern, over.value.pace)) : 1
})
const name = computed(() => props.resolved.pose.names.english)

function put(breathOver: BreathOver | undefined, words = `change the breath over ${name.value}`): void {
  setFields(props.resolved.block, { breathOver }, words)
}
function set(fields: FieldsOf<BreathOver>): void {
  const before = props.resolved.block.breathOver
  if (before) put(withFields(before, fields))
}
function begin(): void {
  const [first] = choices.value
  const techniqueId = choices.value.find(({ id }) => id === 'long-exhale')?.id ?? first?.id
  if (techniqueId !== undefined) put({ techniqueId }, `breathe over ${name.value}`)
}
/** Another technique brings its own counts. */
function setTechnique(techniqueId: string): void {
  put({ techniqueId })
}
function end(): void {
  put(undefined, `leave the breath over ${name.value} free`)
}
</script>

<template>
  <Part title="Breath over it">
    <Button v-if="!over" size="small" text severity="secondary" label="Count a breath over this hold" @click="begin" />
    <template v-else>
      <Select
        fluid
        aria-label="Breath over the hold"
        :model-value="over.technique.id"
        :options="choices"
        option-label="words"
        option-value="id"
        @update:model-value="setTechnique"
      />
      <PatternField
        :pattern="over.pattern"
        :pace="over.pace"
        @pattern="set({ pattern: $event })"
        @pace="set({ pace: $event })"
      />
      <div class="two">
        <NumberField
          :label="`Rounds, up to ${most}`"
          :value="Math.min(over.rounds ?? most, most)"
          :least="1"
          :most="most"
          @change="set({ rounds: $event })"
        />
        <NumberField
          label="Counted aloud"
          :value="over.countedRounds"
          :least="0"
          :most="500"
          @change="set({ countedRounds: $event })"
        />
      </div>
      <p class="note">
        {{ patternText(over.pattern) }}, {{ roundSecondsText(over.pattern, over.pace) }} s a round, then natural breath.
      </p>
      <Button size="small" text severity="secondary" label="Leave the breath free" @click="end" />
    </template>
  </Part>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
label {
  display: block;
  margin-top: 6px;
  font-size: 14px;
  color: var(--ink-soft);
}
.note {
  margin-top: 4px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
