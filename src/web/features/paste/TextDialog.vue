<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Dialog from 'primevue/dialog'
import Textarea from 'primevue/textarea'
import { onScopeDispose, ref, watch } from 'vue'
import type { Session } from '#model/session'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import type { WriteQuestion } from './paste-work.ts'

/** A session as text, a line a block, to be copied into a letter or a notebook, or saved as a file. */
const props = defineProps<{ session: Session }>()
const emit = defineEmits<{ close: [] }>()
const own = useOwnStore()
const text = ref('')
const exactly = ref(false)
const told = ref('')
const worker = new Worker(new URL('./paste-worker.ts', import.meta.url), { type: 'module' })
worker.onmessage = ({ data }: MessageEvent<string>) => (text.value = data)
worker.onerror = () => (told.value = 'The text could not be written here. Reload the page and try again.')
watch(
  exactly,
  () => {
    const question: WriteQuestion = { own: own.things, session: props.session, exactly: exactly.value }
    worker.postMessage(JSON.parse(JSON.stringify(question)))
  },
  { immediate: true },
)
onScopeDispose(() => {
  worker.terminate()
})
async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(text.value)
    told.value = 'Copied'
  } catch {
    told.value = 'This browser does not let it be copied: choose the text and press Ctrl + C.'
  }
}
</script>

<template>
  <Dialog visible modal header="The plan as text" :style="{ width: '720px' }" @update:visible="emit('close')">
    <label class="visually-hidden" for="session-as-text">The plan as text</label>
    <Textarea id="session-as-text" :value="text" readonly fluid rows="16" spellcheck="false" />
    <label class="exactly">
      <Checkbox v-model="exactly" binary input-id="text-exactly" />
      With what the lines cannot say (forms of breath, props that were moved, phases), for Zovrin to read back exactly
    </label>
    <template #footer>
      <span role="status">{{ told }}</span>
      <Button
        severity="secondary"
        outlined
        label="Save as a file"
        :disabled="text === ''"
        @click="download(text, fileName(session.name, 'txt'), 'text/plain')"
      />
      <Button label="Copy" autofocus :disabled="text === ''" @click="copy" />
    </template>
  </Dialog>
</template>

<style scoped>
textarea {
  font-size: 15px;
  line-height: 1.45;
  white-space: pre;
  overflow: auto;
}
.exactly {
  display: flex;
  gap: 10px;
  align-items: start;
  margin-top: 10px;
}
span[role='status'] {
  flex: 1;
}
</style>
