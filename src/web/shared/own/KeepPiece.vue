<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { nanoid } from 'nanoid'
import { computed, nextTick, ref, toRaw, useId, useTemplateRef } from 'vue'
import type { Block } from '#model/block'
import { textLimits } from '#model/limits'
import { counted } from '#words/text'
import { useOwnStore } from './own-store.ts'

/** Keeps blocks on the shelf under a name, as they stand now. */
const props = withDefaults(defineProps<{ blocks: readonly Block[]; opener?: string; label?: string; as?: string }>(), {
  opener: 'Keep on the shelf…',
  label: undefined,
  as: undefined,
})
const emit = defineEmits<{ kept: [words: string] }>()
const own = useOwnStore()
const isAsking = ref(false)
const name = ref('')
const problem = ref('')
const id = useId()
const field = useTemplateRef<{ $el: HTMLInputElement }>('field')
const much = computed(() => props.as ?? counted(props.blocks.length, 'block'))
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
  const outcome = await own.put('piece', {
    id: nanoid(),
    name: wanted,
    blocks: props.blocks.map((block) => structuredClone(toRaw(block))),
  })
  if (outcome.kind !== 'done') {
    problem.value =
      outcome.kind === 'refused'
        ? outcome.problem.detail
        : 'Zovrin’s server does not answer: nothing was kept. Start it and try again.'
    return
  }
  emit('kept', `${wanted} kept on the shelf, ${much.value}`)
  name.value = ''
  isAsking.value = false
}
</script>

<template>
  <Button v-if="!isAsking" size="small" severity="secondary" outlined :label="opener" @click="ask" />
  <form v-else class="keep" @submit.prevent="keep" @keydown.esc.stop="isAsking = false">
    <label :for="id">{{ label ?? `Keep ${much} on the shelf as` }}</label>
    <InputText :id="id" ref="field" v-model="name" :maxlength="textLimits.name" autocomplete="off" />
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
