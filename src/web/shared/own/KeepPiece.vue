<script setup lang="ts">
import Button from 'primevue/button'
import { nanoid } from 'nanoid'
import { computed, ref, toRaw } from 'vue'
import type { Block } from '#model/block'
import { counted } from '#words/text'
import AskName from '#web/shared/ui/AskName.vue'
import { refusedWords, useOwnStore } from './own-store.ts'

/** Keeps blocks on the shelf under a name, as they stand now. */
const props = withDefaults(defineProps<{ blocks: readonly Block[]; opener?: string; label?: string; as?: string }>(), {
  opener: 'Keep on the shelf…',
  label: undefined,
  as: undefined,
})
const emit = defineEmits<{ kept: [words: string] }>()
const own = useOwnStore()
const isAsking = ref(false)
const problem = ref('')
const much = computed(() => props.as ?? counted(props.blocks.length, 'block'))

function ask(): void {
  problem.value = ''
  isAsking.value = true
}
async function keep(name: string): Promise<void> {
  const outcome = await own.put('piece', {
    id: nanoid(),
    name,
    blocks: props.blocks.map((block) => structuredClone(toRaw(block))),
  })
  problem.value = refusedWords(outcome)
  if (outcome.kind !== 'done') return
  emit('kept', `${name} kept on the shelf, ${much.value}`)
  isAsking.value = false
}
</script>

<template>
  <Button v-if="!isAsking" size="small" severity="secondary" outlined :label="opener" @click="ask" />
  <AskName
    v-else
    :label="label ?? `Keep ${much} on the shelf as`"
    verb="Keep"
    :taken="own.pieces.map((piece) => piece.name)"
    taken-words="There is a piece of that name: give it another."
    :problem="problem"
    @named="keep"
    @leave="isAsking = false"
  />
</template>
