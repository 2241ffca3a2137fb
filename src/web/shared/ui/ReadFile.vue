<script setup lang="ts">
import Button from 'primevue/button'
import { ref, useTemplateRef } from 'vue'

/**
 * A file that is chosen and read as text, and itself where it is more than that; the same one can be chosen again. What is
 * larger than such a file ever is, or no text, is refused here: nothing of it is read.
 */
const {
  mostKb = 5000,
  isAny = false,
  text = false,
} = defineProps<{
  label: string
  accept: string
  what: string
  text?: boolean
  /** The largest that is read. */
  mostKb?: number
  /** Whoever asks for it looks at it themselves, whatever it is. */
  isAny?: boolean
}>()
const emit = defineEmits<{ read: [text: string, file: File] }>()
const picker = useTemplateRef<HTMLInputElement>('picker')
const problem = ref('')

/** Text has no such signs: a program's own file, or one in an encoding of its own. */
const isText = (typed: string): boolean => !typed.includes('\0') && !typed.includes('\ufffd')

async function read(file: File): Promise<void> {
  problem.value = ''
  if (isAny) {
    emit('read', '', file)
    return
  }
  if (file.size > mostKb * 1000) {
    problem.value = `${file.name} is larger than ${String(mostKb)} kB: choose a smaller file.`
    return
  }
  const typed = await file.text()
  if (isText(typed)) emit('read', typed, file)
  else problem.value = `${file.name} is no text: save it as plain text in UTF-8, and choose that.`
}
async function open(event: Event): Promise<void> {
  const [file] = event.target instanceof HTMLInputElement ? (event.target.files ?? []) : []
  if (file) await read(file)
  if (picker.value) picker.value.value = ''
}
</script>

<template>
  <Button
    size="small"
    severity="secondary"
    :outlined="!text"
    :text="text"
    icon="pi pi-upload"
    :label="label"
    @click="picker?.click()"
  />
  <input
    ref="picker"
    class="visually-hidden"
    type="file"
    :accept="accept"
    tabindex="-1"
    :aria-label="what"
    @change="open"
  />
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
</template>

<style scoped>
.problem {
  margin: 0;
  font-size: 15px;
}
</style>
