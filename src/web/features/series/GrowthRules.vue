<script setup lang="ts">
import Button from 'primevue/button'
import { nanoid } from 'nanoid'
import { computed, ref, watch } from 'vue'
import { mostWeeks } from '#model/limits'
import type { Growth } from '#model/series'
import { blockNameIn } from '#words/blocks'
import { stepChoices } from '#words/ladder'
import { growthKinds, growthWords } from '#words/series'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import LadderLessons from './LadderLessons.vue'
import { useSeries } from './use-series.ts'

/** What grows from week to week, each rule of one block, and another one. */
const { chosen, base, names, addGrowth, removeGrowth } = useSeries()
const own = useOwnStore()
const blocks = computed(() =>
  (base.value?.blocks ?? []).map((block) => ({ value: block.id, words: blockNameIn(block, own.catalog) })),
)
const typed = ref({
  blockId: '',
  kind: 'longer' as Growth['kind'],
  weeks: 2,
  week: 2,
  least: 1,
  step: 5,
  perWeek: 1,
  other: '',
})
const lessons = ref<Extract<Growth, { kind: 'ladder' }>['lessons']>()
watch(
  () => typed.value.blockId,
  () => (lessons.value = undefined),
)
const block = computed(() => base.value?.blocks.find(({ id }) => id === typed.value.blockId))
/** What may be said of a block goes by what it is. */
const kinds = computed(() =>
  growthKinds.filter(({ value }) => {
    if (value === 'comes' || value === 'goes') return block.value?.kind !== 'closing'
    return value === 'ladder' ? block.value?.kind === 'breath' : block.value?.kind === 'hold'
  }),
)
const kind = computed(() =>
  kinds.value.some(({ value }) => value === typed.value.kind) ? typed.value.kind : kinds.value[0]?.value,
)
const forms = computed(() => {
  const pose = block.value?.kind === 'hold' ? own.catalog.poses.get(block.value.poseId) : undefined
  return [
    { value: '', words: 'as the pose is' },
    ...(pose?.variants ?? []).map(({ id, name }) => ({ value: id, words: name })),
  ]
})
const poses = computed(() =>
  [...own.catalog.poses.values()].map(({ id, names: { english } }) => ({ value: id, words: english })),
)
function ruleOf(): Growth | undefined {
  const { blockId, weeks, week, least, step, perWeek, other } = typed.value
  const of = { id: nanoid(8), blockId }
  switch (kind.value) {
    case 'longer':
      return { ...of, kind: 'longer', everyWeeks: weeks }
    case 'quieter':
      return { ...of, kind: 'quieter', everyWeeks: weeks, least }
    case 'comes':
    case 'goes':
      return { ...of, kind: kind.value, week }
    case 'form':
      return { ...of, kind: 'form', week, variantId: other === '' ? null : other }
    case 'instead':
      return other === '' ? undefined : { ...of, kind: 'instead', week, poseId: other }
    case 'ladder':
      return { ...of, kind: 'ladder', startStep: step, perWeek, ...(lessons.value ? { lessons: lessons.value } : {}) }
    case undefined:
      return undefined
  }
}
async function add(): Promise<void> {
  const rule = ruleOf()
  if (rule && (await addGrowth(rule))) typed.value = { ...typed.value, blockId: '', other: '' }
}
</script>

<template>
  <section class="grows" aria-labelledby="grows-title">
    <h2 id="grows-title">Grows</h2>
    <ul v-if="chosen && chosen.growth.length > 0">
      <li v-for="rule in chosen.growth" :key="rule.id">
        {{ growthWords(rule, names) }}
        <Button
          size="small"
          text
          severity="secondary"
          icon="pi pi-times"
          :aria-label="`Take away: ${growthWords(rule, names)}`"
          @click="removeGrowth(rule.id)"
        />
      </li>
    </ul>
    <p v-else class="soft">Nothing: every week is as its session.</p>
    <SelectField
      label="Something more that grows"
      :value="typed.blockId"
      :options="[{ value: '', words: 'choose a block' }, ...blocks]"
      @change="typed = { ...typed, blockId: $event, other: '' }"
    />
    <template v-if="typed.blockId !== '' && kind">
      <SelectField label="How" :value="kind" :options="kinds" @change="typed = { ...typed, kind: $event, other: '' }" />
      <div class="row">
        <NumberField
          v-if="kind === 'longer' || kind === 'quieter'"
          label="Every so many weeks"
          :value="typed.weeks"
          :least="1"
          :most="26"
          @change="typed.weeks = $event"
        />
        <NumberField
          v-if="kind === 'quieter'"
          label="Things said at least"
          :value="typed.least"
          :least="0"
          :most="40"
          @change="typed.least = $event"
        />
        <NumberField
          v-if="kind === 'comes' || kind === 'goes' || kind === 'form' || kind === 'instead'"
          label="From week"
          :value="typed.week"
          :least="1"
          :most="mostWeeks"
          @change="typed.week = $event"
        />
        <NumberField
          v-if="kind === 'ladder'"
          label="Practices a week"
          :value="typed.perWeek"
          :least="0"
          :most="21"
          @change="typed.perWeek = $event"
        />
      </div>
      <SelectField
        v-if="kind === 'form'"
        label="Form"
        :value="typed.other"
        :options="forms"
        @change="typed.other = $event"
      />
      <SelectField
        v-if="kind === 'instead'"
        label="Pose"
        is-searched
        :value="typed.other"
        :options="[{ value: '', words: 'choose a pose' }, ...poses]"
        @change="typed.other = $event"
      />
      <SelectField
        v-if="kind === 'ladder'"
        label="It begins with"
        :value="typed.step"
        :options="stepChoices"
        @change="typed.step = $event"
      />
      <LadderLessons v-if="kind === 'ladder'" v-model="lessons" :block-id="typed.blockId" />
      <Button size="small" severity="secondary" outlined label="Let it grow" @click="add" />
    </template>
  </section>
</template>

<style scoped>
.grows {
  display: grid;
  gap: 8px;
  justify-items: stretch;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: start;
  gap: 6px;
  padding: 3px 0;
  border-top: 1px solid var(--line-soft);
}
.soft {
  color: var(--ink-soft);
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
</style>
