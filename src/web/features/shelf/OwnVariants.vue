<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { nanoid } from 'nanoid'
import { computed, ref } from 'vue'
import type { OwnDocuments } from '#model/own'
import { grades } from '#model/pose'
import type { Pose } from '#model/pose'
import { picturedPose } from '#core/session'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'

/** The graded forms of a pose, easier first, with the teacher's own ones among them, made and mended here. */
const props = defineProps<{ pose: Pose }>()
const own = useOwnStore()

type Draft = OwnDocuments['variant']
const draft = ref<Draft>()
const refused = ref('')
const gradeChoices = [
  { value: 'easier', words: 'Easier' },
  { value: 'same', words: 'As strong' },
  { value: 'stronger', words: 'Stronger' },
]
const gradeWords = { easier: 'easier', same: 'as strong', stronger: 'stronger' } as const

const lines = computed(() =>
  props.pose.variants
    .map((variant) => ({ ...variant, thing: own.find('variant', variant.id) }))
    .sort((a, b) => grades.indexOf(a.grade) - grades.indexOf(b.grade)),
)

function begin(document?: Draft): void {
  refused.value = ''
  draft.value = document
    ? { ...document }
    : { id: nanoid(), poseId: props.pose.id, name: '', grade: 'easier', change: '' }
}

async function save(): Promise<void> {
  if (!draft.value) return
  if (draft.value.name.trim() === '' || draft.value.change.trim() === '') {
    refused.value = 'Give it a name, and say what changes.'
    return
  }
  const outcome = await own.put('variant', draft.value)
  if (outcome.kind === 'done') draft.value = undefined
  else
    refused.value =
      outcome.kind === 'refused'
        ? outcome.problem.detail
        : 'Zovrin’s server does not answer: it is not saved yet. Start it and try again.'
}

async function remove(id: string): Promise<void> {
  const outcome = await own.remove('variant', id)
  refused.value =
    outcome.kind === 'refused'
      ? outcome.problem.detail
      : outcome.kind === 'away'
        ? 'Zovrin’s server does not answer: nothing was removed.'
        : ''
}
</script>

<template>
  <ul>
    <li v-for="{ id, name, grade, change, thing } in lines" :key="id">
      <FigureThumb :pictured="picturedPose(own.catalog, pose.id, id)" />
      <span class="words">
        <b>{{ name }}</b> <small>{{ gradeWords[grade] }}{{ thing ? ', your own' : '' }}</small>
        <span class="change">{{ change }}</span>
      </span>
      <template v-if="thing?.kind === 'variant'">
        <Button
          text
          size="small"
          severity="secondary"
          label="Edit"
          :aria-label="`Edit ${name}`"
          @click="begin(thing.document)"
        />
        <Button
          text
          size="small"
          severity="secondary"
          label="Delete"
          :aria-label="`Delete ${name}`"
          @click="remove(id)"
        />
      </template>
    </li>
  </ul>
  <form v-if="draft" @submit.prevent="save">
    <label for="variant-name">Name of the form</label>
    <InputText id="variant-name" v-model="draft.name" fluid maxlength="120" />
    <label id="variant-grade">How strong it is</label>
    <Select
      v-model="draft.grade"
      aria-labelledby="variant-grade"
      fluid
      :options="gradeChoices"
      option-label="words"
      option-value="value"
    />
    <label for="variant-change">What changes</label>
    <InputText id="variant-change" v-model="draft.change" fluid maxlength="300" />
    <div class="acts">
      <Button type="submit" size="small" label="Save this form" />
      <Button size="small" text severity="secondary" label="Cancel" @click="draft = undefined" />
    </div>
  </form>
  <Button v-else class="make" text size="small" severity="secondary" label="Add a form of your own" @click="begin()" />
  <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
</template>

<style scoped>
small {
  color: var(--ink-soft);
}
.change {
  display: block;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 3px 0;
}
.words {
  flex: 1;
}
form {
  margin-top: 8px;
  padding: 10px 12px;
  border: 1px solid var(--edge);
  border-radius: 8px;
}
label {
  display: block;
  margin-top: 6px;
  font-size: 14px;
  color: var(--ink-soft);
}
.acts {
  display: flex;
  gap: 8px;
  margin-top: 10px;
}
.make {
  margin-left: -10px;
}
.refused {
  color: var(--avoid);
}
@media print {
  .make {
    display: none;
  }
}
</style>
