<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useId } from 'vue'

/** What somebody is asked for: a name, a password, a PIN or a code; what nobody else should read is covered as it is typed. */
defineProps<{
  label: string
  autocomplete: 'username' | 'off' | 'current-password' | 'new-password' | 'one-time-code'
  /** What it has to be. */
  hint?: string
  isPin?: boolean
}>()
const typed = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <p class="field">
    <label :for="id">{{ label }}</label>
    <InputText
      :id="id"
      v-model="typed"
      :type="autocomplete.endsWith('-password') ? 'password' : 'text'"
      :autocomplete="autocomplete"
      :inputmode="isPin ? 'numeric' : undefined"
      :aria-describedby="hint ? `${id}-hint` : undefined"
      maxlength="200"
    />
    <small v-if="hint" :id="`${id}-hint`">{{ hint }}</small>
  </p>
</template>

<style scoped>
.field {
  display: grid;
  gap: 4px;
  margin: 0;
}
label,
small {
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
