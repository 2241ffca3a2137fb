<script setup lang="ts" generic="T">
import InputText from 'primevue/inputtext'
import { computed, nextTick, ref, useId, watch } from 'vue'

/** What a typed text comes to: a value and how it is written, or the mend in words. */
export type Typed<T> = { readonly value: T; readonly shown: string } | { readonly mend: string }

/**
 * A value as teachers type it. How it is read stands under it before it counts; a refused one stays in the field with
 * the mend in words.
 */
const props = defineProps<{
  label: string
  shown: string
  read: (text: string) => Typed<T>
  inputmode?: 'decimal' | 'text'
  large?: boolean
  small?: boolean
  hideLabel?: boolean
  /** What holds where it is left empty. */
  hint?: string | undefined
}>()
const emit = defineEmits<{ change: [value: T]; step: [by: 1 | -1] }>()

const id = useId()
const text = ref(props.shown)
const mend = ref('')
const isTyping = ref(false)
watch(() => props.shown, giveUp)

/** Written otherwise than it was typed, it is shown as it is read. */
const reads = computed(() => {
  const typed = text.value.trim()
  if (!isTyping.value || typed === '' || typed === props.shown) return ''
  const read = props.read(text.value)
  return 'value' in read && read.shown !== typed ? read.shown : ''
})

function take(): void {
  isTyping.value = false
  if (text.value.trim() === props.shown) {
    mend.value = ''
    return
  }
  const read = props.read(text.value)
  if ('mend' in read) {
    mend.value = read.mend
    return
  }
  mend.value = ''
  text.value = read.shown
  if (read.shown !== props.shown) emit('change', read.value)
}
/** Left, a field shows what holds: what was read and then refused elsewhere does not. */
async function leave(): Promise<void> {
  take()
  await nextTick()
  if (mend.value === '') text.value = props.shown
}
function giveUp(): void {
  text.value = props.shown
  mend.value = ''
  isTyping.value = false
}
function step(event: KeyboardEvent, by: 1 | -1): void {
  if (props.inputmode !== 'decimal') return
  event.preventDefault()
  take()
  emit('step', by)
}
</script>

<template>
  <div class="typed">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <InputText
      :id="id"
      v-model="text"
      fluid
      autocomplete="off"
      :inputmode="inputmode"
      :placeholder="hint"
      :size="small ? 'small' : undefined"
      :class="{ large }"
      :invalid="mend !== ''"
      :aria-describedby="mend === '' ? undefined : `${id}-mend`"
      @input="isTyping = true"
      @blur="leave"
      @keydown.enter="take"
      @keydown.esc="giveUp"
      @keydown.up="step($event, 1)"
      @keydown.down="step($event, -1)"
    />
    <p v-if="reads !== ''" class="reads" role="status">= {{ reads }}</p>
    <p v-if="mend !== ''" :id="`${id}-mend`" class="mend" role="alert">{{ mend }}</p>
  </div>
</template>

<style scoped>
.typed {
  position: relative;
  min-width: 0;
}
label {
  font-size: 14px;
  color: var(--ink-soft);
  display: block;
}
.large {
  font-size: 25px;
  font-weight: 650;
  padding-block: 0.1rem;
}
/* Over what comes next, so that nothing moves while one types. */
.reads {
  position: absolute;
  z-index: 2;
  top: 100%;
  left: 0;
  margin: 2px 0 0;
  padding: 1px 8px;
  border-radius: 4px;
  background: var(--ink);
  color: #fff;
  font-size: 15px;
  white-space: nowrap;
}
.mend {
  color: var(--avoid);
  font-size: 14px;
  margin: 2px 0 0;
}
</style>
