<script setup lang="ts">
import Button from 'primevue/button'
import { namesInWords } from '#words/text'
import SelectField from '#web/shared/ui/SelectField.vue'
import { useColleagues } from '#web/shared/teachers/use-colleagues.ts'
import Part from '../inspector/Part.vue'
import { usePlan } from '../use-plan.ts'
import RemarkLines from './RemarkLines.vue'
import { useRemarks } from './use-remarks.ts'

/** All that colleagues say of the session, and showing it to one. */
const { remarks, mend, sessionId, show, drop } = useRemarks()
const { nameOf, choose } = usePlan()
const { colleagues, choices, to, mend: notAsked, ask, close } = useColleagues()
const nameOfBlock = (blockId: string): string => nameOf(blockId) || 'A block that is gone'
async function showIt(): Promise<void> {
  if (await show(to.value)) close()
}
</script>

<template>
  <Part v-if="sessionId !== undefined" title="Remarks">
    <p v-if="remarks.of" class="note">
      {{ remarks.of.whose }} shows you this as a copy of your own. Choose a block to say something beside it; it stands
      at theirs.
    </p>
    <RemarkLines
      v-if="remarks.on.length > 0"
      :remarks="remarks.on"
      act="Done with it"
      :name-of="nameOfBlock"
      @act="drop"
      @choose="choose"
    />
    <p v-if="remarks.shownTo.length > 0" class="note">Shown to {{ namesInWords(remarks.shownTo) }}.</p>
    <form v-if="colleagues" @submit.prevent="showIt">
      <p v-if="colleagues.length === 0">There is nobody else to show it to yet.</p>
      <template v-else>
        <SelectField label="Who looks at it" :value="to" :options="choices" @change="to = $event" />
        <p class="note">They get a copy as it is now. What they say stands beside the blocks here.</p>
        <Button type="submit" size="small" label="Show it" />
      </template>
      <Button size="small" text severity="secondary" label="Not now" @click="close" />
    </form>
    <Button
      v-else
      size="small"
      text
      severity="secondary"
      icon="pi pi-comment"
      label="Show it to a colleague for remarks…"
      @click="ask"
    />
    <p v-if="mend || notAsked" role="alert">{{ mend || notAsked }}</p>
  </Part>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  justify-items: start;
}
form > :not(button) {
  width: 100%;
}
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
