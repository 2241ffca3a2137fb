<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed, ref, useId, watch } from 'vue'
import { textLimits } from '#model/limits'
import { beforeBreath } from '#core/session'
import { useBreath } from './use-breath.ts'

/** What is asked and said before the session's breath work, a line each: what the techniques want, or one's own. */
const { store, document, spans } = useBreath()
const id = useId()
const mostLines = 20

const lines = computed(() =>
  document.value
    ? beforeBreath(
        document.value,
        spans.value.map(({ block }) => block),
      )
    : [],
)
const text = ref('')
watch(lines, (now) => (text.value = now.join('\n')), { immediate: true })
const mend = ref('')

function take(): void {
  const typed = text.value.split('\n').flatMap((line) => (line.trim() === '' ? [] : [line.trim()]))
  const long = typed.find((line) => line.length > textLimits.line)
  mend.value =
    typed.length > mostLines
      ? `More than ${String(mostLines)} lines: put some together.`
      : long === undefined
        ? ''
        : `A line has at most ${String(textLimits.line)} letters: break it in two.`
  if (mend.value !== '' || typed.join('\n') === lines.value.join('\n')) return
  store.edit({ type: 'details', details: { before: typed } }, 'change what is asked before')
}
function asUsual(): void {
  mend.value = ''
  store.edit({ type: 'details', details: { before: undefined } }, 'ask before what the techniques want')
}
</script>

<template>
  <div class="before">
    <label :for="id">Asked and said before, a line each</label>
    <Textarea :id="id" v-model="text" fluid rows="5" auto-resize @blur="take" />
    <p v-if="mend !== ''" role="alert">{{ mend }}</p>
    <Button
      v-if="document?.before"
      size="small"
      text
      severity="secondary"
      label="What the techniques want again"
      @click="asUsual"
    />
  </div>
</template>

<style scoped>
.before {
  margin: 14px 0;
}
label {
  display: block;
  margin-bottom: 4px;
  font-size: 16px;
  font-weight: 650;
}
.before :deep(textarea) {
  font-size: 15px;
}
</style>
