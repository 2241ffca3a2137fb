<script setup lang="ts">
import { useSessionStorage } from '@vueuse/core'
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed, useId } from 'vue'
import NameTyped from '#web/shared/people/NameTyped.vue'
import Part from '../inspector/Part.vue'
import RemarkLines from './RemarkLines.vue'
import { useRemarks } from './use-remarks.ts'

/** What colleagues say beside this block, or what one says of a colleague’s. */
const props = defineProps<{ blockId: string }>()
const { remarks, mend, sessionId, say, drop } = useRemarks()
const id = useId()
const here = computed(() => remarks.value.on.filter(({ blockId }) => blockId === props.blockId))
const said = computed(() => (remarks.value.of?.said ?? []).filter(({ blockId }) => blockId === props.blockId))
/** Kept as it is typed, also over a reload. */
const typed = useSessionStorage(`zovrin.remark.${sessionId.value ?? ''}.${props.blockId}`, '')
async function sayIt(): Promise<void> {
  if (await say(props.blockId, typed.value)) typed.value = ''
}
</script>

<template>
  <Part v-if="here.length > 0 || remarks.of" title="Remarks">
    <RemarkLines v-if="here.length > 0" :remarks="here" act="Done with it" @act="drop" />
    <template v-if="remarks.of">
      <RemarkLines v-if="said.length > 0" :remarks="said" act="Take it back" @act="drop" />
      <form @submit.prevent="sayIt">
        <label :for="id">For {{ remarks.of.whose }}, beside this block</label>
        <Textarea :id="id" v-model="typed" fluid rows="2" auto-resize maxlength="2000" />
        <NameTyped :text="typed" @change="typed = $event" />
        <Button type="submit" size="small" label="Say it" :disabled="typed.trim() === ''" />
      </form>
    </template>
    <p v-if="mend" role="alert">{{ mend }}</p>
  </Part>
</template>

<style scoped>
form {
  display: grid;
  gap: 6px;
  justify-items: start;
  margin-top: 8px;
}
form > * {
  max-width: 100%;
}
label {
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
