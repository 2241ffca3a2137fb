<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { mostWeeks } from '#model/limits'
import type { Growth } from '#model/series'
import { blockNameIn } from '#words/blocks'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { useSeries } from './use-series.ts'

/** The other thread of a ladder: techniques that are taught a lesson a week, in a breath block of their own. */
type Lessons = NonNullable<Extract<Growth, { kind: 'ladder' }>['lessons']>
const props = defineProps<{
  /** The block the ladder itself is in. */
  blockId: string
}>()
const lessons = defineModel<Lessons>()
const { base, names } = useSeries()
const own = useOwnStore()
const most = 10
const blocks = computed(() => [
  { value: '', words: 'no lessons' },
  ...(base.value?.blocks ?? [])
    .filter(({ id, kind }) => kind === 'breath' && id !== props.blockId)
    .map((block) => ({ value: block.id, words: blockNameIn(block, own.catalog) })),
])
const techniques = computed(() => [
  { value: '', words: 'choose a breath' },
  ...[...own.catalog.techniques.values()]
    // One that is shown whole has no lessons to be taught by.
    .filter((one) => one.lessons.length > 0 && !lessons.value?.techniqueIds.includes(one.id))
    .map(({ id, names: { english } }) => ({ value: id, words: english })),
])
/** What the block practises as it is comes first: the lessons lead to it. */
function choose(blockId: string): void {
  const block = base.value?.blocks.find(({ id }) => id === blockId)
  const first =
    block?.kind === 'breath'
      ? block.sections.flatMap((one) => ('techniqueId' in one ? (one.techniqueId ?? []) : []))
      : []
  const techniqueIds = first.length > 0 ? first.slice(0, 1) : ['three-part-breath']
  lessons.value = blockId === '' ? undefined : { blockId, techniqueIds }
}
function take(techniqueIds: string[]): void {
  if (lessons.value) lessons.value = { ...lessons.value, techniqueIds }
}
function begin(week: number): void {
  if (!lessons.value) return
  const { from: _, ...others } = lessons.value
  lessons.value = week === 1 ? others : { ...others, from: week }
}
</script>

<template>
  <SelectField label="Lessons, a week each, in" :value="lessons?.blockId ?? ''" :options="blocks" @change="choose" />
  <template v-if="lessons">
    <ol aria-label="Taught one after another">
      <li v-for="id in lessons.techniqueIds" :key="id">
        {{ names.technique(id) }}
        <Button
          size="small"
          text
          severity="secondary"
          icon="pi pi-times"
          :aria-label="`Not taught: ${names.technique(id)}`"
          :disabled="lessons.techniqueIds.length === 1"
          @click="take(lessons.techniqueIds.filter((one) => one !== id))"
        />
      </li>
    </ol>
    <SelectField
      v-if="lessons.techniqueIds.length < most"
      label="Then"
      is-searched
      value=""
      :options="techniques"
      @change="$event !== '' && take([...lessons.techniqueIds, $event])"
    />
    <NumberField
      label="First lesson in week"
      :value="lessons.from ?? 1"
      :least="1"
      :most="mostWeeks"
      @change="begin($event)"
    />
  </template>
</template>

<style scoped>
ol {
  margin: 0;
  padding: 0 0 0 20px;
}
</style>
