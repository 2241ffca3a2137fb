<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, onMounted, ref, useId, useTemplateRef } from 'vue'
import { textLimits } from '#model/limits'

/** Asks for a name that none of some others has; it takes the focus, since something was just pressed for it. */
const props = withDefaults(
  defineProps<{
    label: string
    verb: string
    taken: readonly string[]
    takenWords: string
    from?: string
    problem?: string
  }>(),
  { from: '', problem: '' },
)
const emit = defineEmits<{ named: [name: string]; leave: [] }>()
const id = useId()
const name = ref(props.from)
const wanted = computed(() => name.value.trim())
const isTaken = computed(() => wanted.value !== props.from && props.taken.includes(wanted.value))
const field = useTemplateRef<{ $el: HTMLInputElement }>('field')
onMounted(() => {
  field.value?.$el.focus()
  field.value?.$el.select()
})
function done(): void {
  if (wanted.value !== '' && !isTaken.value) emit('named', wanted.value)
}
</script>

<template>
  <form class="ask-name" @submit.prevent="done" @keydown.esc.stop="emit('leave')">
    <label :for="id">{{ label }}</label>
    <InputText :id="id" ref="field" v-model="name" :maxlength="textLimits.name" autocomplete="off" />
    <p v-if="isTaken" class="note" role="status">{{ takenWords }}</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <span class="acts">
      <Button type="submit" size="small" :label="verb" :disabled="wanted === '' || isTaken" />
      <Button type="button" size="small" text severity="secondary" label="Leave it" @click="emit('leave')" />
    </span>
  </form>
</template>

<style scoped>
.ask-name {
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
