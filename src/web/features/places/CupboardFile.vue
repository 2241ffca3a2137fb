<script setup lang="ts">
import Button from 'primevue/button'
import { ref, watch } from 'vue'
import { cupboardCsv, readCupboardCsv } from '#formats/cupboard-csv'
import type { CupboardRead } from '#formats/cupboard-csv'
import { slipWords } from '#words/cupboard'
import { counted } from '#words/text'
import { download, fileName } from '#web/shared/ui/download.ts'
import ReadFile from '#web/shared/ui/ReadFile.vue'
import { usePlaces } from './use-places.ts'

/** The cupboard as a file of rows, written and read; what is read is shown before it takes the place of what there is. */
const { chosen, replaceAll } = usePlaces()
const read = ref<CupboardRead>()
watch(
  () => chosen.value?.id,
  () => (read.value = undefined),
)

function save(): void {
  if (chosen.value)
    download(cupboardCsv(chosen.value.cupboard), fileName(`${chosen.value.name} cupboard`, 'csv'), 'text/csv')
}
function take(): void {
  if (read.value) replaceAll(read.value.items)
  read.value = undefined
}
</script>

<template>
  <div class="file">
    <div class="acts">
      <Button size="small" severity="secondary" outlined icon="pi pi-download" label="Save as CSV" @click="save" />
      <ReadFile
        label="Read a CSV…"
        accept=".csv,text/csv"
        what="A cupboard as CSV"
        @read="read = readCupboardCsv($event)"
      />
    </div>
    <div v-if="read" class="read" role="status">
      <p>
        {{
          read.items.length === 0
            ? 'Nothing of the file could be read.'
            : `${counted(read.items.length, 'kind')} read. They take the place of what the cupboard has.`
        }}
      </p>
      <ul v-if="read.slips.length > 0">
        <li v-for="slip in read.slips.slice(0, 8)" :key="slip.line">{{ slipWords(slip) }}</li>
        <li v-if="read.slips.length > 8">and {{ read.slips.length - 8 }} lines more</li>
      </ul>
      <div class="acts">
        <Button v-if="read.items.length > 0" size="small" label="Take them" @click="take" />
        <Button size="small" text severity="secondary" label="Leave it" @click="read = undefined" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.file {
  display: grid;
  gap: 8px;
}
.acts {
  display: flex;
  gap: 8px;
}
.read {
  display: grid;
  gap: 6px;
  padding: 10px 12px;
  background: var(--ground);
  border-radius: 8px;
}
li {
  font-size: 15px;
}
@media print {
  .file {
    display: none;
  }
}
</style>
