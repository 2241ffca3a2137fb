<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { onMounted, ref, useId, useTemplateRef } from 'vue'

/** Asks why a finding can stay. It takes the focus, since something was just pressed for it. */
const emit = defineEmits<{ reason: [reason: string]; leave: [] }>()
const id = useId()
const reason = ref('')
const field = useTemplateRef<{ $el: HTMLElement }>('field')
onMounted(() => field.value?.$el.focus())
function done(): void {
  if (reason.value.trim() !== '') emit('reason', reason.value.trim())
}
</script>

<template>
  <form class="ask" @submit.prevent="done" @keydown.esc.stop="emit('leave')">
    <label :for="id">Why it can stay</label>
    <InputText :id="id" ref="field" v-model="reason" maxlength="300" />
    <Button type="submit" size="small" label="Set aside" :disabled="reason.trim() === ''" />
  </form>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 6px;
}
.ask input {
  flex: 1;
}
</style>
