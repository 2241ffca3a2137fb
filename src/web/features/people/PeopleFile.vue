<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { notThereYet, readPeopleCsv } from '#formats/people-csv'
import type { PeopleRead } from '#formats/people-csv'
import { peopleSlipWords } from '#words/people'
import { counted, namesInWords } from '#words/text'
import ReadFile from '#web/shared/ui/ReadFile.vue'
import { usePeople } from './use-people.ts'

/** A list of people, read and looked at before they are added; what they told in private is on no list. */
const { store, addListed } = usePeople()
const read = ref<PeopleRead>()
const fresh = computed(() => notThereYet(read.value?.people ?? [], store.people))
const known = computed(() => (read.value?.people.length ?? 0) - fresh.value.length)
const mostShown = 6
async function take(): Promise<void> {
  const listed = fresh.value
  read.value = undefined
  await addListed(listed)
}
</script>

<template>
  <ReadFile
    text
    label="Add from a list…"
    accept=".csv,text/csv"
    what="People as CSV"
    @read="read = readPeopleCsv($event)"
  />
  <div v-if="read" class="read" role="status">
    <p>
      {{ counted(fresh.length, 'person', 'people') }} to add<template v-if="fresh.length > 0"
        >: {{ namesInWords(fresh.map(({ name }) => name)) }}</template
      >.
    </p>
    <p v-if="known > 0">{{ counted(known, 'other is', 'others are') }} there already.</p>
    <p v-if="read.ignored.length > 0">Not read: {{ read.ignored.join(', ') }}.</p>
    <ul v-if="read.slips.length > 0">
      <li v-for="(slip, at) in read.slips.slice(0, mostShown)" :key="at">{{ peopleSlipWords(slip) }}</li>
      <li v-if="read.slips.length > mostShown">and {{ read.slips.length - mostShown }} more</li>
    </ul>
    <span class="acts">
      <Button v-if="fresh.length > 0" size="small" label="Add them" @click="take" />
      <Button size="small" text severity="secondary" label="Leave it" @click="read = undefined" />
    </span>
  </div>
</template>

<style scoped>
.read {
  display: grid;
  gap: 4px;
  margin: 0 2px;
  padding: 8px 10px;
  border-radius: 8px;
  background: var(--ground);
  font-size: 14.5px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
}
</style>
