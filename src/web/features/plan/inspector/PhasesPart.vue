<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import type { Phase } from '#model/phase'
import type { ResolvedPhase } from '#core/session'
import { holdLimits } from '#model/limits'
import { formatDuration } from '#core/units'
import DurationField from '#web/shared/ui/DurationField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import NameField from '#web/shared/ui/NameField.vue'

/** The named parts of a hold: seconds, breaths, and exactly one that is the rest of it. */
const props = defineProps<{ phases: readonly Phase[]; resolved: readonly ResolvedPhase[] }>()
const emit = defineEmits<{ change: [phases: Phase[]] }>()

type Kind = 's' | 'breaths' | 'rest'
const kinds: { value: Kind; words: string }[] = [
  { value: 's', words: 'for a time' },
  { value: 'breaths', words: 'for breaths' },
  { value: 'rest', words: 'the rest of it' },
]
const kindOf = ({ length }: Phase): Kind => ('s' in length ? 's' : 'breaths' in length ? 'breaths' : 'rest')
const rows = computed(() =>
  props.phases.map((phase) => ({ phase, s: props.resolved.find(({ id }) => id === phase.id)?.s ?? 0 })),
)

/** The first phase makes two: itself, and the rest of the hold. */
function begin(): void {
  emit('change', [
    { id: nanoid(8), name: 'Upright', length: { s: 60 } },
    { id: nanoid(8), name: 'Folded', length: { rest: true } },
  ])
}
function add(): void {
  emit('change', [...props.phases, { id: nanoid(8), name: 'Another part', length: { breaths: 3 } }])
}
function set(id: string, change: Partial<Phase>): void {
  emit(
    'change',
    props.phases.map((phase) => (phase.id === id ? { ...phase, ...change } : phase)),
  )
}
/** Only one can be the rest: the one that was takes the time it had. */
function setKind(id: string, kind: Kind, s: number): void {
  if (kind !== 'rest') {
    set(id, { length: kind === 's' ? { s: Math.max(5, s) } : { breaths: 3 } })
    return
  }
  emit(
    'change',
    rows.value.map(({ phase, s: had }) => {
      if (phase.id === id) return { ...phase, length: { rest: true } }
      return 'rest' in phase.length ? { ...phase, length: { s: Math.max(5, Math.min(had, 600)) } } : phase
    }),
  )
}
function setBreaths(phase: Phase, change: { breaths?: number; breathS?: number }): void {
  if (!('breaths' in phase.length)) return
  set(phase.id, {
    length: { breaths: change.breaths ?? phase.length.breaths, breathS: change.breathS ?? phase.length.breathS ?? 6 },
  })
}
/** Up, before the one that comes before it now. */
function moveUp(index: number): void {
  const [phase] = props.phases.slice(index, index + 1)
  if (phase) emit('change', props.phases.toSpliced(index, 1).toSpliced(index - 1, 0, phase))
}
const totalS = computed(() => rows.value.reduce((sum, { s }) => sum + s, 0))
/** The last but one takes the rest away with it: the hold is one whole again. */
function drop(id: string): void {
  const left = props.phases.filter((phase) => phase.id !== id)
  emit('change', left.length < 2 ? [] : left)
}
</script>

<template>
  <ul v-if="phases.length > 0">
    <li v-for="({ phase, s }, index) in rows" :key="phase.id">
      <NameField
        hide-label
        :label="`Name of phase ${index + 1}`"
        :name="phase.name"
        @change="set(phase.id, { name: $event })"
      />
      <Button
        text
        size="small"
        severity="secondary"
        icon="pi pi-arrow-up"
        :aria-label="`Move phase ${phase.name} up`"
        title="Move it up"
        :disabled="index === 0"
        @click="moveUp(index)"
      />
      <Button
        text
        size="small"
        severity="secondary"
        icon="pi pi-times"
        :aria-label="`Remove phase ${phase.name}`"
        :disabled="kindOf(phase) === 'rest' && phases.length > 2"
        @click="drop(phase.id)"
      />
      <div class="length">
        <Select
          size="small"
          :aria-label="`How long phase ${index + 1} is`"
          :model-value="kindOf(phase)"
          :options="kinds"
          option-label="words"
          option-value="value"
          :disabled="kindOf(phase) === 'rest'"
          @update:model-value="setKind(phase.id, $event, s)"
        />
        <DurationField
          v-if="'s' in phase.length"
          hide-label
          :label="`Time of phase ${index + 1}`"
          :seconds="phase.length.s"
          :limits="holdLimits"
          @change="set(phase.id, { length: { s: $event } })"
        />
        <template v-else-if="'breaths' in phase.length">
          <NumberField
            hide-label
            :label="`Breaths of phase ${index + 1}`"
            :value="phase.length.breaths"
            :least="1"
            :most="200"
            @change="setBreaths(phase, { breaths: $event })"
          />
          <NumberField
            hide-label
            :label="`Seconds a breath in phase ${index + 1}`"
            :value="phase.length.breathS ?? 6"
            :least="2"
            :most="30"
            @change="setBreaths(phase, { breathS: $event })"
          />
        </template>
        <span class="is">{{ formatDuration(s) }}</span>
      </div>
    </li>
  </ul>
  <Button
    v-if="phases.length === 0"
    size="small"
    text
    severity="secondary"
    label="Divide the hold into phases"
    @click="begin"
  />
  <template v-else>
    <p class="note">{{ formatDuration(totalS) }} in all, the rest of it at least 0:30.</p>
    <Button v-if="phases.length < 12" size="small" text severity="secondary" label="Add a phase" @click="add" />
  </template>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 30px 30px;
  gap: 4px;
  padding: 5px 0;
}
.length {
  grid-column: 1 / -1;
  display: flex;
  gap: 4px;
  align-items: center;
}
.length :deep(.p-select) {
  flex: 0 0 128px;
}
.length :deep(.typed) {
  flex: 1 1 56px;
  min-width: 0;
}
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.is {
  flex: none;
  min-width: 44px;
  text-align: right;
  font-weight: 650;
}
</style>
