<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { archiveCameWords } from '#words/archive'
import { bringArchive, readArchive } from '#web/shared/api/archive.ts'
import { whyNot } from '#web/shared/api/client.ts'
import { download } from '#web/shared/ui/download.ts'
import ReadFile from '#web/shared/ui/ReadFile.vue'

/** All of one's own as a zip of plain files, saved and brought in. */
const busy = ref<'' | 'save' | 'bring'>('')
const told = ref('')
const mend = ref('')

async function save(): Promise<void> {
  ;[busy.value, told.value, mend.value] = ['save', '', '']
  const reply = await readArchive()
  busy.value = ''
  if (reply.kind === 'ok') download(reply.value, 'zovrin-open-files.zip', 'application/zip')
  else mend.value = whyNot(reply)
}
async function bring(file: File): Promise<void> {
  ;[busy.value, told.value, mend.value] = ['bring', '', '']
  const reply = await bringArchive(file)
  busy.value = ''
  if (reply.kind === 'ok') told.value = archiveCameWords(reply.value)
  else mend.value = whyNot(reply)
}
</script>

<template>
  <section>
    <h2>Open files</h2>
    <p>
      All that is yours as a zip of plain files: sessions, series, records, people, places, own things, recordings. Take
      it to another house, or to another program. What comes in is added to what is here. It holds what people told you:
      keep it where only you read it.
    </p>
    <div class="acts">
      <Button
        outlined
        :label="busy === 'save' ? 'Gathering them…' : 'Save all as open files'"
        :disabled="busy !== ''"
        @click="save"
      />
      <ReadFile
        label="Bring open files in"
        what="Zip of open files"
        accept=".zip,application/zip"
        is-any
        @read="(_text, file) => bring(file)"
      />
    </div>
    <p role="status">{{ busy === 'bring' ? 'Bringing them in…' : told }}</p>
    <p v-if="mend" class="mend" role="alert">{{ mend }}</p>
  </section>
</template>

<style scoped>
h2 + p {
  margin-top: 8px;
}
section {
  margin-top: 26px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  margin: 14px 0;
}
.mend {
  font-weight: 650;
  color: var(--avoid);
}
</style>
