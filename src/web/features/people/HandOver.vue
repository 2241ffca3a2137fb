<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { codeDigits, useHandedOver } from '#web/shared/people/handed-over.ts'

/** Asks for a code that closes somebody's own page, and leaves them alone with it. */
const props = defineProps<{ personId: string }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const { handOver } = useHandedOver()
const code = ref('')
const isCode = computed(() => new RegExp(`^\\d{${String(codeDigits)}}$`).test(code.value))
const problem = ref('')
async function go(): Promise<void> {
  problem.value = isCode.value ? '' : `A code is ${String(codeDigits)} digits.`
  if (!isCode.value) return
  handOver(props.personId, code.value)
  await router.replace({ name: 'own-page' })
}
</script>

<template>
  <Dialog visible modal header="Hand this device over?" :style="{ width: '460px' }" @update:visible="emit('close')">
    <p>They see their own page and nothing else, whatever they press, until you type a code.</p>
    <label for="hand-over-code">A code of four digits, for you to remember</label>
    <InputText
      id="hand-over-code"
      v-model="code"
      class="code"
      inputmode="numeric"
      autocomplete="off"
      autofocus
      :maxlength="codeDigits"
      :invalid="problem !== ''"
      aria-describedby="hand-over-problem"
      @keydown.enter="go"
    />
    <p v-if="problem" id="hand-over-problem" class="problem" role="alert">{{ problem }}</p>
    <p class="note">Forgotten, only clearing what this browser keeps of Zovrin opens it again here.</p>
    <template #footer>
      <Button label="Not now" severity="secondary" outlined @click="emit('close')" />
      <Button label="Hand it over" @click="go" />
    </template>
  </Dialog>
</template>

<style scoped>
label {
  display: block;
  margin-top: 12px;
}
.code {
  width: 7em;
  font-size: 22px;
  letter-spacing: 0.2em;
}
.problem {
  color: var(--avoid);
}
.note {
  margin-top: 10px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
