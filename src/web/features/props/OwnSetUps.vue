<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import type { SetUp } from '#model/set-up'
import { takesWords } from '#words/props'
import { refusedWords, useOwnStore } from '#web/shared/own/own-store.ts'
import AskName from '#web/shared/ui/AskName.vue'
import RemovedNote from '#web/shared/own/RemovedNote.vue'
import { useProps } from './use-props.ts'

/** The set-ups the teacher kept for this pose: another name for one, and away with it where nothing uses it. */
const { chosen, setUp, told } = useProps()
const own = useOwnStore()
const renaming = ref<string>()
/** Why one could not be changed, and which. */
const problem = ref<{ readonly id: string; readonly words: string }>()
const mine = computed(() => {
  const ids = new Set(own.setUps.map(({ id }) => id))
  return (chosen.value?.choices ?? []).filter(({ id }) => ids.has(id))
})
watch(
  () => chosen.value?.key,
  () => {
    renaming.value = undefined
    problem.value = undefined
  },
)

async function rename(one: SetUp, name: string): Promise<void> {
  const outcome = name === one.name ? ({ kind: 'done' } as const) : await own.put('setUp', { ...one, name })
  problem.value = { id: one.id, words: refusedWords(outcome) }
  if (outcome.kind === 'done') renaming.value = undefined
}
async function remove(one: SetUp): Promise<void> {
  const outcome = await own.remove('setUp', one.id)
  problem.value = { id: one.id, words: refusedWords(outcome) }
  if (outcome.kind === 'done') told.value = `${one.name} is deleted`
}
const problemOf = ({ id }: SetUp): string => (problem.value?.id === id ? problem.value.words : '')
</script>

<template>
  <section
    v-if="mine.length > 0 || own.removed?.kind === 'setUp'"
    class="part own-set-ups"
    aria-labelledby="own-set-ups"
  >
    <h3 id="own-set-ups">Kept by you for this pose</h3>
    <ul>
      <li v-for="one in mine" :key="one.id">
        <AskName
          v-if="renaming === one.id"
          label="Call it"
          verb="Rename"
          :from="one.name"
          :taken="chosen?.choices.map((choice) => choice.name) ?? []"
          taken-words="This pose has a set-up of that name: give it another."
          :problem="problemOf(one)"
          @named="rename(one, $event)"
          @leave="renaming = undefined"
        />
        <template v-else>
          <p>
            {{ one.name }}{{ one.id === setUp?.id ? ', in use here' : ''
            }}<small>{{ takesWords(one.items) || 'no props' }}</small>
          </p>
          <span class="acts">
            <Button
              size="small"
              text
              severity="secondary"
              icon="pi pi-pencil"
              :aria-label="`Rename ${one.name}`"
              title="Rename"
              @click="renaming = one.id"
            />
            <Button
              size="small"
              text
              severity="secondary"
              icon="pi pi-trash"
              :aria-label="`Delete ${one.name}`"
              title="Delete"
              @click="remove(one)"
            />
          </span>
          <p v-if="problemOf(one)" class="problem" role="alert">{{ problemOf(one) }}</p>
        </template>
      </li>
    </ul>
    <RemovedNote v-if="own.removed?.kind === 'setUp'" />
  </section>
</template>

<style scoped>
h3 {
  margin-bottom: 4px;
  font-size: 16px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 8px;
  align-items: center;
  overflow-wrap: anywhere;
}
li > :deep(.ask-name),
.problem {
  grid-column: 1 / -1;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
.problem {
  font-size: 14.5px;
  color: var(--avoid);
}
@media print {
  .own-set-ups {
    display: none;
  }
}
</style>
