<script setup lang="ts">
import Button from 'primevue/button'
import { useTemplateRef } from 'vue'

/** A file that is chosen and read as text, and itself where it is more than that; the same one can be chosen again. */
defineProps<{ label: string; accept: string; what: string; text?: boolean }>()
const emit = defineEmits<{ read: [text: string, file: File] }>()
const picker = useTemplateRef<HTMLInputElement>('picker')
async function open(event: Event): Promise<void> {
  const [file] = event.target instanceof HTMLInputElement ? (event.target.files ?? []) : []
  if (file) emit('read', await file.text(), file)
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
</template>
