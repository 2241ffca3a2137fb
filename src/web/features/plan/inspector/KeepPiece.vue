<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { nanoid } from 'nanoid'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { textLimits } from '#model/limits'
import { counted } from '#words/text'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePlan } from '../use-plan.ts'

/** Keeps blocks on the shelf under a name, as they stand now. */
const props = defineProps<{ ids: readonly string[] }>()
const own = useOwnStore()
const { document, tell } = usePlan()
const isAsking = ref(false)
const name = ref('')
const problem = ref('')
const field = useTemplateRef<{ $el: HTMLInputElement }>('field')
const blocks = computed(() => document.value?.blocks.filter(({ id }) => props.ids.includes(id)) ?? [])
const isTaken = computed(() => own.pieces.some((piece) => piece.name === name.value.trim()))

async function ask(): Promise<void> {
  isAsking.value = true
  problem.value = ''
  await nextTick()
  field.value?.$el.focus()
}

async function keep(): Promise<void> {
  const wanted = name.value.trim()
  if (wanted === '' || isTaken.value) return
  const outcome = await own.put('piece', { id: nanoid(), name: wanted, blocks: structuredClone(blocks.value) })
  if (outcome.kind !== 'done') {
    problem.value =
      outcome.kind === 'refused'
        ? outcome.problem.detail
        : 'Zovrin’s server does not answer: nothing was kept. Start it and try again.'
    return
  }
  tell(`${wanted} kept on the shelf, ${counted(blocks.value.length, 'block')}`)
  name.value = ''
  isAsking.value = false
}
</script>

<template>
  <Button v-if="!isAsking" size="small" severity="secondary" outlined label="Keep on the shelf…" @click="ask" />
  <form v-else class="keep" @submit.prevent="keep" @keydown.esc.stop="isAsking = false">
    <label for="piece-name">Keep {{ counted(blocks.length, 'block') }} on the shelf as</label>
    <InputText id="piece-name" ref="field" v-model="name" :maxlength="textLimits.name" autocomplete="off" />
    <p v-if="isTaken" class="note" role="status">There is a piece of that name: give it another.</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <span class="acts">
      <Button type="submit" size="small" label="Keep" :disabled="name.trim() === '' || isTaken" />
      <Button type="button" size="small" text severity="secondary" label="Leave it" @click="isAsking = false" />
    </span>
  </form>
</template>

<style scoped>
.keep {
  display: grid;
  gap: 4px;
  flex-basis: 100%;
}
label,
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.acts {
  display: flex;
  gap: 8px;
  margin-top: 4px;
}
.problem {
  color: var(--avoid);
}
</style>
