<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { textLimits } from '#model/limits'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** The open session's name, changed as any other edit of it. */
const props = defineProps<{ name: string }>()
const emit = defineEmits<{ close: [] }>()
const store = useSessionStore()
const typed = ref(props.name)
const problem = computed(() => {
  if (typed.value.trim() === '') return 'A session needs a name.'
  return typed.value.length >= textLimits.name ? `A name has at most ${String(textLimits.name)} signs.` : ''
})

function rename(): void {
  const name = typed.value.trim()
  if (name === '') return
  if (name !== props.name) store.edit({ type: 'details', details: { name } }, 'rename the session')
  emit('close')
}
</script>

<template>
  <Dialog visible modal header="Rename the session" :style="{ width: '440px' }" @update:visible="emit('close')">
    <form id="rename-session" @submit.prevent="rename">
      <label for="session-name">Name</label>
      <InputText
        id="session-name"
        v-model="typed"
        fluid
        autofocus
        :maxlength="textLimits.name"
        aria-describedby="session-name-problem"
        :invalid="typed.trim() === ''"
      />
      <p id="session-name-problem" class="problem" role="status">{{ problem }}</p>
    </form>
    <template #footer>
      <Button label="Leave it" severity="secondary" outlined @click="emit('close')" />
      <Button label="Rename" type="submit" form="rename-session" :disabled="typed.trim() === ''" />
    </template>
  </Dialog>
</template>

<style scoped>
label {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
  color: var(--ink-soft);
}
.problem {
  min-height: 22px;
  margin-top: 6px;
  font-size: 15px;
}
</style>
